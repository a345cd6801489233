import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Codes } from '../features/account/Codes';
import { FreshToken, NewToken, TokenTable } from '../features/account/Tokens';
import { Password } from '../features/account/Password';
import { Places } from '../features/account/Places';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import type { TokensPage } from '../types/views';

/** How a program sends settings, as a line for a terminal. */
const callOf = (token: string | null, address: string): string =>
    [
        t`curl -X POST -H "Authorization: Bearer ${token ?? 'TOKEN'}" -H "X-File-Name: shot_settings.json" \\`,
        // eslint-disable-next-line lingui/no-unlocalized-strings -- a line for a terminal
        `  --data-binary @shot_settings.json ${address}/productions/CODE/deliverables/CODE/scene`,
    ].join('\n');

/** What somebody has of their own: tokens for programs that bring settings, and the password. */
export default function Tokens({ tokens, scopes, fresh, address, places, codes }: TokensPage) {
    return (
        <Book title={t`Yours: tokens and password`} book={null}>
            <div className="max-w-[980px] px-6 pb-10">
                <h1 className="title pt-4 text-[24px]">
                    <Trans>Your tokens</Trans>
                </h1>
                <p className="said max-w-[62ch] pt-2">
                    <Trans>
                        With a token a program can bring scene settings in your name and is given the check, as JSON. It
                        may do no more than you may.
                    </Trans>
                </p>
                {fresh !== null && <FreshToken token={fresh} />}
                <NewToken scopes={scopes} />
                <TokenTable tokens={tokens} />
                <Heading className="mt-6">
                    <Trans>How a program calls</Trans>
                </Heading>
                <pre className="mono mt-2 whitespace-pre-wrap [overflow-wrap:anywhere]">{callOf(fresh, address)}</pre>
                <p className="pt-2 text-faint">
                    <Trans>
                        The body is the settings in any form that is read here; the answer is the check document. An
                        empty one with every fact that is asked: <span className="mono">GET …/settings</span>. The
                        newest check: <span className="mono">GET …/check</span>.
                    </Trans>
                </p>
                <p className="pt-2">
                    <Trans>
                        All that these pages do can be called:{' '}
                        <a className="link" href={to('api.page')}>
                            what there is
                        </a>
                        , and the same{' '}
                        <a className="link" href={to('api.document')}>
                            as OpenAPI
                        </a>
                        .
                    </Trans>
                </p>
                <Heading className="mt-6">
                    <Trans>Your password</Trans>
                </Heading>
                <Password />
                <Heading className="mt-6">
                    <Trans>One-time codes</Trans>
                </Heading>
                <Codes codes={codes} />
                <Heading className="mt-6">
                    <Trans>Where you are signed in</Trans>
                </Heading>
                <Places places={places} />
            </div>
        </Book>
    );
}
