import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useId, useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { FieldChoice } from '../../parts/FieldChoice';
import type { NamedField, ScenePage } from '../../types/views';

type Unknown = ScenePage['unknown'][number];

/** In which unit a name is told, where that makes a difference. */
function UnitChoice({
    name,
    units,
    unit,
    onChange,
}: {
    name: string;
    units: string[];
    unit: string;
    onChange: (unit: string) => void;
}) {
    return units.length === 0 ? null : (
        <select
            aria-label={t`Unit of ${name}`}
            className="select w-auto!"
            value={unit}
            onChange={(event) => onChange(event.target.value)}
        >
            <option value="">
                <Trans>as usual</Trans>
            </option>
            {units.map((each) => (
                <option key={each} value={each}>
                    {each}
                </option>
            ))}
        </select>
    );
}

/** One setting that was not understood, to be pointed at: its name, or the word for its value. */
export function PointAt({
    deliverable,
    unknown,
    fields,
    decides,
}: {
    deliverable: number;
    unknown: Unknown;
    fields: NamedField[];
    decides: boolean;
}) {
    const [given, setGiven] = useState({ is: unknown.field ?? '', unit: '', stands: '', all: decides });
    const action = useAction(t`This could not be saved.`);
    const id = useId();
    const units = fields.find((field) => field.field === given.is)?.units ?? [];
    const means = given.is !== '' && given.is !== '-';
    const keep = (event: SyntheticEvent) => {
        event.preventDefault();
        const stands = given.stands.trim();
        const data = {
            name: unknown.name,
            is: means ? given.is : null,
            unit: given.unit === '' ? null : given.unit,
            word: stands === '' ? '' : unknown.value,
            stands,
            all: given.all,
        };
        action.send('post', to('scene.point', { deliverable }), data, { names: ['point'] });
    };

    return (
        <li className="border-t border-rule py-1.5 first:border-0">
            <form className="flex flex-wrap items-center gap-x-2 gap-y-1" onSubmit={keep}>
                <label htmlFor={id} className="mono">
                    <Breaking text={unknown.name} />
                    <span className="text-faint"> = </span>
                    <Breaking text={unknown.value} />
                </label>
                <span className="text-faint">
                    <Trans>is</Trans>
                </span>
                <FieldChoice
                    id={id}
                    fields={fields}
                    value={given.is}
                    onChange={(is) => setGiven({ ...given, is, unit: '' })}
                />
                <UnitChoice
                    name={unknown.name}
                    units={units}
                    unit={given.unit}
                    onChange={(unit) => setGiven({ ...given, unit })}
                />
                {means && (
                    <label className="flex items-center gap-1.5">
                        <span className="text-faint">
                            <Trans>and “{unknown.value}” means</Trans>
                        </span>
                        <input
                            className="input w-28!"
                            value={given.stands}
                            placeholder={t`what it says`}
                            onChange={(event) => setGiven({ ...given, stands: event.target.value })}
                        />
                    </label>
                )}
                {decides && (
                    <label className="flex items-center gap-1.5 text-[13px]">
                        <input
                            type="checkbox"
                            className="checkbox"
                            checked={given.all}
                            onChange={(event) => setGiven({ ...given, all: event.target.checked })}
                        />
                        <Trans>for the whole production</Trans>
                    </label>
                )}
                <button type="submit" className="btn" disabled={action.busy || given.is === ''}>
                    {action.busy ? t`Reading again…` : t`Save and read again`}
                </button>
            </form>
            <Fault says={action.fault} />
        </li>
    );
}
