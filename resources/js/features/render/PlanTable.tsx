import { Link } from '@inertiajs/react';
import { classes } from '../../lib/classes';
import type { Plan, PlanJob } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { MarkSign } from '../../parts/MarkSign';

function Ready({ job }: { job: PlanJob }) {
    if (job.ready === null) {
        return <span className="text-red">never: a frame takes longer than the hours that may be used</span>;
    }
    const [least, likely, most] = job.ready;

    return (
        <>
            {likely}
            {least !== most && (
                <span className="block text-[12.5px] text-faint">
                    between {least} and {most}
                </span>
            )}
        </>
    );
}

/** When each is ready, in the order in which they are rendered. */
export function PlanTable({ plan, alone }: { plan: Plan; alone: boolean }) {
    return (
        <table className="ledger mt-2">
            <thead>
                <tr>
                    {!alone && <th scope="col">deliverable</th>}
                    <th scope="col" className={alone ? '' : 'column'}>
                        frames
                    </th>
                    <th scope="col" className="column">
                        a frame takes
                    </th>
                    <th scope="col" className="column">
                        ready
                    </th>
                    <th scope="col" className="column">
                        due
                    </th>
                    <th scope="col" className="column">
                        disk
                    </th>
                </tr>
            </thead>
            <tbody>
                {plan.jobs.map((job) => (
                    <tr key={job.id}>
                        {!alone && (
                            <th scope="row">
                                <Link
                                    href={`/deliverables/${job.id}/render`}
                                    className="link mono [overflow-wrap:anywhere]"
                                >
                                    {job.code}
                                </Link>
                            </th>
                        )}
                        <td className={alone ? '' : 'column'}>
                            <span className="mono">
                                <Breaking text={job.frames} />
                            </span>
                            <span className="block text-[12.5px] text-faint">
                                {job.count} {job.count === 1 ? 'frame' : 'frames'}
                            </span>
                        </td>
                        <td className="column">
                            {job.perFrame}
                            {job.samples > 1 && (
                                <span className="block text-[12.5px] text-faint">from {job.samples} times</span>
                            )}
                        </td>
                        <td className="column">
                            <Ready job={job} />
                        </td>
                        <td className="column">
                            {job.due === null ? (
                                <span className="text-faint">no date</span>
                            ) : (
                                <span className="grid grid-cols-[18px_1fr] gap-x-1">
                                    <span>
                                        <MarkSign
                                            mark={
                                                job.word === 'in time'
                                                    ? 'equal'
                                                    : job.word === 'perhaps late'
                                                      ? 'unknown'
                                                      : 'unequal'
                                            }
                                            label={job.word}
                                        />
                                    </span>
                                    <span>
                                        {job.due}
                                        <span
                                            className={classes(
                                                'block text-[12.5px]',
                                                job.word === 'late' || job.word === 'never' ? 'text-red' : 'text-faint',
                                            )}
                                        >
                                            {job.word === 'late'
                                                ? (job.late ?? 'late')
                                                : `${job.word}${job.late === null ? '' : `, ${job.late}`}`}
                                        </span>
                                        {job.fits !== null && (
                                            <span className="block text-[12.5px]">
                                                In time:{' '}
                                                {job.fits.count === 0 ? (
                                                    'no frame'
                                                ) : (
                                                    <span className="mono">{job.fits.range}</span>
                                                )}
                                                {job.fits.scale !== null &&
                                                    `, or all of it at a scale of ${job.fits.scale} %`}
                                                .
                                            </span>
                                        )}
                                    </span>
                                </span>
                            )}
                        </td>
                        <td className="column">{job.disk ?? <span className="text-faint">not known</span>}</td>
                    </tr>
                ))}
            </tbody>
            {!alone && (
                <tfoot>
                    <tr>
                        <td>all of it</td>
                        <td className="column">{plan.frames} frames</td>
                        <td className="column" />
                        <td className="column">{plan.ready ?? 'never'}</td>
                        <td className="column">
                            {plan.jobs.filter((job) => job.word === 'late' || job.word === 'never').length} late
                        </td>
                        <td className="column">{plan.bytes ?? ''}</td>
                    </tr>
                </tfoot>
            )}
        </table>
    );
}

/** The list of frames for a queue: a line each, in the order of what is due. */
export function FrameList({ plan }: { plan: Plan }) {
    return (
        <CopyButton text={plan.jobs.map((job) => `${job.code}\t${job.frames}`).join('\n')}>
            Copy the list of frames
        </CopyButton>
    );
}
