import { t } from '@lingui/core/macro';
import { useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useCarried } from '../../lib/useCarried';
import { Field } from '../../parts/Field';
import type { PeoplePage } from '../../types/views';
import { Roster } from './Roster';

/** Invites one person, or many from a list. */
export function Invitation({ production, roles }: { production: number; roles: PeoplePage['roles'] }) {
    const form = useForm<{ role: string; people: string }>({ role: roles[0] ?? 'artist', people: '' });
    const { setData } = form;
    useCarried('people', (people) => setData('people', people));
    const many = form.data.people.split('\n').filter((line) => line.trim() !== '').length;
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('people.invite', { production }), {
            preserveScroll: true,
            onSuccess: () => form.reset('people'),
        });
    };

    return (
        <form className="max-w-[720px]" onSubmit={submit}>
            <Roster production={production} onRead={(people) => setData('people', people)} />
            <Field id="invite-role" label={t`As`} fault={form.errors.role}>
                <select
                    id="invite-role"
                    className="select w-48!"
                    value={form.data.role}
                    onChange={(event) => form.setData('role', event.target.value)}
                >
                    {roles.map((role) => (
                        <option key={role}>{role}</option>
                    ))}
                </select>
            </Field>
            <Field
                id="invite-people"
                label={t`Whom`}
                fault={form.errors.people}
                help={[
                    t`A line each: a name, an address, or both with a comma between. Empty: for anybody.`,
                    t`Behind # stands what another system calls them.`,
                ].join(' ')}
            >
                <textarea
                    id="invite-people"
                    className="textarea mono w-full"
                    rows={Math.min(12, Math.max(2, many + 1))}
                    placeholder={t`Brida Coil, brida@harbour.example`}
                    value={form.data.people}
                    onChange={(event) => form.setData('people', event.target.value)}
                />
            </Field>
            <p className="pt-2">
                <button className="btn" disabled={form.processing}>
                    {many > 1 ? t`Make ${many} links` : t`Make a link`}
                </button>
            </p>
        </form>
    );
}
