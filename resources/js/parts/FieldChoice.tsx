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
