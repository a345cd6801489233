import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Heading } from '../../parts/Heading';
import { LedgerHead } from '../../parts/LedgerHead';
import { VerdictSign } from '../../parts/MarkSign';
import type { Need } from '../../types/views';

function Row({ need }: { need: Need }) {
    return (
        <tr>
            <th scope="row">
                <span className="grid grid-cols-[20px_1fr]">
                    <span>
                        <VerdictSign verdict={need.verdict} waived={need.waived} />
                    </span>
                    <span>
                        <Link
                            href={to(need.folio, { deliverable: need.id })}
                            className="link mono [overflow-wrap:anywhere]"
                        >
                            {need.code}
                        </Link>{' '}
                        <span className="aside">{need.title}</span>
                    </span>
                </span>
            </th>
            <td className="column">{need.says}</td>
            <td className="column">
                {need.due === null ? (
                    <span className="text-faint">
                        <Trans>no date</Trans>
                    </span>
                ) : (
                    <span className={need.due.late ? 'text-red' : ''}>{need.due.words}</span>
                )}
            </td>
            <td className="column">
                {need.owner ?? (
                    <span className="text-faint">
                        <Trans>nobody</Trans>
                    </span>
                )}
            </td>
            <td className="column">{need.production}</td>
        </tr>
    );
}

/** What is owed still and due first, in whichever production it is. */
export function Needs({ needs }: { needs: Need[] }) {
    return needs.length === 0 ? null : (
        <section className="pb-6">
            <Heading className="mt-3">
                <Trans>Due next, and not right yet</Trans>
            </Heading>
            <table className="ledger">
                <LedgerHead
                    columns={[
                        [t`deliverable`, '30%'],
                        [t`what holds it up`, '28%'],
                        [t`due`, '12%'],
                        [t`owner`, '14%'],
                        [t`production`, '16%'],
                    ]}
                />
                <tbody>
                    {needs.map((need) => (
                        <Row key={need.id} need={need} />
                    ))}
                </tbody>
            </table>
            <Heading className="mt-6">
                <Trans>Where you work</Trans>
            </Heading>
        </section>
    );
}
