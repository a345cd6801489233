import { useRef, useState } from 'react';
import { isSingleKey, isTyping, useKeys } from '../../lib/useKeys';
import type { BoardRow } from '../../types/views';
import type { SortBy } from './board';
import { BoardRowLine } from './BoardRowLine';

const WAYS: Record<'letters' | 'arrows', Record<string, -1 | 1>> = {
    letters: { j: 1, k: -1 },
    arrows: { ArrowDown: 1, ArrowUp: -1 },
};

/** Which way a key goes along the rows; 0: it is none of them. */
function wayOf(event: KeyboardEvent, inside: boolean): -1 | 0 | 1 {
    const letter = WAYS.letters[event.key];
    if (letter !== undefined) {
        return isSingleKey(event) ? letter : 0;
    }
    const isHeld = event.ctrlKey || event.metaKey || event.altKey;

    return inside && !isHeld && !isTyping(event.target) ? (WAYS.arrows[event.key] ?? 0) : 0;
}

function Head({
    own,
    label,
    by,
    down,
    onSort,
    className,
}: {
    own: SortBy;
    label: string;
    by: SortBy;
    down: boolean;
    onSort: (by: SortBy, down: boolean) => void;
    className?: string;
}) {
    const order = down ? 'descending' : 'ascending';

    return (
        <th scope="col" className={className} aria-sort={by === own ? order : 'none'}>
            <button
                type="button"
                className={`cursor-pointer text-left italic ${by === own ? 'font-semibold text-ink' : ''}`}
                onClick={() => onSort(own, by === own ? !down : false)}
            >
                {label}
                {by === own && (down ? ' ↑' : ' ↓')}
            </button>
        </th>
    );
}

/** The rows of a board, sorted by a press on a heading; arrows, and j and k, go along. */
export function BoardTable({
    rows,
    all,
    groups,
    by,
    down,
    onSort,
}: {
    /** those that are painted already */
    rows: BoardRow[];
    all: BoardRow[];
    groups: string[];
    by: SortBy;
    down: boolean;
    onSort: (by: SortBy, down: boolean) => void;
}) {
    const [at, setAt] = useState<number | null>(null);
    const body = useRef<HTMLTableSectionElement>(null);
    const reachable = rows.some((row) => row.id === at) ? at : (rows[0]?.id ?? null);
    const sorted = { by, down, onSort };

    useKeys((event) => {
        const inside = event.target instanceof HTMLElement && body.current?.contains(event.target) === true;
        const way = wayOf(event, inside);
        if (way === 0) {
            return;
        }
        const links = [...(body.current?.querySelectorAll<HTMLAnchorElement>('a[data-row]') ?? [])];
        const now = links.findIndex((link) => link === document.activeElement);
        const next = links[now === -1 ? 0 : now + way];
        if (next !== undefined) {
            event.preventDefault();
            next.focus();
            next.scrollIntoView({ block: 'nearest' });
        }
    });

    return (
        <div className="overflow-x-auto">
            <table className="ledger mt-2 table-fixed lg:min-w-[960px]">
                <colgroup>
                    <col style={{ width: '164px' }} />
                    <col style={{ width: '76px' }} />
                    {groups.map((group) => (
                        <col key={group} style={{ width: '54px' }} />
                    ))}
                    <col style={{ width: '66px' }} />
                    <col />
                </colgroup>
                <thead>
                    <tr>
                        <Head own="trouble" label="deliverable" {...sorted} />
                        <Head own="due" label="due" className="column" {...sorted} />
                        {groups.map((group) => (
                            <th key={group} scope="col" className="column px-0.5! text-center! text-[11.5px]!">
                                {group}
                            </th>
                        ))}
                        <Head own="balance" label="balance" className="column" {...sorted} />
                        <Head own="checked" label="what holds it up" className="column" {...sorted} />
                    </tr>
                </thead>
                <tbody ref={body}>
                    {rows.map((row) => (
                        <BoardRowLine
                            key={row.id}
                            row={row}
                            groups={groups}
                            reachable={row.id === reachable}
                            onFocus={setAt}
                        />
                    ))}
                </tbody>
                <tfoot>
                    <tr>
                        <td colSpan={groups.length + 4}>
                            {`${all.filter((row) => row.verdict === 'balanced').length} of ${all.length} balance`}
                        </td>
                    </tr>
                </tfoot>
            </table>
        </div>
    );
}
