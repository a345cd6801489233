import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import { tell } from '../lib/ask';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { FieldChoice, type Field } from '../features/scene/PointAt';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { Book as BookData } from '../types/views';

interface Named {
    name: string;
    is: string | null;
    label: string | null;
    unit: string | null;
    words: Record<string, string>;
}

interface Pattern {
    event: string;
    pattern: string;
}

interface Shape {
    name: string;
    patterns: Pattern[];
}

interface Tried {
    lines: { text: string; told: { event: string; at: number; pieces: Record<string, string> }[] }[];
    faults: Record<string, string>;
}

function NamedLine({ base, line }: { base: string; line: Named }) {
    return (
        <tr>
            <th scope="row" className="mono">
                <Breaking text={line.name} />
            </th>
            <td className="column">{line.label ?? <span className="text-faint">nothing that matters here</span>}</td>
            <td className="column">{line.unit}</td>
            <td className="column mono text-[13px]">
                <Breaking
                    text={Object.entries(line.words)
                        .map(([word, stands]) => `${word} = ${stands}`)
                        .join(', ')}
                />
            </td>
            <td className="column">
                <button
                    type="button"
                    className="link"
                    onClick={() =>
                        router.patch(`${base}/names`, { name: line.name, drop: true }, { preserveScroll: true })
                    }
                >
                    forget<span className="sr-only"> {line.name}</span>
                </button>
            </td>
        </tr>
    );
}

function AddName({ base, fields }: { base: string; fields: Field[] }) {
    const [name, setName] = useState('');
    const [is, setIs] = useState('');
    const [unit, setUnit] = useState('');
    const [words, setWords] = useState('');
    const [fault, setFault] = useState<string | null>(null);
    const units = fields.find((field) => field.field === is)?.units ?? [];
    const pairs = (): Record<string, string> =>
        Object.fromEntries(
            words
                .split(',')
                .map((pair) => pair.split('=').map((side) => side.trim()))
                .filter((sides): sides is [string, string] => sides.length === 2 && sides[0] !== ''),
        );

    return (
        <form
            className="flex flex-wrap items-end gap-3 pt-2"
            onSubmit={(event) => {
                event.preventDefault();
                router.patch(
                    `${base}/names`,
                    { name, is: is === '-' || is === '' ? null : is, unit: unit === '' ? null : unit, words: pairs() },
                    {
                        preserveScroll: true,
                        onError: (errors) => setFault(errors.name ?? Object.values(errors)[0] ?? null),
                        onSuccess: () => {
                            setName('');
                            setWords('');
                            setFault(null);
                        },
                    },
                );
            }}
        >
            <label>
                <span className="aside block">Name as it stands there</span>
                <input
                    className="input w-48!"
                    value={name}
                    maxLength={200}
                    onChange={(event) => setName(event.target.value)}
                />
            </label>
            <label htmlFor="new-field">
                <span className="aside block">is</span>
                <FieldChoice
                    id="new-field"
                    fields={fields}
                    value={is}
                    onChange={(field) => {
                        setIs(field);
                        setUnit('');
                    }}
                />
            </label>
            {units.length > 0 && (
                <label>
                    <span className="aside block">in</span>
                    <select className="select w-auto!" value={unit} onChange={(event) => setUnit(event.target.value)}>
                        <option value="">as usual</option>
                        {units.map((each) => (
                            <option key={each}>{each}</option>
                        ))}
                    </select>
                </label>
            )}
            <label>
                <span className="aside block">words for values</span>
                <input
                    className="input w-56!"
                    value={words}
                    placeholder="Ja = on, Nein = off"
                    onChange={(event) => setWords(event.target.value)}
                />
            </label>
            <button type="submit" className="btn" disabled={name.trim() === '' || is === ''}>
                Keep the name
            </button>
            {fault !== null && (
                <p role="alert" className="w-full text-red">
                    {fault}
                </p>
            )}
        </form>
    );
}

