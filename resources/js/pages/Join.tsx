import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Head, router, useForm, usePage } from '@inertiajs/react';
import { useEffect, type SyntheticEvent } from 'react';
import { to } from '../lib/route';
import { forgetIndex } from '../lib/useIndex';
import { Fault } from '../parts/Fault';
import { Field } from '../parts/Field';
import type { JoinPage } from '../types/views';

/** What the link is for, in a sentence. */
function inWords({ kind, production, role, name }: JoinPage): string {
    if (kind === 'administrator') {
        return t`With this link you become the administrator: you make productions, and invite whoever works in them.`;
    }
    if (kind === 'password') {
        return t`A new password for ${name}. Wherever you are signed in you are signed out.`;
    }

    return t`You are invited to ${production ?? ''}, as ${role ?? ''}.`;
}

/** Who one is, and a password. */
function Entry({ page }: { page: JoinPage }) {
    const { kind, word } = page;
    const form = useForm({ name: page.name, email: page.email, password: '', again: '' });
    const isPassword = kind === 'password';
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.transform(({ name, email, ...passwords }) => (isPassword ? passwords : { name, email, ...passwords }));
        form.post(to('join.new', { word }), { onError: () => form.reset('password', 'again') });
    };
    const field = (
        name: 'name' | 'email' | 'password' | 'again',
        label: string,
        type: string,
        complete: string,
        help?: string,
    ) => (
        <Field id={`join-${name}`} label={label} fault={form.errors[name]} {...(help === undefined ? {} : { help })}>
            <input
                id={`join-${name}`}
                type={type}
                className="input"
                autoComplete={complete}
                value={form.data[name]}
                onChange={(event) => form.setData(name, event.target.value)}
                aria-invalid={form.errors[name] !== undefined}
            />
        </Field>
    );

    return (
        <form onSubmit={submit} noValidate>
            {!isPassword && field('name', t`Your name`, 'text', 'name')}
            {!isPassword && field('email', t`Address`, 'email', 'username', t`You sign in with it.`)}
            {field('password', t`Password`, 'password', 'new-password', t`Twelve letters at least: several words.`)}
            {field('again', t`Once more`, 'password', 'new-password')}
            <p className="pt-3">
                <button className="btn btn-primary" disabled={form.processing}>
                    {isPassword ? t`Set the password` : t`Come in`}
                </button>
            </p>
        </form>
    );
}

/** Whoever is signed in takes it up as they are. */
function Known({ page }: { page: JoinPage }) {
    return (
        <p className="pt-3">
            <button className="btn btn-primary" onClick={() => router.put(to('join.known', { word: page.word }))}>
                <Trans>Come in as {page.reader}</Trans>
            </button>
        </p>
    );
}

/** By a link: to a production, to the whole installation, or to a new password. */
export default function Join(page: JoinPage) {
    useEffect(forgetIndex, []);
    const { errors } = usePage().props;
    const isKnown = page.reader !== null && page.kind !== 'password';

    return (
        <main className="scroll flex h-full flex-col items-center px-6 pt-[10vh]">
            <Head title={t`Come in`} />
            <div className="sheet w-full max-w-[560px] border-y px-8 py-7">
                <h1 className="title text-[26px]">
                    <Trans>Plain Ledger</Trans>
                </h1>
                {page.kind === null ? (
                    <p className="said pt-3">
                        <Trans>
                            This link was used already, or its days are over. Ask whoever sent it for another.
                        </Trans>
                    </p>
                ) : (
                    <>
                        <p className="said border-b-[3px] border-double border-ink pt-2 pb-3">{inWords(page)}</p>
                        <Fault says={errors.refused} className="pt-2" />
                        {isKnown ? <Known page={page} /> : <Entry page={page} />}
                    </>
                )}
            </div>
        </main>
    );
}
