import { t } from '@lingui/core/macro';
import type { useForm } from '@inertiajs/react';
import type { ReactNode } from 'react';
import { Field } from '../../parts/Field';

export interface ProductionData {
    name: string;
    code: string;
    kind: string;
    [key: string]: string;
}

/** What a production is called, and what it is. */
export function ProductionForm({
    form,
    kinds,
    children,
}: {
    form: ReturnType<typeof useForm<ProductionData>>;
    kinds: string[];
    children?: ReactNode;
}) {
    return (
        <>
            <Field id="production-name" label={t`Name`} fault={form.errors.name}>
                <input
                    id="production-name"
                    className="input"
                    value={form.data.name}
                    onChange={(event) => form.setData('name', event.target.value)}
                />
            </Field>
            <Field
                id="production-code"
                label={t`Code`}
                fault={form.errors.code}
                help={t`Short, like TC: it stands for '{production}' in names and folders.`}
            >
                <input
                    id="production-code"
                    className="input mono w-48!"
                    value={form.data.code}
                    onChange={(event) => form.setData('code', event.target.value)}
                />
            </Field>
            <Field
                id="production-kind"
                label={t`It is a`}
                fault={form.errors.kind}
                help={t`In a course deliverables are learners’ answers, and each learner has an own folder.`}
            >
                <select
                    id="production-kind"
                    className="select w-48!"
                    value={form.data.kind}
                    onChange={(event) => form.setData('kind', event.target.value)}
                >
                    {kinds.map((kind) => (
                        <option key={kind}>{kind}</option>
                    ))}
                </select>
            </Field>
            {children}
        </>
    );
}
