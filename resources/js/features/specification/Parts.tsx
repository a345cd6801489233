import { router } from '@inertiajs/react';
import { useState } from 'react';

const DELIVERS: [string, string][] = [
    ['frames', 'frames, one file each'],
    ['still', 'one still picture'],
    ['movie', 'a movie'],
    ['file', 'another file beside them'],
];

/** What is asked before a part is taken out. */
const removal = (name: string, usedBy: number): string =>
    `Take the part “${name}” and all that is asked of it out of the specification?` +
    (usedBy > 1 ? ` ${usedBy} deliverables share it.` : '');

/** What a specification is made of: its parts added, called otherwise, taken away. */
export function Parts({
    parts,
    specification,
    usedBy,
}: {
    parts: { name: string; delivers: string; madeFrom: string | null }[];
    specification: number;
    usedBy: number;
}) {
    const [adding, setAdding] = useState(false);
    const [given, setGiven] = useState({ name: '', delivers: 'movie', made_from: parts[0]?.name ?? '' });
    const [renaming, setRenaming] = useState<{ name: string; to: string } | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const send = (data: Record<string, string | null>, done: () => void) => {
        setFault(null);
        router.post(`/specifications/${specification}/parts`, data, {
            preserveScroll: true,
            onSuccess: done,
            onError: (errors) =>
                setFault(errors.name ?? errors.to ?? errors.delivers ?? errors.refused ?? 'This could not be kept.'),
        });
    };

    return (
        <section className="mx-6 mt-2 mb-10 max-w-[640px]" aria-label="Parts">
            <h2 className="title border-b border-edge pb-1 text-[16px]">Parts</h2>
            <ul>
                {parts.map((part) => (
                    <li key={part.name} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
                        {renaming?.name === part.name ? (
                            <input
                                autoFocus
                                aria-label={`What ${part.name} is to be called`}
                                className="input w-48!"
                                value={renaming.to}
                                onChange={(event) => setRenaming({ ...renaming, to: event.target.value })}
                                onBlur={() => setRenaming(null)}
                                onKeyDown={(event) => {
                                    if (event.key === 'Enter') {
                                        send({ does: 'rename', name: part.name, to: renaming.to }, () =>
                                            setRenaming(null),
                                        );
                                    } else if (event.key === 'Escape') {
                                        setRenaming(null);
                                    }
                                }}
                            />
                        ) : (
                            <span className="font-semibold">{part.name}</span>
                        )}
                        <span className="text-faint">
                            {DELIVERS.find(([word]) => word === part.delivers)?.[1] ?? part.delivers}
                            {part.madeFrom !== null && `, made from ${part.madeFrom}`}
                        </span>
                        <span className="ml-auto flex gap-3 text-[13px]">
                            <button
                                type="button"
                                className="link"
                                onClick={() => setRenaming({ name: part.name, to: part.name })}
                            >
                                call it otherwise
                            </button>
                            {parts.length > 1 && (
                                <button
                                    type="button"
                                    className="link"
                                    onClick={() => {
                                        if (window.confirm(removal(part.name, usedBy))) {
                                            send({ does: 'remove', name: part.name }, () => undefined);
                                        }
                                    }}
                                >
                                    take out
                                </button>
                            )}
                        </span>
                    </li>
                ))}
            </ul>
            {adding ? (
                <form
                    className="flex flex-wrap items-end gap-3 py-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        send(
                            {
                                does: 'add',
                                name: given.name,
                                delivers: given.delivers,
                                made_from: given.made_from === '' ? null : given.made_from,
                            },
                            () => {
                                setAdding(false);
                                setGiven({ ...given, name: '' });
                            },
                        );
                    }}
                >
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
                    <button type="button" className="btn" onClick={() => setAdding(false)}>
                        Leave it
                    </button>
                </form>
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
            {fault !== null && (
                <p role="alert" className="text-[13px] text-red">
                    {fault}
                </p>
            )}
        </section>
    );
}
