import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router, useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { encode } from 'uqr';
import { to } from '../../lib/route';
import { CopyButton } from '../../parts/CopyButton';
import { Fault } from '../../parts/Fault';
import type { TokensPage } from '../../types/views';

type Own = TokensPage['codes'];

/** What a telephone reads. */
function Picture({ text }: { text: string }) {
    const { data, size } = encode(text, { border: 4 });
    // eslint-disable-next-line lingui/no-unlocalized-strings -- a drawing
    const path = data.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x} ${y}h1v1h-1z`] : []))).join('');

    return (
        <svg viewBox={`0 0 ${size} ${size}`} width="200" height="200" role="img" aria-label={t`The same as a QR code`}>
            <rect width={size} height={size} fill="white" />
            <path d={path} fill="black" shapeRendering="crispEdges" />
        </svg>
    );
}

function Begin({ offered }: { offered: NonNullable<Own['offered']> }) {
    const form = useForm({ code: '' });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('codes.begin'), { preserveScroll: true });
    };

    return (
        <div className="flex flex-wrap items-start gap-6 py-2">
            <Picture text={offered.address} />
            <form onSubmit={submit} className="max-w-[420px]">
                <p>
                    <Trans>Read this with a program that shows one-time codes, or type it there:</Trans>
                </p>
                <p className="mono py-2 [overflow-wrap:anywhere]">{offered.secret}</p>
                <label className="flex flex-wrap items-center gap-2">
                    <Trans>The code it shows</Trans>
                    <input
                        className="input mono w-32!"
                        autoComplete="one-time-code"
                        value={form.data.code}
                        onChange={(event) => form.setData('code', event.target.value)}
                    />
                    <button className="btn" disabled={form.processing || form.data.code === ''}>
                        <Trans>Begin</Trans>
                    </button>
                </label>
                <Fault says={form.errors.code} className="text-[13px]" />
            </form>
        </div>
    );
}

function End({ codes }: { codes: Own }) {
    const form = useForm<{ password: string; ends?: string }>({ password: '' });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.delete(to('codes.end'), { preserveScroll: true, onFinish: () => form.reset() });
    };

    return (
        <form onSubmit={submit} className="flex flex-wrap items-center gap-3 py-2">
            <span className="w-full">
                <Trans>
                    A code is asked for since {codes.since}; {codes.left} recovery codes are left.
                </Trans>
            </span>
            <label className="flex items-center gap-2">
                <Trans>Your password</Trans>
                <input
                    type="password"
                    className="input w-56!"
                    autoComplete="current-password"
                    value={form.data.password}
                    onChange={(event) => form.setData('password', event.target.value)}
                />
            </label>
            <button className="btn" disabled={form.processing || form.data.password === ''}>
                <Trans>Stop asking for a code</Trans>
            </button>
            <Fault says={form.errors.ends} className="w-full text-[13px]" />
        </form>
    );
}

/** Signing in with a code beside the password. */
export function Codes({ codes }: { codes: Own }) {
    return (
        <>
            {codes.fresh.length > 0 && (
                <section className="my-2 border border-edge px-3 py-2" aria-label={t`Recovery codes`}>
                    <p className="flex flex-wrap items-center gap-3">
                        <span className="said">
                            <Trans>
                                For the day your telephone is lost: each signs you in once. They are shown this once.
                            </Trans>
                        </span>
                        <CopyButton text={`${codes.fresh.join('\n')}\n`}>{t`Copy all`}</CopyButton>
                    </p>
                    <ul className="mono columns-2 pt-1">
                        {codes.fresh.map((code) => (
                            <li key={code}>{code}</li>
                        ))}
                    </ul>
                </section>
            )}
            {codes.since !== null && <End codes={codes} />}
            {codes.since === null && codes.offered !== null && <Begin offered={codes.offered} />}
            {codes.since === null && codes.offered === null && (
                <p className="flex flex-wrap items-center gap-3 py-2">
                    <button
                        type="button"
                        className="btn"
                        onClick={() => router.put(to('codes.offer'), {}, { preserveScroll: true })}
                    >
                        <Trans>Ask me for a code too</Trans>
                    </button>
                    <span className="text-faint">
                        <Trans>
                            Whoever knows your password does not get in then. Wise for those who decide or administer.
                        </Trans>
                    </span>
                </p>
            )}
        </>
    );
}
