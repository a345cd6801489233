import { FreshToken, NewToken, TokenTable } from '../features/account/Tokens';
import { Password } from '../features/account/Password';
import { Places } from '../features/account/Places';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import type { TokensPage } from '../types/views';

/** How a program sends settings, as a line for a terminal. */
const callOf = (token: string | null, address: string): string =>
    [
        `curl -X POST -H "Authorization: Bearer ${token ?? 'TOKEN'}" -H "X-File-Name: shot_settings.json" \\`,
        `  --data-binary @shot_settings.json ${address}/productions/CODE/deliverables/CODE/scene`,
    ].join('\n');

/** What somebody has of their own: tokens for programs that bring settings, and the password. */
export default function Tokens({ tokens, scopes, fresh, address, places }: TokensPage) {
    return (
        <Book title="Yours: tokens and password" book={null}>
            <div className="max-w-[980px] px-6 pb-10">
                <h1 className="title pt-4 text-[24px]">Your tokens</h1>
                <p className="said max-w-[62ch] pt-2">
                    With a token a program can bring scene settings in your name and is given the check, as JSON. It may
                    do no more than you may.
                </p>
                {fresh !== null && <FreshToken token={fresh} />}
                <NewToken scopes={scopes} />
                <TokenTable tokens={tokens} />
                <Heading className="mt-6">How a program calls</Heading>
                <pre className="mono mt-2 whitespace-pre-wrap [overflow-wrap:anywhere]">{callOf(fresh, address)}</pre>
                <p className="pt-2 text-faint">
                    The body is the settings in any form that is read here. The answer is the check document; GET{' '}
                    <span className="mono">…/settings</span> gives an empty one with every fact that is asked, GET{' '}
                    <span className="mono">…/check</span> the newest check.
                </p>
                <Heading className="mt-6">Your password</Heading>
                <Password />
                <Heading className="mt-6">Where you are signed in</Heading>
                <Places places={places} />
            </div>
        </Book>
    );
}
