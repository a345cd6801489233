import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { Labelled, Radios } from '../../parts/Field';
import type { AssignmentPage } from '../../types/views';
import { PointFields } from './PointFields';
import { sent, typed, type Judging as Form } from './judging';

interface Part {
    form: Form;
    give: (what: Partial<Form>) => void;
}

function Short({
    label,
    value,
    onChange,
    wide = false,
}: {
    label: string;
    value: string;
    onChange: (value: string) => void;
    wide?: boolean;
}) {
    return (
        <Labelled label={label}>
            <input
                className={wide ? 'input w-40!' : 'input w-24!'}
                inputMode="decimal"
                value={value}
                onChange={(event) => onChange(event.target.value)}
            />
        </Labelled>
    );
}

function Time({ form, give, zone }: Part & { zone: string }) {
    return (
        <fieldset className="flex flex-wrap gap-x-5 gap-y-2 border-b border-rule py-3">
            <legend className="font-semibold">
                <Trans>Time</Trans>
            </legend>
            <Labelled label={t`due, ${zone}`}>
                <input
                    type="datetime-local"
                    className="input w-52!"
                    value={form.due}
                    onChange={(event) => give({ due: event.target.value })}
                />
            </Labelled>
            <Short label={t`grace, minutes`} value={form.grace} onChange={(grace) => give({ grace })} />
            <Short label={t`off a day, %`} value={form.percent} onChange={(percent) => give({ percent })} />
            <Short label={t`off at most, %`} value={form.most} onChange={(most) => give({ most })} />
            <Short
                label={t`closes after days (empty: never)`}
                value={form.closes}
                onChange={(closes) => give({ closes })}
            />
        </fieldset>
    );
}

function Attempts({ form, give }: Part) {
    return (
        <fieldset className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b border-rule py-3">
            <legend className="font-semibold">
                <Trans>Handing in</Trans>
            </legend>
            <Short
                label={t`attempts (empty: any number)`}
                value={form.attempts}
                onChange={(attempts) => give({ attempts })}
            />
            <span className="flex flex-wrap gap-x-4" role="group" aria-label={t`Which attempt counts`}>
                <Radios
                    name="counts"
                    words={[
                        ['last', t`the last counts`],
                        ['best', t`the best counts`],
                    ]}
                    chosen={form.counts}
                    onChoose={(counts) => give({ counts })}
                />
            </span>
            <Labelled label={t`what has to be checked`}>
                <select
                    className="select w-auto!"
                    value={form.needed}
                    onChange={(event) => give({ needed: event.target.value as Form['needed'] })}
                >
                    <option value="files">{t`files`}</option>
                    <option value="scene">{t`settings of the scene`}</option>
                    <option value="both">{t`both`}</option>
                </select>
            </Labelled>
            <label className="flex items-center gap-1.5">
                <input
                    type="checkbox"
                    className="checkbox"
                    checked={form.anonymous}
                    onChange={(event) => give({ anonymous: event.target.checked })}
                />
                <Trans>names are kept from those who mark until points are told</Trans>
            </label>
        </fieldset>
    );
}

/** How everybody is judged, the same for all. */
export function Judging({ page: { id, form: kept, rows } }: { page: AssignmentPage }) {
    const [form, setForm] = useState(() => typed(kept));
    const give = (what: Partial<Form>) => setForm((was) => ({ ...was, ...what }));
    const action = useAction(t`It could not be kept.`);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('patch', to('assignment.save', { specification: id }), sent(form), {
            names: ['refused', 'due', 'rules'],
        });
    };

    return (
        <details className="pt-6" open={rows.every(({ attempts }) => attempts === 0)}>
            <summary className="title border-b border-edge pb-1 text-[18px]">
                <Trans>How it is judged</Trans>
            </summary>
            <form onSubmit={submit} aria-label={t`How it is judged`}>
                <Time form={form} give={give} zone={kept.zone} />
                <Attempts form={form} give={give} />
                <PointFields form={form} asked={kept.asked} onChange={give} />
                <p className="flex flex-wrap items-center gap-3 pt-3">
                    <button className="btn btn-primary" disabled={action.busy}>
                        <Trans>Save</Trans>
                    </button>
                    <span className="text-[13px] text-faint">
                        <Trans>What was handed in before is judged the same way.</Trans>
                    </span>
                </p>
                <Fault says={action.fault} />
            </form>
        </details>
    );
}
