import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useForm, usePage } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { Field } from '../../parts/Field';

const NOTHING = { current: '', password: '', again: '' };

const FIELDS = [
    ['current', t`The one you have now`, 'current-password'],
    ['password', t`The new one`, 'new-password'],
    ['again', t`The new one again`, 'new-password'],
] as const;

/** One's own password, changed. */
export function Password() {
    const form = useForm(NOTHING);
    const { errors } = usePage().props;
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.patch(to('password'), { preserveScroll: true, onFinish: () => form.setData(NOTHING) });
    };

    return (
        <form className="max-w-[560px] pt-2" onSubmit={submit}>
            {FIELDS.map(([name, label, complete]) => (
                <Field
                    key={name}
                    id={`password-${name}`}
                    label={label}
                    fault={errors[name]}
                    {...(name === 'password'
                        ? { help: t`Twelve letters at least: several words that do not belong together.` }
                        : {})}
                >
                    <input
                        id={`password-${name}`}
                        type="password"
                        className="input"
                        autoComplete={complete}
                        value={form.data[name]}
                        onChange={(event) => form.setData(name, event.target.value)}
                    />
                </Field>
            ))}
            <p className="flex flex-wrap items-center gap-3 pt-2">
                <button type="submit" className="btn" disabled={form.processing}>
                    <Trans>Change the password</Trans>
                </button>
                <span className="text-[13px] text-faint">
                    <Trans>Wherever else you are signed in you are signed out.</Trans>
                </span>
            </p>
        </form>
    );
}
