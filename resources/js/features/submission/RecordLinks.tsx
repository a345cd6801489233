import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { CopyButton } from '../../parts/CopyButton';
import { Fault } from '../../parts/Fault';
import type { SheetLinkShown } from '../../types/views';

/** Links to the record, for somebody without a sign-in. */
export function RecordLinks({ submission, links }: { submission: number; links: SheetLinkShown[] }) {
    const [days, setDays] = useState('30');
    const action = useAction(t`No link could be made.`);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('post', to('record.share', { submission }), { days }, { names: ['days', 'refused'] });
    };

    return (
        <section className="mb-5 print:hidden">
            <h2 className="aside pb-1">
                <Trans>The record by a link</Trans>
            </h2>
            <form className="border-t border-ink py-2 text-[13px]" onSubmit={submit}>
                <p className="text-faint">
                    <Trans>Whoever has it reads this record without a sign-in, and nothing else.</Trans>
                </p>
                <label className="mt-1.5 flex items-center gap-1.5">
                    <Trans>It lasts</Trans>
                    <input
                        className="input w-14!"
                        inputMode="numeric"
                        value={days}
                        onChange={(event) => setDays(event.target.value)}
                    />
                    <Trans>days</Trans>
                </label>
                <button className="btn mt-2">
                    <Trans>Make a link</Trans>
                </button>
                <Fault says={action.fault} className="pt-1" />
            </form>
            <ul>
                {links.map((link) => (
                    <li key={link.id} className="border-t border-rule py-1.5 text-[13px]">
                        {link.path === null ? (
                            <span className="text-faint">
                                <Trans>
                                    {link.state}, was to last until {link.expires}
                                </Trans>
                            </span>
                        ) : (
                            <>
                                <a className="link" href={link.path} target="_blank" rel="noreferrer">
                                    <Trans>open until {link.expires}</Trans>
                                </a>
                                <span className="mt-1 flex flex-wrap gap-1.5">
                                    <CopyButton text={window.location.origin + link.path}>
                                        {t`Copy the link`}
                                    </CopyButton>
                                    <button
                                        type="button"
                                        className="btn"
                                        onClick={() =>
                                            router.delete(to('sheet.revoke', { link: link.id }), {
                                                preserveScroll: true,
                                            })
                                        }
                                    >
                                        <Trans>Take it back</Trans>
                                    </button>
                                </span>
                            </>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}
