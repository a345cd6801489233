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
    ['frames', 'frames, one file each'],
    ['still', 'one still picture'],
    ['movie', 'a movie'],
    ['file', 'another file beside them'],
];

/** What is asked before a part is taken out. */
const removal = (name: string, usedBy: number): string =>
    `Take the part “${name}” and all that is asked of it out of the specification?` +
    (usedBy > 1 ? ` ${usedBy} deliverables share it.` : '');

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
                    label={`What ${part.name} is to be called`}
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
                {part.madeFrom !== null && `, made from ${part.madeFrom}`}
            </span>
            <span className="ml-auto flex gap-3 text-[13px]">
                <button type="button" className="link" onClick={() => setName(part.name)}>
                    call it otherwise
                </button>
                {mayGo && (
                    <button type="button" className="link" onClick={remove}>
                        take out
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
                Name
                <input
                    autoFocus
                    className="input block w-40!"
                    value={given.name}
                    placeholder="preview"
                    onChange={(event) => setGiven({ ...given, name: event.target.value })}
                />
            </label>
            <label className="text-[13px]">
                It delivers
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
                Made from
                <select
                    className="select block"
                    value={given.made_from}
                    onChange={(event) => setGiven({ ...given, made_from: event.target.value })}
                >
                    <option value="">nothing of these</option>
                    {parts.map((part) => (
                        <option key={part.name}>{part.name}</option>
                    ))}
                </select>
            </label>
            <button className="btn btn-primary">Add the part</button>
            <button type="button" className="btn" onClick={onClose}>
                Leave it
            </button>
        </form>
    );
}

/** What a specification is made of: its parts added, called otherwise, taken away. */
export function Parts({ parts, specification, usedBy }: { parts: Part[]; specification: number; usedBy: number }) {
    const [adding, setAdding] = useState(false);
    const action = useAction('This could not be kept.');
    const names = ['name', 'to', 'delivers', 'refused'];
    const send: Send = (data, done) =>
        action.send('post', to('specification.parts', { specification }), data, { names, done });

    return (
        <section className="mx-6 mt-2 mb-10 max-w-[640px]" aria-label="Parts">
            <h2 className="title border-b border-edge pb-1 text-[16px]">Parts</h2>
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
                        Add a part
                    </button>{' '}
                    <span className="text-faint">
                        such as a preview movie, a still, a companion file
                        {usedBy > 1 && `; it holds for all ${usedBy} that share this specification`}
                    </span>
                </p>
            )}
            <Fault says={action.fault} className="text-[13px]" />
        </section>
    );
}
