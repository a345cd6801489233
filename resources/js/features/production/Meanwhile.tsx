import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Heading } from '../../parts/Heading';
import { VerdictSign } from '../../parts/MarkSign';
import type { Finished, Running } from '../../types/views';

/** What is being checked just now, wherever. */
export function RunningChecks({ running }: { running: Running[] }) {
    return running.length === 0 ? null : (
        <section className="pb-4">
            <Heading className="mt-3">
                <Trans>Being checked</Trans>
            </Heading>
            <ul aria-label={t`Being checked`}>
                {running.map((check) => (
                    <li key={check.id} className="border-b border-rule py-1">
                        <Link href={to('check', { check: check.id })} className="link mono [overflow-wrap:anywhere]">
                            {check.code}
                        </Link>{' '}
                        <span className="aside">
                            {check.production}
                            {check.waits ? t`, waits for its turn` : t`, under way`}
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** What came to an end while the reader was away. */
export function FinishedChecks({ finished, since }: { finished: Finished[]; since: string | null }) {
    return finished.length === 0 || since === null ? null : (
        <section className="pb-4">
            <Heading className="mt-3">
                <Trans>Checked since you were here, {since}</Trans>
            </Heading>
            <ul aria-label={t`Checked since you were here`}>
                {finished.map((line) => (
                    <li key={line.id} className="grid grid-cols-[20px_1fr] border-b border-rule py-1">
                        <span>
                            <VerdictSign verdict={line.verdict} waived={line.waived} />
                        </span>
                        <span>
                            <Link
                                href={to(line.folio, { deliverable: line.id })}
                                className="link mono [overflow-wrap:anywhere]"
                            >
                                {line.code}
                            </Link>{' '}
                            {line.says}{' '}
                            <span className="aside">
                                {line.production}, {line.when}
                            </span>
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}
