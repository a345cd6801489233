import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { classes } from '../../lib/classes';
import { to } from '../../lib/route';
import { LedgerHead } from '../../parts/LedgerHead';
import type { Mark, Plan, PlanJob } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { MarkSign } from '../../parts/MarkSign';

function Ready({ job }: { job: PlanJob }) {
    if (job.ready === null) {
        return (
            <span className="text-red">
                <Trans>never: a frame takes longer than the hours that may be used</Trans>
            </span>
        );
    }
    const [least, likely, most] = job.ready;

    return (
        <>
            {likely}
            {least !== most && (
                <span className="block text-[12.5px] text-faint">
                    <Trans>
                        between {least} and {most}
                    </Trans>
                </span>
            )}
        </>
    );
}

const MARKS: Record<PlanJob['word'], Mark> = {
    'in time': 'equal',
    'no date': 'unknown',
    'perhaps late': 'unknown',
    late: 'unequal',
    never: 'unequal',
};

/** Whether it is in time, and by how much. */
function lateInWords({ word, late }: PlanJob): string {
    if (late === null) {
        return word;
    }

    return word === 'late' ? late : `${word}, ${late}`;
}

/** What would be in time, where all of it is not. */
function Fits({ fits }: { fits: PlanJob['fits'] }) {
    return fits === null ? null : (
        <span className="block text-[12.5px]">
            <Trans>
                In time: {fits.count === 0 ? t`no frame` : <span className="mono">{fits.range}</span>}
                {fits.scale !== null && t`, or all of it at a scale of ${fits.scale} %`}.
            </Trans>
        </span>
    );
}

function Due({ job }: { job: PlanJob }) {
    if (job.due === null) {
        return (
            <span className="text-faint">
                <Trans>no date</Trans>
            </span>
        );
    }
    const isLate = job.word === 'late' || job.word === 'never';

    return (
        <span className="grid grid-cols-[18px_1fr] gap-x-1">
            <span>
                <MarkSign mark={MARKS[job.word]} label={job.word} />
            </span>
            <span>
                {job.due}
                <span className={classes('block text-[12.5px]', isLate ? 'text-red' : 'text-faint')}>
                    {lateInWords(job)}
                </span>
                <Fits fits={job.fits} />
            </span>
        </span>
    );
}

function Row({ job, alone }: { job: PlanJob; alone: boolean }) {
    return (
        <tr>
            {!alone && (
                <th scope="row">
                    <Link href={to('render', { deliverable: job.id })} className="link mono [overflow-wrap:anywhere]">
                        {job.code}
                    </Link>
                </th>
            )}
            <td className={alone ? '' : 'column'}>
                <span className="mono">
                    <Breaking text={job.frames} />
                </span>
                <span className="block text-[12.5px] text-faint">
                    {job.count} {job.count === 1 ? t`frame` : t`frames`}
                </span>
            </td>
            <td className="column">
                {job.perFrame}
                {job.samples > 1 && (
                    <span className="block text-[12.5px] text-faint">
                        <Trans>from {job.samples} times</Trans>
                    </span>
                )}
            </td>
            <td className="column">
                <Ready job={job} />
            </td>
            <td className="column">
                <Due job={job} />
            </td>
            <td className="column">
                {job.disk ?? (
                    <span className="text-faint">
                        <Trans>not known</Trans>
                    </span>
                )}
            </td>
        </tr>
    );
}

/** When each is ready, in the order in which they are rendered. */
export function PlanTable({ plan, alone }: { plan: Plan; alone: boolean }) {
    const columns = ['frames', t`a frame takes`, 'ready', 'due', 'disk'];
    const late = plan.jobs.filter((job) => job.word === 'late' || job.word === 'never').length;

    return (
        <table className="ledger mt-2">
            <LedgerHead columns={[...(alone ? [] : [t`deliverable`]), ...columns].map((name) => [name] as const)} />
            <tbody>
                {plan.jobs.map((job) => (
                    <Row key={job.id} job={job} alone={alone} />
                ))}
            </tbody>
            {!alone && (
                <tfoot>
                    <tr>
                        <td>
                            <Trans>all of it</Trans>
                        </td>
                        <td className="column">
                            <Trans>{plan.frames} frames</Trans>
                        </td>
                        <td className="column" />
                        <td className="column">{plan.ready ?? t`never`}</td>
                        <td className="column">
                            <Trans>{late} late</Trans>
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
            {t`Copy the list of frames`}
        </CopyButton>
    );
}
