import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router, useForm, usePage } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { CopyButton } from '../../parts/CopyButton';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import { LedgerHead } from '../../parts/LedgerHead';
import type { TokenShown, TokensPage } from '../../types/views';

/** A token that was made just now, which is never shown again. */
export function FreshToken({ token }: { token: string }) {
    return (
        <div role="status" className="mt-3 border border-green px-3 py-2">
            <p>
                <Trans>This is the new token. It is shown this once; keep it where your program finds it.</Trans>
            </p>
            <p className="mono mt-1 [overflow-wrap:anywhere]">{token}</p>
            <p className="mt-1.5">
                <CopyButton text={token}>{t`Copy the token`}</CopyButton>
            </p>
        </div>
    );
}

/** What a token is for, what it may, and until when. */
export function NewToken({ scopes }: Pick<TokensPage, 'scopes'>) {
    const form = useForm({ name: '', days: '90', scope: 'check' });
    const { errors } = usePage().props;
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('tokens.store'), { onSuccess: () => form.reset() });
    };

    return (
        <>
            <form className="mt-4 flex flex-wrap items-end gap-3" onSubmit={submit}>
                <Labelled label={t`What is it for?`}>
                    <input
                        className="input w-72!"
                        maxLength={80}
                        value={form.data.name}
                        placeholder={t`exporter of the lighting room`}
                        onChange={(event) => form.setData('name', event.target.value)}
                    />
                </Labelled>
                <Labelled label={t`For how many days?`}>
                    <input
                        className="input w-28!"
                        inputMode="numeric"
                        value={form.data.days}
                        onChange={(event) => form.setData('days', event.target.value)}
                    />
                </Labelled>
                <Labelled label={t`What may it do?`}>
                    <select
                        className="select w-72!"
                        value={form.data.scope}
                        onChange={(event) => form.setData('scope', event.target.value)}
                    >
                        {scopes.map((each) => (
                            <option key={each.scope} value={each.scope}>
                                {each.says}
                            </option>
                        ))}
                    </select>
                </Labelled>
                <button type="submit" className="btn btn-primary" disabled={form.processing}>
                    <Trans>Make a token</Trans>
                </button>
            </form>
            <Fault says={errors.name ?? errors.days} className="pt-1" />
        </>
    );
}

function TokenLine({ token }: { token: TokenShown }) {
    return (
        <tr>
            <th scope="row" className="[overflow-wrap:anywhere]">
                {token.name}
            </th>
            <td className="column">{token.scope}</td>
            <td className="column">{token.made}</td>
            <td className="column">
                {token.used ?? (
                    <span className="text-faint">
                        <Trans>never</Trans>
                    </span>
                )}
            </td>
            <td className={`column ${token.over ? 'text-red' : ''}`}>
                {token.until}
                {token.over && t`, over`}
            </td>
            <td className="column">
                <button
                    type="button"
                    className="link"
                    onClick={() => router.delete(to('tokens.drop', { token: token.id }))}
                >
                    <Trans>
                        remove<span className="sr-only"> the token {token.name}</span>
                    </Trans>
                </button>
            </td>
        </tr>
    );
}

/** The tokens somebody has. */
export function TokenTable({ tokens }: Pick<TokensPage, 'tokens'>) {
    return tokens.length === 0 ? (
        <p className="pt-4 text-faint">
            <Trans>You have no token yet.</Trans>
        </p>
    ) : (
        <table className="ledger mt-4">
            <LedgerHead
                columns={[
                    [t`for`],
                    [t`may`],
                    [t`made`],
                    [t`last used`],
                    [t`until`],
                    [
                        <span className="sr-only">
                            <Trans>remove</Trans>
                        </span>,
                    ],
                ]}
            />
            <tbody>
                {tokens.map((token) => (
                    <TokenLine key={token.id} token={token} />
                ))}
            </tbody>
        </table>
    );
}
