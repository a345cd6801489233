import { router } from '@inertiajs/react';
import { useId, useState } from 'react';
import { Breaking } from '../../parts/Breaking';

export interface Unknown {
    name: string;
    value: string;
    field: string | null;
}

export interface Field {
    field: string;
    label: string;
    units: string[];
}

/** Choosing what a name stands for, by typing a part of it. */
export function FieldChoice({
    id,
    fields,
    value,
    onChange,
}: {
    id: string;
    fields: Field[];
    value: string;
    onChange: (field: string) => void;
}) {
    return (
        <select
            id={id}
            className="select w-auto! max-w-[260px]"
            value={value}
            onChange={(event) => onChange(event.target.value)}
        >
            <option value="">choose a setting</option>
            <option value="-">nothing that matters here</option>
            {fields.map((field) => (
                <option key={field.field} value={field.field}>
                    {field.label}
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
    fields: Field[];
    decides: boolean;
}) {
    const [is, setIs] = useState(unknown.field ?? '');
    const [unit, setUnit] = useState('');
    const [stands, setStands] = useState('');
    const [all, setAll] = useState(decides);
    const [fault, setFault] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const id = useId();
    const chosen = fields.find((field) => field.field === is);
    const keep = () => {
        setBusy(true);
        router.post(
            `/deliverables/${deliverable}/scene/names`,
            {
                name: unknown.name,
                is: is === '-' || is === '' ? null : is,
                unit: unit === '' ? null : unit,
                word: stands.trim() === '' ? '' : unknown.value,
                stands: stands.trim(),
                all,
            },
            {
                preserveScroll: true,
                onError: (errors) => setFault(errors.point ?? Object.values(errors)[0] ?? 'This could not be kept.'),
                onFinish: () => setBusy(false),
            },
        );
    };

    return (
        <li className="border-t border-rule py-1.5 first:border-0">
            <form
                className="flex flex-wrap items-center gap-x-2 gap-y-1"
                onSubmit={(event) => {
                    event.preventDefault();
                    keep();
                }}
            >
                <label htmlFor={id} className="mono">
                    <Breaking text={unknown.name} />
                    <span className="text-faint"> = </span>
                    <Breaking text={unknown.value} />
                </label>
                <span className="text-faint">is</span>
                <FieldChoice
                    id={id}
                    fields={fields}
                    value={is}
                    onChange={(field) => {
                        setIs(field);
                        setUnit('');
                    }}
                />
                {(chosen?.units.length ?? 0) > 0 && (
                    <select
                        aria-label={`Unit of ${unknown.name}`}
                        className="select w-auto!"
                        value={unit}
                        onChange={(event) => setUnit(event.target.value)}
                    >
                        <option value="">as usual</option>
                        {chosen?.units.map((each) => (
                            <option key={each} value={each}>
                                {each}
                            </option>
                        ))}
                    </select>
                )}
                {is !== '' && is !== '-' && (
                    <label className="flex items-center gap-1.5">
                        <span className="text-faint">and “{unknown.value}” means</span>
                        <input
                            className="input w-28!"
                            value={stands}
                            placeholder="what it says"
                            onChange={(event) => setStands(event.target.value)}
                        />
                    </label>
                )}
                {decides && (
                    <label className="flex items-center gap-1.5 text-[13px]">
                        <input
                            type="checkbox"
                            className="checkbox"
                            checked={all}
                            onChange={(event) => setAll(event.target.checked)}
                        />
                        for the whole production
                    </label>
                )}
                <button type="submit" className="btn" disabled={busy || is === ''}>
                    {busy ? 'Reading again…' : 'Keep and read again'}
                </button>
            </form>
            {fault !== null && (
                <p role="alert" className="text-red">
                    {fault}
                </p>
            )}
        </li>
    );
}
