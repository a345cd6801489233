import { Trans } from '@lingui/react/macro';
import type { NamedField } from '../types/views';

/** Choosing what a name stands for, by typing a part of it. */
export function FieldChoice({
    id,
    fields,
    value,
    onChange,
}: {
    id: string;
    fields: NamedField[];
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
            <option value="">
                <Trans>choose a setting</Trans>
            </option>
            <option value="-">
                <Trans>nothing that matters here</Trans>
            </option>
            {fields.map((field) => (
                <option key={field.field} value={field.field}>
                    {field.label}
                </option>
            ))}
        </select>
    );
}
