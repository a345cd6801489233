import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router, useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { CopyButton } from '../../parts/CopyButton';
import { Fault } from '../../parts/Fault';
import type { SettingsPage } from '../../types/views';

type Hook = SettingsPage['webhooks'][number];

function HookLine({ hook }: { hook: Hook }) {
    return (
        <li className="border-b border-rule py-2">
            <p className="flex flex-wrap items-baseline gap-x-4">
                <span className="mono [overflow-wrap:anywhere]">{hook.url}</span>
                <span className="text-faint">{hook.events.join(', ')}</span>
                <span className="ml-auto flex gap-3">
                    <button
                        type="button"
                        className="link"
                        onClick={() =>
                            router.post(to('webhook.test', { webhook: hook.id }), {}, { preserveScroll: true })
                        }
                    >
                        <Trans>Send a test</Trans>
                    </button>
                    <button
                        type="button"
                        className="link"
                        onClick={() =>
                            window.confirm(t`Stop calling ${hook.url}?`) &&
                            router.delete(to('webhook.drop', { webhook: hook.id }), { preserveScroll: true })
                        }
                    >
                        <Trans>Remove</Trans>
                    </button>
                </span>
            </p>
            <ul className="text-[13px]">
                {hook.calls.map((call, n) => (
                    <li key={n}>
                        <span className="mono">{call.event}</span>, {call.at}:{' '}
                        {call.arrived ? (
                            <span className="text-green">
                                <Trans>arrived</Trans>
                            </span>
                        ) : (
                            <span className={call.fault === null ? 'text-faint' : 'text-red'}>
                                {call.fault === null ? t`on its way` : t`${call.fault} (${call.tries} of 6 tries)`}
                            </span>
                        )}
                    </li>
                ))}
            </ul>
        </li>
    );
}

/** Addresses elsewhere that are called when something happens here. */
export function Webhooks({ production, page }: { production: number; page: SettingsPage }) {
    const form = useForm<{ url: string; events: string[] }>({ url: '', events: ['check.ended'] });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('webhook.store', { production }), { preserveScroll: true, onSuccess: () => form.reset() });
    };
    const turn = (name: string, on: boolean) =>
        form.setData('events', on ? [...form.data.events, name] : form.data.events.filter((own) => own !== name));

    return (
        <>
            {page.secret !== null && (
                <p className="my-2 flex flex-wrap items-center gap-3 border border-edge px-3 py-2">
                    <span className="said">
                        <Trans>The secret that calls are signed with is shown this once.</Trans>
                    </span>
                    <span className="mono text-[13px] [overflow-wrap:anywhere]">{page.secret}</span>
                    <CopyButton text={page.secret}>{t`Copy`}</CopyButton>
                </p>
            )}
            <ul>
                {page.webhooks.map((hook) => (
                    <HookLine key={hook.id} hook={hook} />
                ))}
            </ul>
            <form onSubmit={submit} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2" noValidate>
                <label className="flex max-w-full flex-wrap items-center gap-2">
                    <Trans>Address</Trans>
                    <input
                        className="input mono w-full! max-w-96"
                        placeholder={t`https://tools.house.example/ledger`}
                        value={form.data.url}
                        onChange={(event) => form.setData('url', event.target.value)}
                    />
                </label>
                {page.events.map((name) => (
                    <label key={name} className="flex items-center gap-1.5">
                        <input
                            type="checkbox"
                            className="checkbox"
                            checked={form.data.events.includes(name)}
                            onChange={(event) => turn(name, event.target.checked)}
                        />
                        <span className="mono text-[13px]">{name}</span>
                    </label>
                ))}
                <button className="btn" disabled={form.processing || form.data.url === ''}>
                    <Trans>Add</Trans>
                </button>
                <Fault says={form.errors.url ?? form.errors.events} className="w-full text-[13px]" />
            </form>
        </>
    );
}
