import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { Fault } from '../../parts/Fault';
import type { SettingsPage } from '../../types/views';

/** By which rule old checks go, each night. */
export function Retention({ production, retention }: { production: number; retention: SettingsPage['retention'] }) {
    const form = useForm({ checks: String(retention?.checks ?? ''), days: String(retention?.days ?? '') });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.patch(to('retention', { production }), { preserveScroll: true });
    };

    return (
        <form onSubmit={submit} className="py-2" noValidate>
            <p className="flex flex-wrap items-center gap-2">
                <Trans>The newest of each deliverable</Trans>
                <input
                    className="input mono w-20!"
                    inputMode="numeric"
                    aria-label={t`checks that are kept of each deliverable`}
                    value={form.data.checks}
                    onChange={(event) => form.setData('checks', event.target.value)}
                />
                <Trans>and those of the last</Trans>
                <input
                    className="input mono w-20!"
                    inputMode="numeric"
                    aria-label={t`days of which all checks are kept`}
                    value={form.data.days}
                    onChange={(event) => form.setData('days', event.target.value)}
                />
                <Trans>days.</Trans>
                <button className="btn" disabled={form.processing || !form.isDirty}>
                    <Trans>Save</Trans>
                </button>
            </p>
            <p className="text-[13px] text-faint">
                <Trans>Both empty: all of them, for ever. The newest that balanced stays in any case.</Trans>
            </p>
            <Fault says={form.errors.checks ?? form.errors.days} className="text-[13px]" />
        </form>
    );
}
