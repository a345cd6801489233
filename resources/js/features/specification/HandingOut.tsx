import { router } from '@inertiajs/react';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { Fault } from '../../parts/Fault';
import type { ConflictShown, SheetLinkShown } from '../../types/views';

const FILES: [string, string, string][] = [
    ['pdf', 'PDF', 'one page of A4, to print or to attach'],
    ['md', 'Markdown', 'for a wiki or a ticket'],
    ['txt', 'Plain text', 'for a message'],
    ['json', 'Specification document', 'read again by this program, on its pages and its command line'],
    [
        'usda',
        'USD, as text',
        'a stage with its rate and range, a camera and render settings: a scene can start from it',
    ],
    ['csv', 'Requirements as CSV', 'for a spreadsheet'],
];

/** What contradicts itself; the sheet says so too. */
export function NotSettled({ conflicts }: { conflicts: ConflictShown[] }) {
    return conflicts.length === 0 ? null : (
        <section className="mb-5">
            <h2 className="pb-1 font-serif text-red italic">Not settled yet</h2>
            {conflicts.map((conflict) => (
                <p key={conflict.says} className="note">
                    <Breaking text={conflict.says} />
                </p>
            ))}
            <p className="text-[13px] text-faint">The sheet says so on its face until it is settled.</p>
        </section>
    );
}

/** The sheet in all its forms. */
export function SheetFiles({ deliverable }: { deliverable: number }) {
    return (
        <section className="mb-5">
            <h2 className="aside pb-1">As a file</h2>
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
    ['sheet', 'read the sheet as it then is'],
    ['check', 'check a folder of their own against it, before they hand it in; nothing of it is kept'],
];

/** What a link is for, and for how long. */
function NewLink({ deliverable, isSettled }: { deliverable: number; isSettled: boolean }) {
    const [days, setDays] = useState('30');
    const [anyway, setAnyway] = useState(false);
    const [kind, setKind] = useState<'sheet' | 'check'>('sheet');
    const action = useAction('No link could be made.');
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('post', to('sheet.share', { deliverable }), { days, anyway, kind }, { names: ['days', 'refused'] });
    };

    return (
        <form className="border-t border-ink py-2 text-[13px]" onSubmit={submit}>
            <p className="text-faint">Whoever has the link needs no sign-in, and can do this and nothing else:</p>
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
                It lasts
                <input
                    className="input w-14!"
                    inputMode="numeric"
                    value={days}
                    onChange={(event) => setDays(event.target.value)}
                />
                days
            </label>
            {!isSettled && (
                <label className="mt-1.5 flex items-center gap-1.5">
                    <input
                        type="checkbox"
                        className="checkbox"
                        checked={anyway}
                        onChange={(event) => setAnyway(event.target.checked)}
                    />
                    although it is not settled
                </label>
            )}
            <button className="btn mt-2">Make a link</button>
            <Fault says={action.fault} className="pt-1" />
        </form>
    );
}

function LinkLine({ link }: { link: SheetLinkShown }) {
    const takeBack = () => router.delete(to('sheet.revoke', { link: link.id }), { preserveScroll: true });
    const opened = `opened ${link.opened} ${link.opened === 1 ? 'time' : 'times'}`;

    return (
        <li className="border-t border-rule py-1.5 text-[13px]">
            {link.path === null ? (
                <span className="text-faint">
                    {link.state}, was to last until {link.expires}
                </span>
            ) : (
                <>
                    <a className="link" href={link.path} target="_blank" rel="noreferrer">
                        {link.kind === 'check' ? 'check a folder, until' : 'open until'} {link.expires}
                    </a>
                    <span className="mt-1 flex flex-wrap gap-1.5">
                        <CopyButton text={window.location.origin + link.path}>Copy the link</CopyButton>
                        <button type="button" className="btn" onClick={takeBack}>
                            Take it back
                        </button>
                    </span>
                </>
            )}
            <span className="block text-faint">{link.opened === 0 ? 'not opened yet' : opened}</span>
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
            <h2 className="aside pb-1">By a link</h2>
            <NewLink deliverable={deliverable} isSettled={isSettled} />
            <ul>
                {links.map((link) => (
                    <LinkLine key={link.id} link={link} />
                ))}
            </ul>
        </section>
    );
}
