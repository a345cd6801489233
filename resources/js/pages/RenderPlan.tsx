import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { useTriedPlan } from '../features/render/plan';
import { Book } from '../parts/Book';
import { FrameList, PlanTable } from '../features/render/PlanTable';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { Book as BookData, Plan } from '../types/views';

interface Props {
    book: BookData;
    pool: { machines: number; hours: string };
    plan: Plan;
    untimed: { id: number; code: string; frames: string }[];
}

/** Everything that is still due, as one list over one pool of machines. */
export default function RenderPlan({ book, pool, plan, untimed }: Props) {
    const [machines, setMachines] = useState(String(pool.machines));
    const [hours, setHours] = useState(pool.hours);
    const same = machines.trim() === String(pool.machines) && hours.trim() === pool.hours;
    const { tried, fault, setFault } = useTriedPlan(book.production.id, same ? null : { machines, hours });
    const shown = same ? plan : (tried ?? plan);
    const told = same ? null : fault;

    return (
        <Book title={`${book.production.name}, render plan`} book={book}>
            <ProductionFolios book={book} at="/render" />
            <div className="px-6 pb-10">
                <form
                    className="flex flex-wrap items-end gap-4 pt-4"
                    onSubmit={(event) => {
                        event.preventDefault();
                        router.patch(
                            `/productions/${book.production.id}/pool`,
                            { machines, hours, was: pool },
                            { preserveScroll: true, onError: (errors) => setFault(Object.values(errors)[0] ?? null) },
                        );
                    }}
                >
                    <label>
                        <span className="aside block">Machines</span>
                        <input
                            className="input w-24!"
                            inputMode="numeric"
                            value={machines}
                            onChange={(event) => setMachines(event.target.value)}
                        />
                    </label>
                    <label>
                        <span className="aside block">Hours of the day that may be used</span>
                        <input
                            className="input w-48!"
                            value={hours}
                            placeholder="all day, or 19:00-07:00"
                            onChange={(event) => setHours(event.target.value)}
                        />
                    </label>
                    <button type="submit" className="btn" disabled={same}>
                        Keep these
                    </button>
                    {shown.jobs.length > 0 && <FrameList plan={shown} />}
                </form>
                {told !== null && (
                    <p role="alert" className="pt-1 text-red">
                        {told}
                    </p>
                )}
                {shown.jobs.length === 0 ? (
                    <p className="said max-w-[62ch] pt-4">
                        Nothing can be planned yet: no deliverable has frames left to render and a time for one of them.
                        Type the time of a frame on a deliverable’s page “Render”, or bring its log there.
                    </p>
                ) : (
                    <div aria-live="polite">
                        <p className="said pt-3">
                            {shown.ready === null
                                ? 'Not all of it can be rendered in these hours.'
                                : `${shown.frames} frames on ${shown.machines} ` +
                                  (shown.machines === 1 ? 'machine, ' : 'machines, ') +
                                  `begun now: ready ${shown.ready}.`}{' '}
                            {shown.needed === null
                                ? shown.jobs.some((job) => job.word === 'late')
                                    ? 'No count of machines would make it.'
                                    : shown.ready !== null && 'All that has a date is in time.'
                                : `With ${shown.needed} machines all of it would be in time.`}
                        </p>
                        <PlanTable plan={shown} alone={false} />
                    </div>
                )}
                {untimed.length > 0 && (
                    <section className="pt-5" aria-label="Without a time">
                        <h2 className="title border-b border-edge pb-1 text-[18px]">
                            Due, and no time of a frame is known
                        </h2>
                        <ul>
                            {untimed.map((each) => (
                                <li key={each.id} className="border-b border-rule py-1">
                                    <Link href={`/deliverables/${each.id}/render`} className="link mono">
                                        {each.code}
                                    </Link>{' '}
                                    <span className="mono text-faint">{each.frames}</span>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
            </div>
        </Book>
    );
}
