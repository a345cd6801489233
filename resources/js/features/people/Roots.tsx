import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router, useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { CopyButton } from '../../parts/CopyButton';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import type { SettingsPage } from '../../types/views';

type Root = SettingsPage['roots'][number];

/** A folder that files lie in, as it is called and where it is; or a new one. */
function RootForm({ production, root }: { production: number; root: Root | null }) {
    const form = useForm({ label: root?.label ?? '', path: root?.path ?? '' });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        if (root === null) {
            form.post(to('root.add', { production }), { preserveScroll: true, onSuccess: () => form.reset() });
        } else {
            form.patch(to('root.update', { production, intakeRoot: root.id }), { preserveScroll: true });
        }
    };
    const drop = () => {
        if (root !== null && window.confirm(t`Remove “${root.label}” here? The folder itself stays as it is.`)) {
            router.delete(to('root.drop', { production, intakeRoot: root.id }), { preserveScroll: true });
        }
    };

    return (
        <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
            <Labelled label={t`called`}>
                <input
                    className="input w-40!"
                    value={form.data.label}
                    onChange={(event) => form.setData('label', event.target.value)}
                />
            </Labelled>
            <Labelled label={t`path below the intake`}>
                <input
                    className="input mono w-72!"
                    value={form.data.path}
                    onChange={(event) => form.setData('path', event.target.value)}
                />
            </Labelled>
            <button className="btn" disabled={form.processing || (root !== null && !form.isDirty)}>
                {root === null ? t`Add` : t`Save`}
            </button>
            {root !== null && (
                <button type="button" className="link" onClick={drop}>
                    <Trans>Remove</Trans>
                </button>
            )}
            <Fault says={form.errors.label ?? form.errors.path} className="w-full text-[13px]" />
        </form>
    );
}

/** Where files of a production lie. */
export function Roots({ production, roots }: { production: number; roots: Root[] }) {
    return (
        <ul>
            {roots.map((root) => (
                <li key={`${root.id} ${root.path}`} className="border-b border-rule py-2">
                    <RootForm production={production} root={root} />
                    <p className="flex flex-wrap items-center gap-3 pt-1 text-[13px]">
                        <span className="mono [overflow-wrap:anywhere]">{root.folder}</span>
                        <CopyButton text={root.folder}>{t`Copy`}</CopyButton>
                        <Fault says={root.fault} />
                    </p>
                </li>
            ))}
            <li className="py-2">
                <RootForm production={production} root={null} />
            </li>
        </ul>
    );
}
