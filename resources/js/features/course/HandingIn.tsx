import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { usePolling } from '../../lib/usePolling';
import { Breaking } from '../../parts/Breaking';
import { BrokenOff } from '../../parts/BrokenOff';
import { Fault } from '../../parts/Fault';
import { Heading } from '../../parts/Heading';
import { VerdictSign } from '../../parts/MarkSign';
import type { HandInPage } from '../../types/views';

/** What is asked, in plain words. */
export function Asked({ page: { own, deliverable } }: { page: HandInPage }) {
    return (
        <section aria-labelledby="asked">
            <Heading className="pt-4">
                <span id="asked">
                    <Trans>What is asked</Trans>
                </span>
            </Heading>
            {own.asked.map((says) => (
                <p key={says} className="said max-w-[70ch] pt-2">
                    <Breaking text={says} />
                </p>
            ))}
            <p className="pt-1">
                <Link href={to('hand-out', { deliverable: deliverable.id })} className="link">
                    <Trans>All of it as one page</Trans>
                </Link>
            </p>
        </section>
    );
}

/** What is wrong, why, and the one thing to do. */
function Trouble({ page: { causes, fixes } }: { page: HandInPage }) {
    if (causes.length === 0 && fixes.length === 0) {
        return null;
    }
    const [first, ...later] = fixes;

    return (
        <div className="max-w-[70ch] pt-3">
            {first !== undefined && (
                <p className="border-l-4 border-link bg-paper px-3 py-2">
                    <strong className="block">
                        <Trans>Do this first</Trans>
                    </strong>
                    <Breaking text={first} />
                </p>
            )}
            <ol className="list-decimal pt-2 pl-6">
                {causes.map(({ says, next }) => (
                    <li key={says} className="pb-1">
                        <Breaking text={says} />
                        {next !== '' && (
                            <span className="aside block">
                                <Breaking text={next} />
                            </span>
                        )}
                    </li>
                ))}
            </ol>
            {later.length > 0 && (
                <details>
                    <summary className="link">
                        <Trans>What to do after that</Trans>
                    </summary>
                    <ul className="list-disc pl-6">
                        {later.map((says) => (
                            <li key={says}>
                                <Breaking text={says} />
                            </li>
                        ))}
                    </ul>
                </details>
            )}
        </div>
    );
}

/** By what was checked last it is handed in. */
function Button({ page }: { page: HandInPage }) {
    const { check, deliverable, late, left, attempts } = page;
    const action = useAction(t`It could not be handed in.`);

    return (
        <div className="pt-3">
            {late !== null && (
                <p className="text-ochre">
                    <Trans>Handed in now it would be {late}.</Trans>
                </p>
            )}
            <p className="flex flex-wrap items-center gap-3 pt-1">
                <button
                    type="button"
                    className="btn btn-primary"
                    disabled={action.busy}
                    onClick={() =>
                        action.send(
                            'post',
                            to('hand-in.store', { deliverable: deliverable.id }),
                            { check: check?.id ?? 0 },
                            { names: ['refused'] },
                        )
                    }
                >
                    {attempts.length === 0 ? t`Hand in` : t`Hand in anew`}
                </button>
                {left !== null && (
                    <span className="text-faint">
                        {left === 1 ? t`This is the last attempt there is.` : t`${left} attempts are left.`}
                    </span>
                )}
            </p>
            <Fault says={action.fault} />
        </div>
    );
}

/** What it came to when it was checked last. */
function Stands({ page: { check, own } }: { page: HandInPage }) {
    return check === null ? (
        <p className="said pt-2">
            <Trans>Nothing was checked yet. Check as often as you like; only what you hand in counts.</Trans>
        </p>
    ) : (
        <p className="flex flex-wrap items-baseline gap-x-2 pt-2">
            <VerdictSign verdict={check.verdict} waived={false} />
            <span>
                {check.verdict === 'balanced'
                    ? t`All of it is as it is asked.`
                    : (own.holdsUp ?? t`Some of it could not be told.`)}
            </span>
            <Link className="link text-[13px]" href={to('check', { check: check.id })}>
                <Trans>checked {check.at}</Trans>
            </Link>
        </p>
    );
}

/** How it stands now, and handing it in. */
export function HandingIn({ page }: { page: HandInPage }) {
    const { obstacle, deliverable, needed, may, underWay, broken } = page;
    const of = { deliverable: deliverable.id };
    usePolling(
        async () => {
            await new Promise<void>((done) => router.reload({ onFinish: () => done() }));

            return 2000;
        },
        underWay ? 1000 : null,
    );

    return (
        <section aria-labelledby="handing-in">
            <Heading className="pt-6">
                <span id="handing-in">
                    <Trans>How it stands</Trans>
                </span>
            </Heading>
            <Stands page={page} />
            {broken !== null && may.handIn && (
                <div className="-mx-6">
                    <BrokenOff broken={broken} />
                </div>
            )}
            <Trouble page={page} />
            <p className="flex flex-wrap gap-3 pt-3">
                {needed !== 'files' && (
                    <Link href={to('scene', of)} className="btn">
                        <Trans>Check my settings</Trans>
                    </Link>
                )}
                {needed !== 'scene' && (
                    <Link href={to('frames', of)} className="btn">
                        <Trans>Check my files</Trans>
                    </Link>
                )}
            </p>
            {obstacle === null && may.handIn ? (
                <Button page={page} />
            ) : (
                <p className="pt-3 text-faint">
                    <Breaking text={obstacle ?? ''} />
                </p>
            )}
        </section>
    );
}
