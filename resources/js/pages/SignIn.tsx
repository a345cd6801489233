import { Head, useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../lib/route';
import { MarkSign } from '../parts/MarkSign';
import type { SignInPage } from '../types/views';

export default function SignIn({ demo }: SignInPage) {
    const form = useForm({ email: '', password: '' });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('sign-in.store'), { onError: () => form.reset('password') });
    };

    return (
        <main className="scroll flex h-full flex-col items-center px-6 pt-[12vh]">
            <Head title="Sign in" />
            <div className="sheet w-full max-w-[420px] border-y px-8 py-7">
                <h1 className="title text-[26px]">Plain Ledger</h1>
                <p className="aside mb-5 border-b-[3px] border-double border-ink pb-3 text-[15px]">
                    The account between what was asked for and what was made.
                </p>
                <form onSubmit={submit} noValidate>
                    <label className="block" htmlFor="email">
                        Address
                    </label>
                    <input
                        id="email"
                        type="email"
                        autoComplete="username"
                        className="input mt-1"
                        value={form.data.email}
                        onChange={(event) => form.setData('email', event.target.value)}
                        aria-invalid={form.errors.email !== undefined}
                        aria-describedby="email-fault"
                        autoFocus
                    />
                    <p id="email-fault" role="alert" className="min-h-5 text-[13px] text-red">
                        {form.errors.email}
                    </p>
                    <label className="mt-1 block" htmlFor="password">
                        Password
                    </label>
                    <input
                        id="password"
                        type="password"
                        autoComplete="current-password"
                        className="input mt-1"
                        value={form.data.password}
                        onChange={(event) => form.setData('password', event.target.value)}
                        aria-invalid={form.errors.password !== undefined}
                        aria-describedby="password-fault"
                    />
                    <p id="password-fault" role="alert" className="min-h-5 text-[13px] text-red">
                        {form.errors.password}
                    </p>
                    <button className="btn btn-primary mt-2" disabled={form.processing}>
                        Sign in
                    </button>
                </form>
                {demo && (
                    <p className="aside mt-6 border-t border-rule pt-3 text-[14px]">
                        Demo: <span className="mono not-italic">odile@harbour.example</span> coordinates,{' '}
                        <span className="mono not-italic">ansel@harbour.example</span> is an artist; the password of
                        both is <span className="mono not-italic">tide-clock</span>.
                    </p>
                )}
            </div>
            <p className="mt-6 flex gap-5 text-faint">
                <span>
                    <MarkSign mark="equal" /> equal
                </span>
                <span>
                    <MarkSign mark="unequal" /> unequal
                </span>
                <span>
                    <MarkSign mark="unknown" /> not readable
                </span>
            </p>
        </main>
    );
}
