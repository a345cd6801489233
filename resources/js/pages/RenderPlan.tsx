import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { useTriedPlan } from '../features/render/plan';
import { Planned, Untimed } from '../features/render/Planned';
import { FrameList } from '../features/render/PlanTable';
import { to } from '../lib/route';
import { useAction } from '../lib/useAction';
import { Book } from '../parts/Book';
import { Fault } from '../parts/Fault';
import { Labelled } from '../parts/Field';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { RenderPlanPage } from '../types/views';

/** Everything that is still due, as one list over one pool of machines. */
export default function RenderPlan({ book, pool, plan, untimed }: RenderPlanPage) {
    const production = book.production.id;
    const [machines, setMachines] = useState(String(pool.machines));
    const [hours, setHours] = useState(pool.hours);
    const isKept = machines.trim() === String(pool.machines) && hours.trim() === pool.hours;
    const { tried, fault } = useTriedPlan(production, isKept ? null : { machines, hours });
    const action = useAction(t`This could not be saved.`);
    const shown = isKept ? plan : (tried ?? plan);
    const keep = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('patch', to('pool', { production }), { machines, hours, was: { ...pool } });
    };

    return (
        <Book title={t`${book.production.name}, render plan`} book={book}>
            <ProductionFolios book={book} at="plan" />
            <div className="px-6 pb-10">
                <form className="flex flex-wrap items-end gap-4 pt-4" onSubmit={keep}>
                    <Labelled label={t`Machines`}>
                        <input
                            className="input w-24!"
                            inputMode="numeric"
                            value={machines}
                            onChange={(event) => setMachines(event.target.value)}
                        />
                    </Labelled>
                    <Labelled label={t`Hours of the day that may be used`}>
                        <input
                            className="input w-48!"
                            value={hours}
                            placeholder={t`all day, or 19:00-07:00`}
                            onChange={(event) => setHours(event.target.value)}
                        />
                    </Labelled>
                    <button type="submit" className="btn" disabled={isKept}>
                        <Trans>Save these</Trans>
                    </button>
                    {shown.jobs.length > 0 && <FrameList plan={shown} />}
                </form>
                <Fault says={isKept ? null : (action.fault ?? fault)} className="pt-1" />
                <Planned plan={shown} />
                <Untimed lines={untimed} />
            </div>
        </Book>
    );
}
