import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { Fault } from '../../parts/Fault';
import type { ConflictShown, SheetLinkShown } from '../../types/views';
import { counted } from '../../lib/frames';

const FILES: [string, string, string][] = [
    ['pdf', 'PDF', t`one page of A4, to print or to attach`],
    ['md', t`Markdown`, t`for a wiki or a ticket`],
    ['txt', t`Plain text`, t`for a message`],
    ['json', t`Specification document`, t`read again by this program, on its pages and its command line`],
    [
        'usda',
        t`USD, as text`,
        t`a stage with its rate and range, a camera and render settings: a scene can start from it`,
    ],
    ['csv', t`Requirements as CSV`, t`for a spreadsheet`],
];

/** What contradicts itself; the sheet says so too. */
export function NotSettled({ conflicts }: { conflicts: ConflictShown[] }) {
    return conflicts.length === 0 ? null : (
        <section className="mb-5">
            <h2 className="pb-1 font-serif text-red italic">
                <Trans>Not settled yet</Trans>
            </h2>
            {conflicts.map((conflict) => (
                <p key={conflict.says} className="note">
                    <Breaking text={conflict.says} />
                </p>
            ))}
            <p className="text-[13px] text-faint">
                <Trans>The sheet says so on its face until it is settled.</Trans>
            </p>
        </section>
    );
}

/** The sheet in all its forms. */
export function SheetFiles({ deliverable }: { deliverable: number }) {
    return (
        <section className="mb-5">
            <h2 className="aside pb-1">
                <Trans>As a file</Trans>
            </h2>
            <ul className="border-t border-ink">
                {FILES.map(([format, name, says]) => (
                    <li key={format} className="border-b border-rule py-1.5">
                        <a className="link" href={to('sheet', { deliverable, format })}>
                            {name}
                        </a>
                        <span className="block text-[12.5px] text-faint">{says}</span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

const KINDS: ['sheet' | 'check', string][] = [
    ['sheet', t`read the sheet as it then is`],
    ['check', t`check a folder of their own against it, before they hand it in; nothing of it is kept`],
];

/** What a link is for, and for how long. */
function NewLink({ deliverable, isSettled }: { deliverable: number; isSettled: boolean }) {
    const [days, setDays] = useState('30');
    const [anyway, setAnyway] = useState(false);
    const [kind, setKind] = useState<'sheet' | 'check'>('sheet');
    const action = useAction(t`No link could be made.`);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('post', to('sheet.share', { deliverable }), { days, anyway, kind }, { names: ['days', 'refused'] });
    };

    return (
        <form className="border-t border-ink py-2 text-[13px]" onSubmit={submit}>
            <p className="text-faint">
                <Trans>Whoever has the link needs no sign-in, and can do this and nothing else:</Trans>
            </p>
            {KINDS.map(([key, says]) => (
                <label key={key} className="mt-1 flex items-start gap-1.5">
                    <input
                        type="radio"
                        name="kind"
                        className="radio mt-0.5"
                        checked={kind === key}
                        onChange={() => setKind(key)}
                    />
                    {says}
                </label>
            ))}
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
            {!isSettled && (
                <label className="mt-1.5 flex items-center gap-1.5">
                    <input
                        type="checkbox"
                        className="checkbox"
                        checked={anyway}
                        onChange={(event) => setAnyway(event.target.checked)}
                    />
                    <Trans>although it is not settled</Trans>
                </label>
            )}
            <button className="btn mt-2">
                <Trans>Make a link</Trans>
            </button>
            <Fault says={action.fault} className="pt-1" />
        </form>
    );
}

function LinkLine({ link }: { link: SheetLinkShown }) {
    const takeBack = () => router.delete(to('sheet.revoke', { link: link.id }), { preserveScroll: true });
    const opened = t`opened ${counted(link.opened, t`time`, t`times`)}`;

    return (
        <li className="border-t border-rule py-1.5 text-[13px]">
            {link.path === null ? (
                <span className="text-faint">
                    <Trans>
                        {link.state}, was to last until {link.expires}
                    </Trans>
                </span>
            ) : (
                <>
                    <a className="link" href={link.path} target="_blank" rel="noreferrer">
                        {link.kind === 'check' ? t`check a folder, until` : t`open until`} {link.expires}
                    </a>
                    <span className="mt-1 flex flex-wrap gap-1.5">
                        <CopyButton text={window.location.origin + link.path}>{t`Copy the link`}</CopyButton>
                        <button type="button" className="btn" onClick={takeBack}>
                            <Trans>Take it back</Trans>
                        </button>
                    </span>
                </>
            )}
            <span className="block text-faint">{link.opened === 0 ? t`not opened yet` : opened}</span>
        </li>
    );
}

/** Links for somebody without a sign-in. */
export function SheetLinks({
    deliverable,
    links,
    isSettled,
}: {
    deliverable: number;
    links: SheetLinkShown[];
    isSettled: boolean;
}) {
    return (
        <section>
            <h2 className="aside pb-1">
                <Trans>By a link</Trans>
            </h2>
            <NewLink deliverable={deliverable} isSettled={isSettled} />
            <ul>
                {links.map((link) => (
                    <LinkLine key={link.id} link={link} />
                ))}
            </ul>
        </section>
    );
}
