import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import type { PastCheck } from '../../types/views';
import { to } from '../../lib/route';
import { MarkSign, verdictMark } from '../../parts/MarkSign';

export function PastChecks({ past, current }: { past: PastCheck[]; current: number | null }) {
    return past.length < 2 ? null : (
        <section className="mt-4">
            <h2 className="aside pb-1">
                <Trans>Past checks</Trans>
            </h2>
            <ul className="border-t border-ink text-[13px]">
                {past.map((check) => {
                    const mark = verdictMark(check.verdict, check.waived);

                    return (
                        <li key={check.id} className="border-b border-rule">
                            <Link
                                href={to('check', { check: check.id })}
                                aria-current={check.id === current ? 'true' : undefined}
                                className="grid grid-cols-[18px_1fr] gap-x-1 py-1 hover:bg-sheet"
                            >
                                <span>{mark !== null && <MarkSign mark={mark} label={check.verdict ?? ''} />}</span>
                                <span>
                                    <Trans>
                                        {check.made}, {check.of}, rev. {check.revision}
                                        <span className="block text-faint">{check.holdsUp}</span>
                                    </Trans>
                                </span>
                            </Link>
                            {current !== null && check.id !== current && (
                                <Link
                                    href={to('against', { check: current, other: check.id })}
                                    className="link mb-1 ml-[22px] inline-block text-[12.5px]"
                                    aria-label={t`beside this one: the check of ${check.made}`}
                                >
                                    <Trans>beside this one</Trans>
                                </Link>
                            )}
                        </li>
                    );
                })}
            </ul>
        </section>
    );
}
