import { Trans } from '@lingui/react/macro';
import { useEffect, useRef, useState, type RefObject } from 'react';
import { useRowsInSight } from '../../lib/useRowsInSight';
import { isSingleKey, isTyping, useKeys } from '../../lib/useKeys';
import type { BoardRow } from '../../types/views';
import { MarkLegend } from '../../parts/MarkLegend';
import { BoardHead } from './BoardHead';
import { BoardRowLine } from './BoardRowLine';
import type { Column } from './columns';
import type { Given } from './LineValues';
import type { BoardView } from './useBoardView';

const WAYS: Record<'letters' | 'arrows', Record<string, -1 | 1>> = {
    letters: { j: 1, k: -1 },
    arrows: { ArrowDown: 1, ArrowUp: -1 },
};

const WIDTHS: Record<Column, string | undefined> = {
    due: '84px',
    marks: '46px',
    balance: '60px',
    specification: '130px',
    checked: '104px',
    trouble: undefined,
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

function Widths({ columns, groups }: { columns: Column[]; groups: string[] }) {
    return (
        <colgroup>
            <col style={{ width: columns.includes('trouble') ? '166px' : undefined }} />
            {columns.flatMap((column) =>
                (column === 'marks' ? groups : [column]).map((own) => (
                    <col key={own} style={{ width: WIDTHS[column] }} />
                )),
            )}
        </colgroup>
    );
}

/** Arrows, and j and k, go along the rows, also to those that are not drawn yet. */
function useAlong(all: BoardRow[], at: number | null, body: RefObject<HTMLElement | null>, goTo: (to: number) => void) {
    const wanted = useRef<number | null>(null);
    const focus = (row: BoardRow | undefined): boolean => {
        const link = body.current?.querySelector<HTMLElement>(`a[data-row="${row?.id ?? ''}"]`) ?? null;
        link?.focus();
        link?.scrollIntoView({ block: 'nearest' });

        return link !== null;
    };
    // one that was not drawn yet is, once it is in sight
    useEffect(() => {
        if (wanted.current !== null && focus(all[wanted.current])) {
            wanted.current = null;
        }
    });

    useKeys((event) => {
        const inside = event.target instanceof HTMLElement && body.current?.contains(event.target) === true;
        const way = wayOf(event, inside);
        const now = inside ? all.findIndex((row) => row.id === at) : -1;
        const next = now === -1 ? 0 : now + way;
        if (way !== 0 && all[next] !== undefined) {
            event.preventDefault();
            if (!focus(all[next])) {
                wanted.current = next;
                goTo(next);
            }
        }
    });
}

/** Room for lines that are not drawn. */
function Room({ height, width }: { height: number; width: number }) {
    return height <= 0 ? null : (
        <tr aria-hidden>
            <td colSpan={width} style={{ height, padding: 0 }} />
        </tr>
    );
}

/** The rows of a board, sorted by a press on a heading. */
export function BoardTable({
    given,
    view,
    groups,
    chosen,
    onChoose,
}: {
    given: Given;
    view: BoardView;
    groups: string[];
    chosen: ReadonlySet<number>;
    onChoose: (ids: number[], chosen: boolean) => void;
}) {
    const { shown: all, columns } = view;
    const [at, setAt] = useState<number | null>(null);
    const body = useRef<HTMLTableSectionElement>(null);
    const sight = useRowsInSight(all.length, body);
    const rows = (sight.places ?? all.map((_, place) => place)).flatMap((place) => {
        const row = all[place];

        return row === undefined ? [] : [{ row, place }];
    });
    const reachable = rows.some(({ row }) => row.id === at) ? at : (rows[0]?.row.id ?? null);
    const width = 1 + columns.length + (columns.includes('marks') ? groups.length - 1 : 0);
    useAlong(all, at, body, sight.goTo);

    return (
        <div className="overflow-x-auto">
            <table className="ledger board mt-2 table-fixed min-[1250px]:min-w-[960px]" aria-rowcount={all.length + 1}>
                <Widths columns={columns} groups={groups} />
                <BoardHead
                    columns={columns}
                    groups={groups}
                    order={{ by: view.by, down: view.down, onSort: view.sort }}
                    allChosen={all.length > 0 && all.every((row) => chosen.has(row.id))}
                    onChooseAll={(on) =>
                        onChoose(
                            all.map((row) => row.id),
                            on,
                        )
                    }
                />
                <tbody ref={body}>
                    <Room height={sight.before} width={width} />
                    {rows.map(({ row, place }) => (
                        <BoardRowLine
                            key={row.id}
                            row={row}
                            given={given}
                            place={place}
                            groups={groups}
                            columns={columns}
                            reachable={row.id === reachable}
                            chosen={chosen.has(row.id)}
                            onFocus={setAt}
                            onChoose={(id, on) => onChoose([id], on)}
                            measure={sight.measure}
                        />
                    ))}
                    <Room height={sight.after} width={width} />
                </tbody>
                <tfoot>
                    <tr>
                        <td colSpan={width}>
                            <Trans>
                                {all.filter((row) => row.verdict === 'balanced').length} of {all.length} balance
                            </Trans>
                        </td>
                    </tr>
                </tfoot>
            </table>
            <MarkLegend />
        </div>
    );
}
