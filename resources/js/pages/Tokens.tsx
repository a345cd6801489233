import { router, useForm, usePage } from '@inertiajs/react';
import { Book } from '../parts/Book';
import { CopyButton } from '../parts/CopyButton';

interface Token {
    id: number;
    name: string;
    scope: string;
    made: string | null;
    used: string | null;
    until: string | null;
    over: boolean;
}

/** Personal tokens, for programs that bring settings. */
export default function Tokens({
    tokens,
    scopes,
    fresh,
    address,
}: {
    tokens: Token[];
    scopes: { scope: string; says: string }[];
    fresh: string | null;
    address: string;
}) {
    const form = useForm({ name: '', days: '90', scope: 'check' });
    const { errors } = usePage().props;
    const call = [
        `curl -X POST -H "Authorization: Bearer ${fresh ?? 'TOKEN'}" -H "X-File-Name: shot_settings.json" \\`,
        `  --data-binary @shot_settings.json ${address}/productions/CODE/deliverables/CODE/scene`,
    ].join('\n');

    return (
        <Book title="Your tokens" book={null}>
            <div className="max-w-[980px] px-6 pb-10">
                <h1 className="title pt-4 text-[24px]">Your tokens</h1>
                <p className="said max-w-[62ch] pt-2">
                    With a token a program can bring scene settings in your name and is given the check, as JSON. It may
                    do no more than you may.
                </p>
                {fresh !== null && (
                    <div role="status" className="mt-3 border border-green px-3 py-2">
                        <p>This is the new token. It is shown this once; keep it where your program finds it.</p>
                        <p className="mono mt-1 [overflow-wrap:anywhere]">{fresh}</p>
                        <p className="mt-1.5">
                            <CopyButton text={fresh}>Copy the token</CopyButton>
                        </p>
                    </div>
                )}
                <form
                    className="mt-4 flex flex-wrap items-end gap-3"
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.post('/tokens', { onSuccess: () => form.reset() });
                    }}
                >
                    <label>
                        <span className="aside block">What is it for?</span>
                        <input
                            className="input w-72!"
                            maxLength={80}
                            value={form.data.name}
                            placeholder="exporter of the lighting room"
                            onChange={(event) => form.setData('name', event.target.value)}
                        />
                    </label>
                    <label>
                        <span className="aside block">For how many days?</span>
                        <input
                            className="input w-28!"
                            inputMode="numeric"
                            value={form.data.days}
                            onChange={(event) => form.setData('days', event.target.value)}
                        />
                    </label>
                    <label>
                        <span className="aside block">What may it do?</span>
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
                    </label>
                    <button type="submit" className="btn btn-primary" disabled={form.processing}>
                        Make a token
                    </button>
                </form>
                {(errors.name ?? errors.days) !== undefined && (
                    <p role="alert" className="pt-1 text-red">
                        {errors.name ?? errors.days}
                    </p>
                )}
                {tokens.length === 0 ? (
                    <p className="pt-4 text-faint">You have no token yet.</p>
                ) : (
                    <table className="ledger mt-4">
                        <thead>
                            <tr>
                                <th scope="col">for</th>
                                <th scope="col" className="column">
                                    may
                                </th>
                                <th scope="col" className="column">
                                    made
                                </th>
                                <th scope="col" className="column">
                                    last used
                                </th>
                                <th scope="col" className="column">
                                    until
                                </th>
                                <th scope="col" className="column">
                                    <span className="sr-only">take away</span>
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {tokens.map((token) => (
                                <tr key={token.id}>
                                    <th scope="row" className="[overflow-wrap:anywhere]">
                                        {token.name}
                                    </th>
                                    <td className="column">{token.scope}</td>
                                    <td className="column">{token.made}</td>
                                    <td className="column">
                                        {token.used ?? <span className="text-faint">never</span>}
                                    </td>
                                    <td className={`column ${token.over ? 'text-red' : ''}`}>
                                        {token.until}
                                        {token.over && ', over'}
                                    </td>
                                    <td className="column">
                                        <button
                                            type="button"
                                            className="link"
                                            onClick={() => router.delete(`/tokens/${token.id}`)}
                                        >
                                            take away<span className="sr-only"> the token {token.name}</span>
                                        </button>
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                )}
                <h2 className="title mt-6 border-b border-edge pb-1 text-[18px]">How a program calls</h2>
                <pre className="mono mt-2 whitespace-pre-wrap [overflow-wrap:anywhere]">{call}</pre>
                <p className="pt-2 text-faint">
                    The body is the settings in any form that is read here. The answer is the check document; GET{' '}
                    <span className="mono">…/settings</span> gives an empty one with every fact that is asked, GET{' '}
                    <span className="mono">…/check</span> the newest check.
                </p>
            </div>
        </Book>
    );
}
