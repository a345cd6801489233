import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { Field } from '../../parts/Field';
import type { SettingsPage } from '../../types/views';

/** How much a production may take of the machine. */
export function Limits({ production, limits }: { production: number; limits: SettingsPage['limits'] }) {
    const form = useForm<Record<string, string>>(
        Object.fromEntries(limits.map(({ word, own }) => [word, own === null ? '' : String(own)])),
    );
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.patch(to('limits', { production }), { preserveScroll: true });
    };

    return (
        <form onSubmit={submit} className="max-w-[720px]" noValidate>
            {limits.map(({ word, says, usual }) => (
                <Field
                    key={word}
                    id={`limit-${word}`}
                    label={says}
                    fault={form.errors[word]}
                    help={t`Empty: ${usual.toLocaleString('en')}, as usual.`}
                >
                    <input
                        id={`limit-${word}`}
                        className="input mono w-56! max-w-full"
                        inputMode="numeric"
                        value={form.data[word] ?? ''}
                        onChange={(event) => form.setData(word, event.target.value)}
                    />
                </Field>
            ))}
            <p className="pt-2">
                <button className="btn" disabled={form.processing || !form.isDirty}>
                    <Trans>Save</Trans>
                </button>
            </p>
        </form>
    );
}
