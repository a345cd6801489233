import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Head, useForm } from '@inertiajs/react';
import { useEffect, type SyntheticEvent } from 'react';
import { to } from '../lib/route';
import { forgetIndex } from '../lib/useIndex';
import { DoorField } from '../parts/DoorField';
import { MarkSign } from '../parts/MarkSign';
import type { SignInPage } from '../types/views';

export default function SignIn({ demo, isEmpty }: SignInPage) {
    useEffect(forgetIndex, []);
    const form = useForm({ email: '', password: '' });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('sign-in.store'), { onError: () => form.reset('password') });
    };

    return (
        <main className="scroll flex h-full flex-col items-center px-6 pt-[12vh]">
            <Head title={t`Sign in`} />
            <div className="sheet w-full max-w-[420px] border-y px-8 py-7">
                <h1 className="title text-[26px]">
                    <Trans>Plain Ledger</Trans>
                </h1>
                <p className="aside mb-5 border-b-[3px] border-double border-ink pb-3 text-[15px]">
                    <Trans>The account between what was asked for and what was made.</Trans>
                </p>
                <form onSubmit={submit} noValidate>
                    <DoorField
                        id="email"
                        label={t`Address`}
                        type="email"
                        autoComplete="username"
                        value={form.data.email}
                        fault={form.errors.email}
                        onChange={(email) => form.setData('email', email)}
                        isFirst
                    />
                    <DoorField
                        id="password"
                        label={t`Password`}
                        type="password"
                        autoComplete="current-password"
                        value={form.data.password}
                        fault={form.errors.password}
                        onChange={(password) => form.setData('password', password)}
                    />
                    <button className="btn btn-primary mt-2" disabled={form.processing}>
                        <Trans>Sign in</Trans>
                    </button>
                </form>
                {isEmpty && (
                    <p className="aside mt-6 border-t border-rule pt-3 text-[14px]">
                        <Trans>
                            Nobody has an account yet. The link by which the first becomes the administrator was printed
                            where Plain Ledger was started; <span className="mono">php artisan ledger:link</span> prints
                            another.
                        </Trans>
                    </p>
                )}
                {demo && (
                    <p className="aside mt-6 border-t border-rule pt-3 text-[14px]">
                        <Trans>
                            Demo: <span className="mono not-italic">odile@harbour.example</span> coordinates,{' '}
                            <span className="mono not-italic">ansel@harbour.example</span> is an artist; the password of
                            both is <span className="mono not-italic">tide-clock</span>.
                        </Trans>
                    </p>
                )}
            </div>
            <p className="mt-6 flex gap-5 text-faint">
                <span>
                    <MarkSign mark="equal" />
                    <Trans> equal</Trans>
                </span>
                <span>
                    <MarkSign mark="unequal" />
                    <Trans> unequal</Trans>
                </span>
                <span>
                    <MarkSign mark="unknown" />
                    <Trans> not readable</Trans>
                </span>
            </p>
        </main>
    );
}
