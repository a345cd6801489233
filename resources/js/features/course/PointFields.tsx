import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Labelled, Radios } from '../../parts/Field';
import type { AssignmentForm } from '../../types/views';
import type { Judging } from './judging';

const REST = '*';

function Field({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
    return (
        <Labelled label={label}>
            <input
                className="input mono w-24!"
                inputMode="decimal"
                value={value}
                onChange={(event) => onChange(event.target.value)}
            />
        </Labelled>
    );
}

/** Points of a line of its own: it counts in no group then. */
function OwnLine({
    asked,
    lines,
    onChange,
}: {
    asked: AssignmentForm['asked'];
    lines: Judging['lines'];
    onChange: (lines: Judging['lines']) => void;
}) {
    const others = asked.filter(({ id }) => !(id in lines));

    return (
        <>
            {Object.entries(lines).map(([id, points]) => (
                <Field
                    key={id}
                    label={asked.find((each) => each.id === id)?.label ?? id}
                    value={points}
                    onChange={(value) => onChange({ ...lines, [id]: value })}
                />
            ))}
            {others.length > 0 && (
                <Labelled label={t`a line with points of its own`}>
                    <select
                        className="select w-56!"
                        value=""
                        onChange={(event) => onChange({ ...lines, [event.target.value]: '' })}
                    >
                        <option value="" disabled>
                            {t`choose one`}
                        </option>
                        {others.map(({ id, label, group }) => (
                            <option key={id} value={id}>
                                {group}: {label}
                            </option>
                        ))}
                    </select>
                </Labelled>
            )}
        </>
    );
}

/** What lines are worth: by group, or by a line of its own. */
export function PointFields({
    form,
    asked,
    onChange,
}: {
    form: Judging;
    asked: AssignmentForm['asked'];
    onChange: (what: Partial<Judging>) => void;
}) {
    const groups = [...new Set([...asked.map(({ group }) => group), ...Object.keys(form.groups)])].filter(
        (name) => name !== REST,
    );
    const give = (name: string, value: string) => onChange({ groups: { ...form.groups, [name]: value } });

    return (
        <fieldset className="border-b border-rule py-3">
            <legend className="font-semibold">
                <Trans>Points</Trans>
            </legend>
            <div className="flex flex-wrap gap-x-5 gap-y-2">
                {groups.map((name) => (
                    <Field
                        key={name}
                        label={name}
                        value={form.groups[name] ?? ''}
                        onChange={(value) => give(name, value)}
                    />
                ))}
                <Field
                    label={t`all others together`}
                    value={form.groups[REST] ?? ''}
                    onChange={(value) => give(REST, value)}
                />
                <OwnLine asked={asked} lines={form.lines} onChange={(lines) => onChange({ lines })} />
                <Field
                    label={t`bonus for what only should hold`}
                    value={form.bonus}
                    onChange={(bonus) => onChange({ bonus })}
                />
            </div>
            <p className="flex flex-wrap gap-x-4 pt-2" role="group" aria-label={t`How points of a group are shared`}>
                <Radios
                    name="share"
                    words={[
                        ['part', t`a group earns as much as lines of it hold`],
                        ['all', t`a group earns its points only where all of it holds`],
                    ]}
                    chosen={form.share}
                    onChoose={(share) => onChange({ share })}
                />
            </p>
        </fieldset>
    );
}
