import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { Heading } from '../../parts/Heading';
import { LedgerHead } from '../../parts/LedgerHead';
import { VerdictSign } from '../../parts/MarkSign';
import type { AttemptShown, HandInPage } from '../../types/views';

function Line({ attempt, canRead, several }: { attempt: AttemptShown; canRead: boolean; several: boolean }) {
    return (
        <tr>
            <th scope="row">
                {attempt.number}
                {attempt.counts && several && (
                    <span className="aside block text-[13px]">
                        <Trans>counts</Trans>
                    </span>
                )}
            </th>
            <td className="column">
                {attempt.at}
                {attempt.by !== null && <span className="block text-[13px] text-faint">{attempt.by}</span>}
            </td>
            <td className={attempt.isLate ? 'column text-red' : 'column'}>{attempt.late}</td>
            <td className="column">
                <VerdictSign verdict={attempt.verdict} waived={false} />
            </td>
            <td className="column">
                {attempt.points === null ? (
                    <span className="text-faint">
                        <Trans>not told yet</Trans>
                    </span>
                ) : (
                    <span className="mono">
                        {attempt.points} <span className="text-faint">/ {attempt.of}</span>
                    </span>
                )}
                {canRead && (
                    <Link className="link block" href={to('feedback', { handIn: attempt.id })}>
                        <Trans>Feedback</Trans>
                    </Link>
                )}
            </td>
        </tr>
    );
}

/** All that was handed in, the newest first. */
export function Attempts({ page: { attempts, released, may, counts } }: { page: HandInPage }) {
    return attempts.length === 0 ? null : (
        <section aria-labelledby="attempts">
            <Heading className="pt-6">
                <span id="attempts">
                    <Trans>Handed in</Trans>
                </span>
            </Heading>
            <table className="ledger">
                <LedgerHead
                    columns={[
                        [t`attempt`, '12%'],
                        [t`when`, '28%'],
                        [t`in time`, '26%'],
                        [t`verdict`, '12%'],
                        [t`points`, '22%'],
                    ]}
                />
                <tbody>
                    {attempts.map((attempt) => (
                        <Line
                            key={attempt.id}
                            attempt={attempt}
                            canRead={released || may.decide || attempt.returned !== null}
                            several={attempts.length > 1}
                        />
                    ))}
                </tbody>
            </table>
            {attempts[0]?.returned != null && (
                <p className="max-w-[70ch] border-l-4 border-ochre bg-paper px-3 py-2 mt-2">
                    <strong className="block">
                        <Trans>It was returned for another attempt</Trans>
                    </strong>
                    <Breaking text={attempts[0].returned} />
                </p>
            )}
            {attempts.length > 1 && (
                <p className="pt-1 text-[13px] text-faint">
                    {counts === 'best' ? t`The best of them counts.` : t`The last of them counts.`}
                </p>
            )}
        </section>
    );
}
