import { counted } from '../../lib/frames';
import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Heading } from '../../parts/Heading';
import type { Plan, RenderPlanPage } from '../../types/views';
import { PlanTable } from './PlanTable';

/** When all of it is ready, in a sentence. */
function readyInWords({ ready, frames, machines }: Plan): string {
    return ready === null
        ? t`Not all of it can be rendered in these hours.`
        : t`${frames} frames on ${counted(machines, t`machine`, t`machines`)}, begun now: ready ${ready}.`;
}

/** What would make it be in time. */
function needInWords({ needed, jobs, ready }: Plan): string {
    if (needed !== null) {
        return t`With ${needed} machines all of it would be in time.`;
    }
    if (jobs.some((job) => job.word === 'late')) {
        return t`No count of machines would make it.`;
    }

    return ready === null ? '' : t`All that has a date is in time.`;
}

/** All that is due, as one list over one pool of machines. */
export function Planned({ plan }: { plan: Plan }) {
    return plan.jobs.length === 0 ? (
        <p className="said max-w-[62ch] pt-4">
            <Trans>
                Nothing can be planned yet: no deliverable has frames left to render and a time for one of them. Type
                the time of a frame on a deliverable’s page “Render”, or bring its log there.
            </Trans>
        </p>
    ) : (
        <div aria-live="polite">
            <p className="said pt-3">
                {readyInWords(plan)} {needInWords(plan)}
            </p>
            <PlanTable plan={plan} alone={false} />
        </div>
    );
}

/** What is due, and cannot be planned. */
export function Untimed({ lines }: { lines: RenderPlanPage['untimed'] }) {
    return lines.length === 0 ? null : (
        <section className="pt-5" aria-label={t`Without a time`}>
            <Heading>
                <Trans>Due, and no time of a frame is known</Trans>
            </Heading>
            <ul>
                {lines.map((each) => (
                    <li key={each.id} className="border-b border-rule py-1">
                        <Link href={to('render', { deliverable: each.id })} className="link mono">
                            {each.code}
                        </Link>{' '}
                        <span className="mono text-faint">{each.frames}</span>
                    </li>
                ))}
            </ul>
        </section>
    );
}