/** How the lines of a log read, tried on a pasted piece of one. */
function ShapeEditor({
    base,
    shape,
    events,
    pieces,
    onClose,
}: {
    base: string;
    shape: Shape;
    events: { event: string; says: string }[];
    pieces: string[];
    onClose: () => void;
}) {
    const [name, setName] = useState(shape.name);
    const [patterns, setPatterns] = useState<Pattern[]>(() =>
        events.map(({ event }) => ({
            event,
            pattern: shape.patterns.find((each) => each.event === event)?.pattern ?? '',
        })),
    );
    const [sample, setSample] = useState('');
    const [tried, setTried] = useState<Tried | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const key = JSON.stringify([patterns, sample]);

    useEffect(() => {
        const stop = new AbortController();
        const [now, text] = JSON.parse(key) as [Pattern[], string];
        const timer = setTimeout(() => {
            tell<Tried>(`${base}/log-shapes/try`, { patterns: now, sample: text }, stop.signal).then(
                setTried,
                (trouble: unknown) => {
                    if (!stop.signal.aborted) {
                        setFault(trouble instanceof Error ? trouble.message : 'This could not be tried.');
                    }
                },
            );
        }, 250);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [key, base]);

    return (
        <form
            className="my-2 border border-edge p-3"
            onSubmit={(event) => {
                event.preventDefault();
                router.post(
                    `${base}/log-shapes`,
                    {
                        name,
                        was: shape.name === '' ? null : shape.name,
                        patterns: patterns.map((each) => ({ ...each })),
                    },
                    {
                        preserveScroll: true,
                        onError: (errors) => setFault(errors.shape ?? errors.name ?? Object.values(errors)[0] ?? null),
                        onSuccess: onClose,
                    },
                );
            }}
        >
            <label className="flex items-center gap-2">
                <span className="aside">Name</span>
                <input
                    autoFocus
                    className="input w-72!"
                    value={name}
                    maxLength={80}
                    onChange={(event) => setName(event.target.value)}
                />
            </label>
            <p className="py-1.5 text-[13px] text-faint">
                Write a line as it stands in the log, and pieces where it changes:{' '}
                {pieces.map((piece) => `{${piece}}`).join(' ')}. Or, between slashes, a regular expression with groups
                of these names.
            </p>
            {patterns.map((each, at) => (
                <div key={each.event} className="grid grid-cols-[170px_1fr] items-baseline gap-x-2 py-0.5">
                    <label htmlFor={`p-${each.event}`} className="aside">
                        {events[at]?.says}
                    </label>
                    <span>
                        <input
                            id={`p-${each.event}`}
                            className="input mono"
                            value={each.pattern}
                            placeholder={each.event === 'finished' ? 'frame {frame} done in {seconds} s' : ''}
                            maxLength={500}
                            onChange={(event) =>
                                setPatterns(
                                    patterns.map((other, n) =>
                                        n === at ? { ...other, pattern: event.target.value } : other,
                                    ),
                                )
                            }
                            aria-invalid={tried?.faults[at] !== undefined}
                        />
                        {tried?.faults[at] !== undefined && (
                            <span role="alert" className="block text-[13px] text-red">
                                <Breaking text={tried.faults[at]} />
                            </span>
                        )}
                    </span>
                </div>
            ))}
            <label className="block pt-2">
                <span className="aside">Some lines of such a log, to try it on</span>
                <textarea
                    rows={4}
                    className="textarea mono text-[12.5px]"
                    value={sample}
                    onChange={(event) => setSample(event.target.value)}
                />
            </label>
            {tried !== null && sample.trim() !== '' && (
                <ol
                    className="mono max-h-56 overflow-y-auto border-y border-rule text-[12.5px]"
                    aria-label="What the lines tell"
                    aria-live="polite"
                    tabIndex={0}
                >
                    {tried.lines.map((line, at) => (
                        <li key={at} className="border-b border-rule py-0.5">
                            <span className={line.told.length === 0 ? 'text-faint' : ''}>
                                <Breaking text={line.text} />
                            </span>
                            {line.told.map((told) => (
                                <span key={told.event} className="ml-3 text-green">
                                    {told.event}:{' '}
                                    {Object.entries(told.pieces)
                                        .map(([piece, text]) => `${piece} ${text}`)
                                        .join(', ')}
                                </span>
                            ))}
                        </li>
                    ))}
                </ol>
            )}
            {fault !== null && (
                <p role="alert" className="text-red">
                    {fault}
                </p>
            )}
            <p className="flex gap-2 pt-2">
                <button type="submit" className="btn btn-primary" disabled={name.trim() === ''}>
                    Keep the shape
                </button>
                <button type="button" className="btn" onClick={onClose}>
                    Leave it
                </button>
            </p>
        </form>
    );
}

/** What settings are called in this production, and how the lines of its logs read. */
export default function Names({
    book,
    names,
    fields,
    shapes,
    own,
    events,
    pieces,
}: {
    book: BookData;
    names: Named[];
    fields: Field[];
    shapes: Shape[];
    own: number;
    events: { event: string; says: string }[];
    pieces: string[];
}) {
    const base = `/productions/${book.production.id}`;
    const file = useRef<HTMLInputElement>(null);
    const [fault, setFault] = useState<string | null>(null);
    const [editing, setEditing] = useState<Shape | null>(null);

    return (
        <Book title={`${book.production.name}, names`} book={book}>
            <ProductionFolios book={book} at="/names" />
            <div className="px-6 pb-10">
                <h2 className="title border-b border-edge pt-4 pb-1 text-[18px]">Other names for settings</h2>
                <p className="said max-w-[66ch] pt-2">
                    Usual names are understood without being told. What else settings are called here is pointed at
                    once, on the page of a scene or below, and understood from then on.
                </p>
                {names.length > 0 && (
                    <table className="ledger mt-2">
                        <thead>
                            <tr>
                                <th scope="col">name</th>
                                <th scope="col" className="column">
                                    is
                                </th>
                                <th scope="col" className="column">
                                    in
                                </th>
                                <th scope="col" className="column">
                                    words
                                </th>
                                <th scope="col" className="column">
                                    <span className="sr-only">forget</span>
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {names.map((line) => (
                                <NamedLine key={line.name} base={base} line={line} />
                            ))}
                        </tbody>
                    </table>
                )}
                <AddName base={base} fields={fields} />
                <p className="flex flex-wrap items-center gap-3 pt-3">
                    {names.length > 0 && (
                        <a className="btn" href={`${base}/field-map.json`} download>
                            Take them as a file
                        </a>
                    )}
                    <label className="sr-only" htmlFor="map">
                        Field map
                    </label>
                    <input
                        id="map"
                        ref={file}
                        type="file"
                        accept=".json,application/json"
                        className="sr-only"
                        tabIndex={-1}
                        onChange={(event) => {
                            const chosen = event.target.files?.[0];
                            if (chosen !== undefined) {
                                router.post(
                                    `${base}/names`,
                                    { map: chosen },
                                    {
                                        forceFormData: true,
                                        preserveScroll: true,
                                        onError: (errors) => setFault(errors.map ?? Object.values(errors)[0] ?? null),
                                        onSuccess: () => setFault(null),
                                    },
                                );
                            }
                        }}
                    />
                    <button type="button" className="btn" onClick={() => file.current?.click()}>
                        Read names from a file
                    </button>
                </p>
                {fault !== null && (
                    <p role="alert" className="pt-1 text-red">
                        <Breaking text={fault} />
                    </p>
                )}
                <h2 className="title mt-6 border-b border-edge pb-1 text-[18px]">How lines of logs read</h2>
                <ul>
                    {shapes.map((shape, at) => (
                        <li key={`${shape.name}-${at}`} className="border-b border-rule py-1.5">
                            <span className="flex flex-wrap items-baseline gap-3">
                                <span className="font-semibold">{shape.name}</span>
                                <span className="text-faint">
                                    {at < own ? 'of this production' : 'comes with the program'}
                                </span>
                                <span className="ml-auto flex gap-3 text-[13px]">
                                    <button
                                        type="button"
                                        className="link"
                                        onClick={() =>
                                            setEditing(at < own ? shape : { name: '', patterns: shape.patterns })
                                        }
                                    >
                                        {at < own ? 'change' : 'make one like it'}
                                    </button>
                                    {at < own && (
                                        <button
                                            type="button"
                                            className="link"
                                            onClick={() =>
                                                router.post(
                                                    `${base}/log-shapes`,
                                                    { name: shape.name, drop: true },
                                                    { preserveScroll: true },
                                                )
                                            }
                                        >
                                            take away
                                        </button>
                                    )}
                                </span>
                            </span>
                            <span className="mono block text-[12.5px] text-faint">
                                <Breaking
                                    text={
                                        shape.patterns.find((each) => each.event === 'finished')?.pattern ??
                                        shape.patterns[0]?.pattern ??
                                        ''
                                    }
                                />
                            </span>
                        </li>
                    ))}
                </ul>
                {editing === null ? (
                    <p className="pt-3">
                        <button type="button" className="btn" onClick={() => setEditing({ name: '', patterns: [] })}>
                            Add a shape
                        </button>
                    </p>
                ) : (
                    <ShapeEditor
                        key={editing.name}
                        base={base}
                        shape={editing}
                        events={events}
                        pieces={pieces}
                        onClose={() => setEditing(null)}
                    />
                )}
            </div>
        </Book>
    );
}
