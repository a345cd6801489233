import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Field } from '../../parts/Field';
import type { Role } from '../../types/views';

interface Values {
    owner: string;
    due: string;
}

/** Who owes it, and until when. */
export function OwnerAndDue({
    people,
    values,
    errors,
    onChange,
}: {
    people: { id: number; name: string; role: Role }[];
    values: Values;
    errors: Partial<Record<string, string>>;
    onChange: (key: keyof Values, value: string) => void;
}) {
    return (
        <>
            <Field id="owner" label={t`Owner`} fault={errors.owner}>
                <select
                    id="owner"
                    className="select"
                    value={values.owner}
                    onChange={(event) => onChange('owner', event.target.value)}
                >
                    <option value="">
                        <Trans>nobody yet</Trans>
                    </option>
                    {people.map(({ id, name, role }) => (
                        <option key={id} value={id}>
                            {name}, {role}
                        </option>
                    ))}
                </select>
            </Field>
            <Field id="due" label={t`Due`} fault={errors.due}>
                <input
                    id="due"
                    type="datetime-local"
                    className="input w-56!"
                    value={values.due}
                    onChange={(event) => onChange('due', event.target.value)}
                />
            </Field>
        </>
    );
}
