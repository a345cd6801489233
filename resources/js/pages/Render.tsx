import { router } from '@inertiajs/react';
import { useState } from 'react';
import { useTriedPlan } from '../features/render/plan';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { BringLog } from '../features/render/BringLog';
import { Folios } from '../parts/Folios';
import { LogFollowed } from '../features/render/LogFollowed';
import { PlanTable } from '../features/render/PlanTable';
import type { Book as BookData, DeliverableHead, LogShown, Plan } from '../types/views';

interface Props {
    book: BookData;
    deliverable: DeliverableHead;
    frames: string | null;
    count: number;
    typed: { times: string; size: string };
    from: string | null;
    unpacked: string | null;
    pool: { machines: number; hours: string };
    plan: Plan | null;
    log: LogShown | null;
    shapes: string[];
    roots: { id: number; label: string; own: string }[];
}

function Estimate({ book, deliverable, frames, count, typed, from, unpacked, pool, plan }: Props) {
    const [times, setTimes] = useState(typed.times);
    const [size, setSize] = useState(typed.size);
    const [machines, setMachines] = useState(String(pool.machines));
    const [hours, setHours] = useState(pool.hours);
    const same = times === typed.times && machines === String(pool.machines) && hours === pool.hours;
    const { tried, fault, setFault } = useTriedPlan(
        book.production.id,
        same ? null : { machines, hours, deliverable: deliverable.id, times },
    );
    const shown = same ? plan : tried;

    return (
        <section aria-label="Estimate">
            <h2 className="title border-b border-edge pt-4 pb-1 text-[18px]">When it will be ready</h2>
            {frames === null ? (
                <p className="said pt-2">
                    No numbered frames are asked of this deliverable, so there is nothing to count.
                </p>
            ) : frames === '' ? (
                <p className="said pt-2">No frame is left to render.</p>
            ) : (
                <p className="said pt-2">
                    {count} {count === 1 ? 'frame is' : 'frames are'} to be rendered:{' '}
                    <span className="mono text-[15px]">
                        <Breaking text={frames} />
                    </span>
                    .
                </p>
            )}
            <form
                className="flex flex-wrap items-end gap-4 pt-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    router.patch(
                        `/deliverables/${deliverable.id}/render`,
                        { times, size },
                        {
                            preserveScroll: true,
                            onError: (errors) =>
                                setFault(errors.times ?? errors.size ?? Object.values(errors)[0] ?? null),
                            onSuccess: () => setFault(null),
                        },
                    );
                }}
            >
                <label>
                    <span className="aside block">Time for a frame, or of several</span>
                    <input
                        className="input w-64!"
                        value={times}
                        placeholder={from !== null && from !== 'typed' ? `known ${from}` : '62 s, 1:10, 58 s'}
                        onChange={(event) => setTimes(event.target.value)}
                    />
                </label>
                <label>
                    <span className="aside block">A frame takes on disk</span>
                    <input
                        className="input w-44!"
                        value={size}
                        placeholder={unpacked === null ? '14 MB' : `unpacked ${unpacked}`}
                        onChange={(event) => setSize(event.target.value)}
                    />
                </label>
                <label>
                    <span className="aside block">Machines</span>
                    <input
                        className="input w-20!"
                        inputMode="numeric"
                        value={machines}
                        onChange={(event) => setMachines(event.target.value)}
                    />
                </label>
                <label>
                    <span className="aside block">Hours that may be used</span>
                    <input
                        className="input w-40!"
                        value={hours}
                        placeholder="all day"
                        onChange={(event) => setHours(event.target.value)}
                    />
                </label>
                <button type="submit" className="btn" disabled={times === typed.times && size === typed.size}>
                    Keep
                </button>
            </form>
            {fault !== null && (
                <p role="alert" className="pt-1 text-red">
                    {fault}
                </p>
            )}
            <div aria-live="polite">
                {shown !== null && shown.jobs.length > 0 && (
                    <>
                        <PlanTable plan={shown} alone />
                        {shown.needed !== null && (
                            <p className="pt-1">With {shown.needed} machines it would be in time.</p>
                        )}
                    </>
                )}
                {shown === null && frames !== null && frames !== '' && (
                    <p className="pt-2 text-faint">
                        Type what a frame takes, or bring a log below; of several times it makes a range.
                    </p>
                )}
            </div>
        </section>
    );
}

/** Before and during the render: when it will be ready, and how far it is. */
export default function Render(props: Props) {
    const { book, deliverable, log, shapes, roots } = props;

    return (
        <Book title={`${deliverable.code}, render`} book={book} deliverable={deliverable}>
            <Folios deliverable={deliverable} at="render" />
            <div className="px-6 pb-10">
                <Estimate key={`${props.typed.times}/${props.typed.size}`} {...props} />
                <section aria-label="Render log">
                    <h2 className="title mt-6 border-b border-edge pb-1 text-[18px]">How far it is</h2>
                    {log !== null && <LogFollowed key={log.id} log={log} />}
                    {log === null && (
                        <p className="said max-w-[62ch] pt-2">
                            Bring the log of the render: it tells how far it is, the pace, which frames took unusually
                            long, and from which frame to go on after an interruption.
                        </p>
                    )}
                    <BringLog deliverable={deliverable.id} shapes={shapes} roots={roots} />
                </section>
            </div>
        </Book>
    );
}
