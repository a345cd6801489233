import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { InlineField } from '../../parts/InlineField';
import type { Delivers } from '../../types/views';

interface Part {
    name: string;
    delivers: Delivers;
    madeFrom: string | null;
}

type Send = (data: Record<string, string | null>, done: () => void) => void;

const DELIVERS: [Delivers, string][] = [
    ['frames', t`frames, one file each`],
    ['still', t`one still picture`],
    ['movie', t`a movie`],
    ['file', t`another file beside them`],
];

/** What is asked before a part is taken out. */
const removal = (name: string, usedBy: number): string =>
    t`Take the part “${name}” and all that is asked of it out of the specification?` +
    (usedBy > 1 ? t` ${usedBy} deliverables share it.` : '');

function PartLine({ part, mayGo, usedBy, send }: { part: Part; mayGo: boolean; usedBy: number; send: Send }) {
    const [name, setName] = useState<string | null>(null);
    const remove = () => {
        if (window.confirm(removal(part.name, usedBy))) {
            send({ does: 'remove', name: part.name }, () => undefined);
        }
    };

    return (
        <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            {name === null ? (
                <span className="font-semibold">{part.name}</span>
            ) : (
                <InlineField
                    label={t`What ${part.name} is to be called`}
                    value={name}
                    className="input w-48!"
                    keepsOnBlur={false}
                    onChange={setName}
                    onKeep={() => send({ does: 'rename', name: part.name, to: name }, () => setName(null))}
                    onLeave={() => setName(null)}
                />
            )}
            <span className="text-faint">
                {DELIVERS.find(([word]) => word === part.delivers)?.[1] ?? part.delivers}
                {part.madeFrom !== null && t`, made from ${part.madeFrom}`}
            </span>
            <span className="ml-auto flex gap-3 text-[13px]">
                <button type="button" className="link" onClick={() => setName(part.name)}>
                    <Trans>call it otherwise</Trans>
                </button>
                {mayGo && (
                    <button type="button" className="link" onClick={remove}>
                        <Trans>take out</Trans>
                    </button>
                )}
            </span>
        </li>
    );
}

function AddPart({ parts, send, onClose }: { parts: Part[]; send: Send; onClose: () => void }) {
    const [given, setGiven] = useState({ name: '', delivers: 'movie', made_from: parts[0]?.name ?? '' });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        send({ does: 'add', ...given, made_from: given.made_from === '' ? null : given.made_from }, onClose);
    };

    return (
        <form className="flex flex-wrap items-end gap-3 py-2" onSubmit={submit}>
            <label className="text-[13px]">
                <Trans>Name</Trans>
                <input
                    autoFocus
                    className="input block w-40!"
                    value={given.name}
                    placeholder={t`preview`}
                    onChange={(event) => setGiven({ ...given, name: event.target.value })}
                />
            </label>
            <label className="text-[13px]">
                <Trans>It delivers</Trans>
                <select
                    className="select block"
                    value={given.delivers}
                    onChange={(event) => setGiven({ ...given, delivers: event.target.value })}
                >
                    {DELIVERS.map(([word, says]) => (
                        <option key={word} value={word}>
                            {says}
                        </option>
                    ))}
                </select>
            </label>
            <label className="text-[13px]">
                <Trans>Made from</Trans>
                <select
                    className="select block"
                    value={given.made_from}
                    onChange={(event) => setGiven({ ...given, made_from: event.target.value })}
                >
                    <option value="">
                        <Trans>nothing of these</Trans>
                    </option>
                    {parts.map((part) => (
                        <option key={part.name}>{part.name}</option>
                    ))}
                </select>
            </label>
            <button className="btn btn-primary">
                <Trans>Add the part</Trans>
            </button>
            <button type="button" className="btn" onClick={onClose}>
                <Trans>Cancel</Trans>
            </button>
        </form>
    );
}

/** What a specification is made of: its parts added, called otherwise, taken away. */
export function Parts({ parts, specification, usedBy }: { parts: Part[]; specification: number; usedBy: number }) {
    const [adding, setAdding] = useState(false);
    const action = useAction(t`This could not be saved.`);
    const names = ['name', 'to', 'delivers', 'refused'];
    const send: Send = (data, done) =>
        action.send('post', to('specification.parts', { specification }), data, { names, done });

    return (
        <section className="mx-6 mt-2 mb-10 max-w-[640px]" aria-label={t`Parts`}>
            <h2 className="title border-b border-edge pb-1 text-[16px]">
                <Trans>Parts</Trans>
            </h2>
            <ul>
                {parts.map((part) => (
                    <PartLine key={part.name} part={part} mayGo={parts.length > 1} usedBy={usedBy} send={send} />
                ))}
            </ul>
            {adding ? (
                <AddPart parts={parts} send={send} onClose={() => setAdding(false)} />
            ) : (
                <p className="py-1.5 text-[13px]">
                    <button type="button" className="link" onClick={() => setAdding(true)}>
                        <Trans>Add a part</Trans>
                    </button>{' '}
                    <span className="text-faint">
                        <Trans>
                            such as a preview movie, a still, a companion file
                            {usedBy > 1 && t`; it holds for all ${usedBy} that share this specification`}
                        </Trans>
                    </span>
                </p>
            )}
            <Fault says={action.fault} className="text-[13px]" />
        </section>
    );
}
