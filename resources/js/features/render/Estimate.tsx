import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import { Heading } from '../../parts/Heading';
import type { RenderPage } from '../../types/views';
import { useTriedPlan } from './plan';
import { PlanTable } from './PlanTable';

/** What is to be rendered. */
function Due({ frames, count }: { frames: string | null; count: number }) {
    if (frames === null) {
        return (
            <p className="said pt-2">
                <Trans>No numbered frames are asked of this deliverable, so there is nothing to count.</Trans>
            </p>
        );
    }

    return frames === '' ? (
        <p className="said pt-2">
            <Trans>No frame is left to render.</Trans>
        </p>
    ) : (
        <p className="said pt-2">
            <Trans>
                {count} {count === 1 ? t`frame is` : t`frames are`} to be rendered:{' '}
                <span className="mono text-[15px]">
                    <Breaking text={frames} />
                </span>
                .
            </Trans>
        </p>
    );
}

interface Given {
    times: string;
    size: string;
    machines: string;
    hours: string;
}

/** What a frame takes, on how many machines, and when. */
function Fields({
    page: { from, uncompressed },
    given,
    onChange,
}: {
    page: RenderPage;
    given: Given;
    onChange: (given: Given) => void;
}) {
    const set = (key: keyof Given) => (event: { target: { value: string } }) =>
        onChange({ ...given, [key]: event.target.value });

    return (
        <>
            <Labelled label={t`Time for a frame, or of several`}>
                <input
                    className="input w-64!"
                    value={given.times}
                    placeholder={from !== null && from !== 'typed' ? t`known ${from}` : t`62 s, 1:10, 58 s`}
                    onChange={set('times')}
                />
            </Labelled>
            <Labelled label={t`A frame takes on disk`}>
                <input
                    className="input w-44!"
                    value={given.size}
                    placeholder={uncompressed === null ? t`14 MB` : t`uncompressed ${uncompressed}`}
                    onChange={set('size')}
                />
            </Labelled>
            <Labelled label={t`Machines`}>
                <input className="input w-20!" inputMode="numeric" value={given.machines} onChange={set('machines')} />
            </Labelled>
            <Labelled label={t`Hours that may be used`}>
                <input className="input w-40!" value={given.hours} placeholder={t`all day`} onChange={set('hours')} />
            </Labelled>
        </>
    );
}

function Planned({ plan, isDue }: { plan: RenderPage['plan']; isDue: boolean }) {
    if (plan === null) {
        return isDue ? (
            <p className="pt-2 text-faint">
                <Trans>Type what a frame takes, or bring a log below; of several times it makes a range.</Trans>
            </p>
        ) : null;
    }

    return plan.jobs.length === 0 ? null : (
        <>
            <PlanTable plan={plan} alone />
            {plan.needed !== null && (
                <p className="pt-1">
                    <Trans>With {plan.needed} machines it would be in time.</Trans>
                </p>
            )}
        </>
    );
}

/** When it will be ready, by what a frame takes; tried as one types, and kept when somebody says so. */
export function Estimate({ page }: { page: RenderPage }) {
    const { typed, pool, frames } = page;
    const deliverable = page.deliverable.id;
    const [given, setGiven] = useState<Given>({ ...typed, machines: String(pool.machines), hours: pool.hours });
    const { times, size, machines, hours } = given;
    const isKept = times === typed.times && machines === String(pool.machines) && hours === pool.hours;
    const { tried, fault } = useTriedPlan(
        page.book.production.id,
        isKept ? null : { machines, hours, deliverable, times },
    );
    const action = useAction(t`This could not be saved.`);
    const shown = isKept ? page.plan : tried;
    const keep = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('patch', to('render.update', { deliverable }), { times, size }, { names: ['times', 'size'] });
    };

    return (
        <section aria-label={t`Estimate`}>
            <Heading className="pt-4">
                <Trans>When it will be ready</Trans>
            </Heading>
            <Due frames={frames} count={page.count} />
            <form className="flex flex-wrap items-end gap-4 pt-2" onSubmit={keep}>
                <Fields page={page} given={given} onChange={setGiven} />
                <button type="submit" className="btn" disabled={times === typed.times && size === typed.size}>
                    <Trans>Save</Trans>
                </button>
            </form>
            <Fault says={action.fault ?? fault} className="pt-1" />
            <div aria-live="polite">
                <Planned plan={shown} isDue={frames !== null && frames !== ''} />
            </div>
        </section>
    );
}
