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
            <p className="said pt-2">No numbered frames are asked of this deliverable, so there is nothing to count.</p>
        );
    }

    return frames === '' ? (
        <p className="said pt-2">No frame is left to render.</p>
    ) : (
        <p className="said pt-2">
            {count} {count === 1 ? 'frame is' : 'frames are'} to be rendered:{' '}
            <span className="mono text-[15px]">
                <Breaking text={frames} />
            </span>
            .
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
    page: { from, unpacked },
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
            <Labelled label="Time for a frame, or of several">
                <input
                    className="input w-64!"
                    value={given.times}
                    placeholder={from !== null && from !== 'typed' ? `known ${from}` : '62 s, 1:10, 58 s'}
                    onChange={set('times')}
                />
            </Labelled>
            <Labelled label="A frame takes on disk">
                <input
                    className="input w-44!"
                    value={given.size}
                    placeholder={unpacked === null ? '14 MB' : `unpacked ${unpacked}`}
                    onChange={set('size')}
                />
            </Labelled>
            <Labelled label="Machines">
                <input className="input w-20!" inputMode="numeric" value={given.machines} onChange={set('machines')} />
            </Labelled>
            <Labelled label="Hours that may be used">
                <input className="input w-40!" value={given.hours} placeholder="all day" onChange={set('hours')} />
            </Labelled>
        </>
    );
}

function Planned({ plan, isDue }: { plan: RenderPage['plan']; isDue: boolean }) {
    if (plan === null) {
        return isDue ? (
            <p className="pt-2 text-faint">
                Type what a frame takes, or bring a log below; of several times it makes a range.
            </p>
        ) : null;
    }

    return plan.jobs.length === 0 ? null : (
        <>
            <PlanTable plan={plan} alone />
            {plan.needed !== null && <p className="pt-1">With {plan.needed} machines it would be in time.</p>}
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
    const action = useAction('This could not be kept.');
    const shown = isKept ? page.plan : tried;
    const keep = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('patch', to('render.update', { deliverable }), { times, size }, { names: ['times', 'size'] });
    };

    return (
        <section aria-label="Estimate">
            <Heading className="pt-4">When it will be ready</Heading>
            <Due frames={frames} count={page.count} />
            <form className="flex flex-wrap items-end gap-4 pt-2" onSubmit={keep}>
                <Fields page={page} given={given} onChange={setGiven} />
                <button type="submit" className="btn" disabled={times === typed.times && size === typed.size}>
                    Keep
                </button>
            </form>
            <Fault says={action.fault ?? fault} className="pt-1" />
            <div aria-live="polite">
                <Planned plan={shown} isDue={frames !== null && frames !== ''} />
            </div>
        </section>
    );
}
