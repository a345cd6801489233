import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { Fragment, memo, type ReactNode } from 'react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { MarkSign, VerdictSign } from '../../parts/MarkSign';
import type { BoardRow } from '../../types/views';
import type { Column } from './columns';

function HoldsUp({ row }: { row: BoardRow }) {
    return (
        <td className="column text-[13px]">
            {row.changed !== null && row.changed !== 'first check' && (
                <span className="mr-2 text-ochre">{row.changed}.</span>
            )}
            {row.holdsUp ?? (
                <span className="text-faint">
                    <Trans>not checked yet</Trans>
                </span>
            )}
            {row.cause !== null && (
                <span className="line-clamp-4 text-[12.5px] text-faint" title={row.cause}>
                    <Breaking text={row.cause} />
                </span>
            )}
            {row.stale && (
                <span className="text-ochre">
                    <Trans> Asked otherwise since.</Trans>
                </span>
            )}
            {row.waived > 0 && (
                <span className="text-ochre">
                    {' '}
                    <Trans>{row.waived} accepted.</Trans>
                </span>
            )}
        </td>
    );
}

function Marks({ row, groups }: { row: BoardRow; groups: string[] }) {
    return groups.map((group) => {
        const own = row.marks[group];

        return (
            <td key={group} className="column text-center!">
                {own !== undefined && <MarkSign mark={own} label={`${group}: ${own}`} />}
            </td>
        );
    });
}

function DueIn({ row }: { row: BoardRow }) {
    return (
        <td className="column text-[13px]" title={row.due?.at}>
            <span className={row.due?.late === true ? 'text-red' : 'text-faint'}>{row.due?.words}</span>
        </td>
    );
}

const CELLS: Record<Column, (row: BoardRow, groups: string[]) => ReactNode> = {
    marks: (row, groups) => <Marks row={row} groups={groups} />,
    trouble: (row) => <HoldsUp row={row} />,
    balance: (row) => <td className="column text-[13px]">{row.all === 0 ? '' : `${row.good}/${row.all}`}</td>,
    due: (row) => <DueIn row={row} />,
    specification: (row) => (
        <td className="column text-[13px]">
            <Breaking text={row.specification} />
        </td>
    ),
    checked: (row) => <td className="column text-[13px]">{row.when}</td>,
};

/** One deliverable on a board. */
export const BoardRowLine = memo(function BoardRowLine({
    row,
    place,
    groups,
    columns,
    reachable,
    chosen,
    onFocus,
    onChoose,
    measure,
}: {
    row: BoardRow;
    place: number;
    groups: string[];
    columns: Column[];
    reachable: boolean;
    chosen: boolean;
    onFocus: (id: number) => void;
    onChoose: (id: number, chosen: boolean) => void;
    measure: (row: HTMLElement | null) => void;
}) {
    return (
        <tr ref={measure} data-index={place} aria-rowindex={place + 2}>
            <th scope="row">
                <span className="grid grid-cols-[24px_20px_1fr]">
                    <input
                        type="checkbox"
                        className="checkbox"
                        aria-label={t`Choose ${row.code}`}
                        checked={chosen}
                        onChange={(event) => onChoose(row.id, event.target.checked)}
                    />
                    <span>
                        <VerdictSign verdict={row.verdict} waived={row.waived > 0} />
                    </span>
                    <span className="min-w-0">
                        <Link
                            href={to(row.folio, { deliverable: row.id })}
                            data-row={row.id}
                            tabIndex={reachable ? 0 : -1}
                            onFocus={() => onFocus(row.id)}
                            title={row.title === '' ? undefined : row.title}
                            className="link mono [overflow-wrap:anywhere]"
                        >
                            {row.code}
                        </Link>
                        {row.title !== '' && <span className="aside block truncate text-[12.5px]">{row.title}</span>}
                        {row.owner !== null && (
                            <span className="block truncate text-[12.5px] text-faint">{row.owner}</span>
                        )}
                    </span>
                </span>
            </th>
            {columns.map((column) => (
                <Fragment key={column}>{CELLS[column](row, groups)}</Fragment>
            ))}
        </tr>
    );
});
