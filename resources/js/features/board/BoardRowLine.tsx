import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { Fragment, memo, type ReactNode } from 'react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { MarkSign, VerdictSign } from '../../parts/MarkSign';
import type { BoardRow } from '../../types/views';
import type { Column } from './columns';
import { LineDue, LineOwner, LineSpecification, LineTitle, type Given } from './LineValues';

function HoldsUp({ row }: { row: BoardRow }) {
    return (
        <td className="whole column text-[13px]">
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
            <td key={group} className="mark column text-center!">
                {own !== undefined && <MarkSign mark={own} label={`${group}: ${own}`} />}
            </td>
        );
    });
}

const CELLS: Record<Column, (row: BoardRow, given: Given, groups: string[]) => ReactNode> = {
    marks: (row, _, groups) => <Marks row={row} groups={groups} />,
    trouble: (row) => <HoldsUp row={row} />,
    balance: (row) => <td className="column text-[13px]">{row.all === 0 ? '' : `${row.good}/${row.all}`}</td>,
    due: (row, given) => (
        <td className="column text-[13px]" title={row.due?.at}>
            <span className="print:hidden">
                <LineDue row={row} given={given} />
            </span>
            <span className="hidden print:inline">{row.due?.at}</span>
        </td>
    ),
    specification: (row, given) => (
        <td className="column text-[13px]">
            <LineSpecification row={row} given={given} />
        </td>
    ),
    checked: (row) => <td className="column text-[13px]">{row.when}</td>,
};

/** One deliverable on a board. */
export const BoardRowLine = memo(function BoardRowLine({
    row,
    given,
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
    given: Given;
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
                        <LineTitle row={row} given={given} />
                        <LineOwner row={row} given={given} />
                    </span>
                </span>
            </th>
            {columns.map((column) => (
                <Fragment key={column}>{CELLS[column](row, given, groups)}</Fragment>
            ))}
        </tr>
    );
});
