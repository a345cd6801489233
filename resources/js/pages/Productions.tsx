import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router, usePage } from '@inertiajs/react';
import { to } from '../lib/route';
import { FinishedChecks, RunningChecks } from '../features/production/Meanwhile';
import { Needs } from '../features/production/Needs';
import { Book } from '../parts/Book';
import { LedgerHead } from '../parts/LedgerHead';
import { MarkSign } from '../parts/MarkSign';
import type { ProductionLine, ProductionsPage } from '../types/views';

function Line({ line }: { line: ProductionLine }) {
    return (
        <tr>
            <th scope="row">
                <Link href={to('production', { production: line.id })} className="link title text-[16px]">
                    {line.name}
                </Link>{' '}
                <span className="aside">
                    {line.code}, {line.kind}
                    {line.archived && t`, archived`}
                </span>
            </th>
            <td className="column">{line.role}</td>
            <td className="column mono">{line.deliverables}</td>
            <td className="column">
                <span className="flex gap-4">
                    <span>
                        <MarkSign mark="unequal" label={t`do not balance`} /> {line.unbalanced}
                    </span>
                    <span>
                        <MarkSign mark="unknown" label={t`open`} /> {line.open}
                    </span>
                    <span>
                        <MarkSign mark="equal" label={t`balance`} /> {line.balanced}
                    </span>
                </span>
            </td>
        </tr>
    );
}

/** Where there is none yet: what to do first. */
function None({ administers }: { administers: boolean }) {
    return administers ? (
        <div className="said mt-3 max-w-[60ch]">
            <p>
                <Trans>
                    Nothing is here yet. Begin a production; then invite whoever works in it, and say what is owed.
                </Trans>
            </p>
            <p className="mt-3 flex flex-wrap gap-3 font-sans">
                <Link href={to('production.new')} className="btn btn-primary">
                    <Trans>Begin a production</Trans>
                </Link>
                <button type="button" className="btn" onClick={() => router.post(to('sample'))}>
                    <Trans>Add a sample to look around in</Trans>
                </button>
            </p>
        </div>
    ) : (
        <p className="said mt-3">
            <Trans>You belong to no production yet. Whoever runs this ledger can invite you to one.</Trans>
        </p>
    );
}

export default function Productions({ productions, needs, running, finished, awaySince }: ProductionsPage) {
    const { person } = usePage<{ person: { administers: boolean } | null; [key: string]: unknown }>().props;
    const administers = person?.administers === true;

    return (
        <Book title={t`Productions`} book={null}>
            <div className="px-6 py-4">
                <h1 className="title text-[24px]">
                    <Trans>Productions</Trans>
                </h1>
                <FinishedChecks finished={finished} since={awaySince} />
                <RunningChecks running={running} />
                <Needs needs={needs} />
                {productions.length === 0 ? (
                    <None administers={administers} />
                ) : (
                    <table className="ledger mt-2">
                        <LedgerHead columns={[[t`production`], [t`you are`], [t`owed`], [t`stands at`]]} />
                        <tbody>
                            {productions.map((line) => (
                                <Line key={line.id} line={line} />
                            ))}
                        </tbody>
                    </table>
                )}
                {administers && productions.length > 0 && (
                    <p className="pt-4">
                        <Link href={to('production.new')} className="btn">
                            <Trans>Begin a production</Trans>
                        </Link>
                    </p>
                )}
            </div>
        </Book>
    );
}
