import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { LedgerHead } from '../../parts/LedgerHead';
import { VerdictSign } from '../../parts/MarkSign';
import type { AssignmentPage, AssignmentRow, CountingShown } from '../../types/views';

function Points({ counting }: { counting: CountingShown }) {
    return (
        <>
            <Link className="link mono" href={to('feedback', { handIn: counting.handIn })}>
                {counting.disputed ? t`to be agreed on` : counting.points}
            </Link>
            <span className="text-faint"> / {counting.of}</span>
            {counting.open !== null && (
                <span className="block text-[13px] text-ochre">
                    <Trans>+{counting.open} by eye</Trans>
                </span>
            )}
            {counting.marked && (
                <span className="aside block text-[13px]">
                    <Trans>marked</Trans>
                </span>
            )}
        </>
    );
}

/** What there is of somebody who handed nothing in. */
const nothing = (row: AssignmentRow): string =>
    row.checked ? t`checked, and nothing handed in` : t`nothing handed in`;

function When({ row }: { row: AssignmentRow }) {
    const { counting } = row;

    return (
        <>
            {counting === null ? <span className="text-faint">{nothing(row)}</span> : counting.at}
            {counting?.late != null && <span className="block text-[13px] text-red">{counting.late}</span>}
            {row.extended && (
                <span className="block text-[13px] text-ochre">
                    <Trans>granted more; due {row.due ?? '–'}</Trans>
                </span>
            )}
            {row.returned && (
                <span className="block text-[13px] text-ochre">
                    <Trans>returned for another attempt</Trans>
                </span>
            )}
        </>
    );
}

function Line({ row, chosen, onChoose }: { row: AssignmentRow; chosen: boolean; onChoose: (on: boolean) => void }) {
    const { counting } = row;

    return (
        <tr>
            <th scope="row" className="[overflow-wrap:anywhere]">
                <span className="flex items-baseline gap-2">
                    <input
                        type="checkbox"
                        className="checkbox"
                        aria-label={t`Choose ${row.who}`}
                        checked={chosen}
                        onChange={(event) => onChoose(event.target.checked)}
                    />
                    <span>
                        {row.who}
                        {row.code !== null && (
                            <Link
                                className="link block text-[13px] font-normal"
                                href={to('hand-in', { deliverable: row.id })}
                            >
                                {row.code}
                            </Link>
                        )}
                    </span>
                </span>
            </th>
            <td className="column">
                <When row={row} />
            </td>
            <td className="column mono">{row.attempts}</td>
            <td className="column">
                {counting !== null && (
                    <>
                        <VerdictSign verdict={counting.verdict} waived={false} />{' '}
                        {counting.cause !== null && (
                            <span className="text-[13px]">
                                <Breaking text={counting.cause} />
                            </span>
                        )}
                    </>
                )}
            </td>
            <td className="column">{counting !== null && <Points counting={counting} />}</td>
        </tr>
    );
}

/** How everybody stands. */
export function Standings({
    page: { rows },
    chosen,
    onChoose,
}: {
    page: AssignmentPage;
    chosen: number[];
    onChoose: (chosen: number[]) => void;
}) {
    return (
        <table className="ledger mt-3">
            <LedgerHead
                columns={[
                    [t`who`, '24%'],
                    [t`handed in`, '24%'],
                    [t`attempts`, '10%'],
                    [t`what stands`, '26%'],
                    [t`points`, '16%'],
                ]}
            />
            <tbody>
                {rows.map((row) => (
                    <Line
                        key={row.id}
                        row={row}
                        chosen={chosen.includes(row.id)}
                        onChoose={(on) => onChoose(on ? [...chosen, row.id] : chosen.filter((id) => id !== row.id))}
                    />
                ))}
            </tbody>
        </table>
    );
}
