import { Link } from '@inertiajs/react';
import { memo } from 'react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { MarkSign, VerdictSign } from '../../parts/MarkSign';
import type { BoardRow } from '../../types/views';

function HoldsUp({ row }: { row: BoardRow }) {
    return (
        <td className="column text-[13px]">
            {row.changed !== null && row.changed !== 'first check' && (
                <span className="mr-2 text-ochre">{row.changed}.</span>
            )}
            <span className="line-clamp-5" title={row.cause ?? undefined}>
                {row.cause === null ? (
                    (row.holdsUp ?? <span className="text-faint">not checked yet</span>)
                ) : (
                    <Breaking text={row.cause} />
                )}
            </span>
            {row.stale && <span className="text-ochre"> Asked otherwise since.</span>}
            {row.waived > 0 && <span className="text-ochre"> {row.waived} accepted.</span>}
        </td>
    );
}

/** One deliverable on a board. */
export const BoardRowLine = memo(function BoardRowLine({
    row,
    groups,
    reachable,
    onFocus,
}: {
    row: BoardRow;
    groups: string[];
    reachable: boolean;
    onFocus: (id: number) => void;
}) {
    return (
        <tr>
            <th scope="row">
                <span className="grid grid-cols-[20px_1fr]">
                    <span>
                        <VerdictSign verdict={row.verdict} waived={row.waived > 0} />
                    </span>
                    <span>
                        <Link
                            href={to(row.folio, { deliverable: row.id })}
                            data-row={row.id}
                            tabIndex={reachable ? 0 : -1}
                            onFocus={() => onFocus(row.id)}
                            className="link mono [overflow-wrap:anywhere]"
                        >
                            {row.code}
                        </Link>
                        {row.owner !== null && <span className="aside block truncate text-[12.5px]">{row.owner}</span>}
                    </span>
                </span>
            </th>
            <td className="column text-[13px] whitespace-nowrap">
                {row.due !== null && <span className={row.due.late ? 'text-red' : 'text-faint'}>{row.due.words}</span>}
            </td>
            {groups.map((group) => {
                const own = row.marks[group];

                return (
                    <td key={group} className="column text-center!">
                        {own !== undefined && <MarkSign mark={own} label={`${group}: ${own}`} />}
                    </td>
                );
            })}
            <td className="column text-[13px]">{row.all === 0 ? '' : `${row.good}/${row.all}`}</td>
            <HoldsUp row={row} />
        </tr>
    );
});
