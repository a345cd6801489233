import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Head, useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../lib/route';
import { DoorField } from '../parts/DoorField';

/** Where a one-time code is asked for. */
export default function SignInCode() {
    const form = useForm({ code: '' });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('sign-in.code.store'), { onError: () => form.reset('code') });
    };

    return (
        <main className="scroll flex h-full flex-col items-center px-6 pt-[12vh]">
            <Head title={t`One-time code`} />
            <div className="sheet w-full max-w-[420px] border-y px-8 py-7">
                <h1 className="title mb-4 border-b-[3px] border-double border-ink pb-3 text-[26px]">
                    <Trans>One-time code</Trans>
                </h1>
                <form onSubmit={submit} noValidate>
                    <DoorField
                        id="code"
                        label={t`The six digits your telephone shows now, or one of your recovery codes`}
                        autoComplete="one-time-code"
                        value={form.data.code}
                        fault={form.errors.code}
                        onChange={(code) => form.setData('code', code)}
                        isFirst
                        className="mono"
                    />
                    <button className="btn btn-primary mt-2" disabled={form.processing}>
                        <Trans>Sign in</Trans>
                    </button>
                </form>
            </div>
        </main>
    );
}
