import { useForm } from '@inertiajs/react';
import { useState, type FormEvent, type ReactNode } from 'react';
import { classes } from '../lib/classes';
import { tell } from '../lib/ask';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { FolderBrowser, type Choice } from '../parts/FolderBrowser';
import type { Book as BookData } from '../types/views';

interface Fields {
    code: string;
    title: string;
    specification: string;
    newTitle: string;
    begin: string;
    root: string;
    below: string;
    document: File | null;
    owner: string;
    due: string;
    range: string;
    [key: string]: string | File | null;
}

function Line({
    id,
    label,
    fault,
    help,
    children,
}: {
    id: string;
    label: string;
    fault?: string | undefined;
    help?: string;
    children: ReactNode;
}) {
    return (
        <div className="grid grid-cols-[150px_minmax(0,1fr)] items-baseline gap-x-4 border-b border-rule py-2">
            <label htmlFor={id}>{label}</label>
            <div>
                {children}
                {help !== undefined && <p className="text-[13px] text-faint">{help}</p>}
                {fault !== undefined && (
                    <p role="alert" className="text-[13px] text-red">
                        {fault}
                    </p>
                )}
            </div>
        </div>
    );
}

interface Proposed {
    parts: { name: string; prose: string; lines: { label: string; value: string }[] }[];
}

interface Props {
    book: BookData;
    specifications: { id: number; title: string }[];
    presets: { word: string; group: string; title: string }[];
    others: { id: number; title: string; production: string }[];
    roots: { id: number; label: string }[];
    people: { id: number; name: string; role: string }[];
}

/** Where a new specification begins. */
const BEGINNINGS = [
    ['preset', 'a preset'],
    ['copy', 'another specification'],
    ['files', 'files that are right'],
    ['document', 'a document'],
    ['', 'nothing'],
] as const;

export default function NewDeliverable({ book, specifications, presets, others, roots, people }: Props) {
    const form = useForm<Fields>({
        code: '',
        title: '',
        specification: specifications[0] === undefined ? '' : String(specifications[0].id),
        newTitle: '',
        begin: presets[0]?.word ?? '',
        root: '',
        below: '',
        document: null,
        owner: '',
        due: '',
        range: '',
    });
    const [way, setWay] = useState<(typeof BEGINNINGS)[number][0]>('preset');
    const [proposed, setProposed] = useState<{ at: Choice; found: Proposed } | null>(null);
    const [trouble, setTrouble] = useState<string | null>(null);
    const [reading, setReading] = useState(false);
    const groups = [...new Set(presets.map((preset) => preset.group))];
    const turnTo = (next: (typeof BEGINNINGS)[number][0]) => {
        setWay(next);
        setProposed(null);
        setTrouble(null);
        form.setData((was) => ({
            ...was,
            document: null,
            begin:
                next === 'preset'
                    ? (presets[0]?.word ?? '')
                    : next === 'copy'
                      ? others[0] === undefined
                          ? ''
                          : `copy:${others[0].id}`
                      : '',
        }));
    };
    const propose = (at: Choice) => {
        setReading(true);
        setTrouble(null);
        tell<Proposed>(`/productions/${book.production.id}/reference`, { ...at, code: form.data.code })
            .then(
                (found) => {
                    setProposed({ at, found });
                    form.setData((was) => ({ ...was, begin: 'files', root: String(at.root), below: at.below }));
                },
                (fault: unknown) => {
                    setProposed(null);
                    form.setData((was) => ({ ...was, begin: '' }));
                    setTrouble(fault instanceof Error ? fault.message : 'These files could not be read.');
                },
            )
            .finally(() => setReading(false));
    };
    const set = (key: keyof Fields & string) => (event: { target: { value: string } }) =>
        form.setData(key, event.target.value);
    const submit = (event: FormEvent) => {
        event.preventDefault();
        form.post(`/productions/${book.production.id}/deliverables`, { forceFormData: true });
    };
    const faults = form.errors as Record<string, string | undefined>;

    return (
        <Book title="A new deliverable" book={book}>
            <form onSubmit={submit} className="max-w-[720px] px-6 py-4" noValidate>
                <h1 className="title pb-2 text-[24px]">A new deliverable</h1>
                <Line id="code" label="Code" fault={faults.code} help="It stands for {shot} in names and folders.">
                    <input
                        id="code"
                        className="input mono"
                        value={form.data.code}
                        onChange={set('code')}
                        placeholder={`${book.production.code}_050`}
                    />
                </Line>
                <Line id="title" label="Title" fault={faults.title}>
                    <input id="title" className="input" value={form.data.title} onChange={set('title')} />
                </Line>
                <Line id="specification" label="Specification" fault={faults.specification}>
                    <select
                        id="specification"
                        className="select"
                        value={form.data.specification}
                        onChange={set('specification')}
                    >
                        {specifications.map((each) => (
                            <option key={each.id} value={each.id}>
                                {each.title}
                            </option>
                        ))}
                        <option value="">a new one</option>
                    </select>
                </Line>
                {form.data.specification === '' && (
                    <>
                        <Line id="newTitle" label="Its title" fault={faults.newTitle}>
                            <input
                                id="newTitle"
                                className="input"
                                value={form.data.newTitle}
                                placeholder="as what it begins from"
                                onChange={set('newTitle')}
                            />
                        </Line>
                        <div className="border-b border-rule py-2">
                            <fieldset className="grid grid-cols-[150px_minmax(0,1fr)] items-baseline gap-x-4">
                                <legend className="float-left">It begins from</legend>
                                <div className="flex flex-wrap gap-x-4">
                                    {BEGINNINGS.filter(
                                        ([word]) =>
                                            (word !== 'copy' || others.length > 0) &&
                                            (word !== 'files' || roots.length > 0),
                                    ).map(([word, label]) => (
                                        <label key={word} className="flex items-baseline gap-1.5">
                                            <input
                                                type="radio"
                                                className="radio"
                                                name="way"
                                                checked={way === word}
                                                onChange={() => turnTo(word)}
                                            />
                                            {label}
                                        </label>
                                    ))}
                                </div>
                            </fieldset>
                            {faults.begin !== undefined && (
                                <p role="alert" className="text-[13px] text-red">
                                    {faults.begin}
                                </p>
                            )}
                        </div>
                        {way === 'preset' && (
                            <Line id="begin" label="Preset" help="Everything in it can be changed afterwards.">
                                <select id="begin" className="select" value={form.data.begin} onChange={set('begin')}>
                                    {groups.map((group) => (
                                        <optgroup key={group} label={group}>
                                            {presets
                                                .filter((preset) => preset.group === group)
                                                .map((preset) => (
                                                    <option key={preset.word} value={preset.word}>
                                                        {preset.title}
                                                    </option>
                                                ))}
                                        </optgroup>
                                    ))}
                                </select>
                            </Line>
                        )}
                        {way === 'copy' && (
                            <Line
                                id="begin"
                                label="Specification"
                                help="It is copied; the two go their own ways from then on."
                            >
                                <select id="begin" className="select" value={form.data.begin} onChange={set('begin')}>
                                    {others.map((other) => (
                                        <option key={other.id} value={`copy:${other.id}`}>
                                            {other.title}
                                            {other.production !== '' && ` (${other.production})`}
                                        </option>
                                    ))}
                                </select>
                            </Line>
                        )}
                        {way === 'document' && (
                            <Line
                                id="document"
                                label="Document"
                                fault={faults.document}
                                help="A plain-ledger/specification document, as it is handed out here."
                            >
                                <input
                                    id="document"
                                    type="file"
                                    accept=".json,application/json"
                                    className="file-input file-input-sm"
                                    onChange={(event) => form.setData('document', event.target.files?.[0] ?? null)}
                                />
                            </Line>
                        )}
                        {way === 'files' && (
                            <div className="-mx-6">
                                <FolderBrowser
                                    browse={`/productions/${book.production.id}/reference`}
                                    roots={roots.map((root) => ({ ...root, own: '' }))}
                                    start={null}
                                    fault={trouble}
                                >
                                    {(at, ready) => (
                                        <>
                                            <button
                                                type="button"
                                                className="btn"
                                                disabled={!ready || reading}
                                                onClick={() => propose(at)}
                                            >
                                                {reading ? 'Reading…' : 'Read these files'}
                                            </button>
                                            <span className="text-[13px] text-faint">
                                                What they all fulfil becomes what is asked. Put the code above first: it
                                                is looked for in the names.
                                            </span>
                                        </>
                                    )}
                                </FolderBrowser>
                                {proposed?.found.parts.map((part) => (
                                    <section
                                        key={part.name}
                                        className="px-6 pb-3"
                                        aria-label={`What the files fulfil: ${part.name}`}
                                    >
                                        <p className="said">
                                            <Breaking text={part.prose} />
                                        </p>
                                        <details>
                                            <summary className="cursor-pointer text-faint">
                                                {part.lines.length} requirements of {part.name}
                                            </summary>
                                            <dl>
                                                {part.lines.map((line) => (
                                                    <div
                                                        key={line.label}
                                                        className={classes(
                                                            'flex justify-between gap-4',
                                                            'border-b border-rule py-0.5',
                                                        )}
                                                    >
                                                        <dt>{line.label}</dt>
                                                        <dd className="mono text-right">
                                                            <Breaking text={line.value} />
                                                        </dd>
                                                    </div>
                                                ))}
                                            </dl>
                                        </details>
                                    </section>
                                ))}
                            </div>
                        )}
                    </>
                )}
                <Line
                    id="range"
                    label="Frame range"
                    fault={faults.range ?? faults.refused}
                    help="Like 1001-1096. It can be set later."
                >
                    <input id="range" className="input mono" value={form.data.range} onChange={set('range')} />
                </Line>
                <Line id="owner" label="Owner" fault={faults.owner}>
                    <select id="owner" className="select" value={form.data.owner} onChange={set('owner')}>
                        <option value="">nobody yet</option>
                        {people.map((person) => (
                            <option key={person.id} value={person.id}>
                                {person.name}, {person.role}
                            </option>
                        ))}
                    </select>
                </Line>
                <Line id="due" label="Due" fault={faults.due}>
                    <input
                        id="due"
                        type="datetime-local"
                        className="input w-56!"
                        value={form.data.due}
                        onChange={set('due')}
                    />
                </Line>
                <p className="pt-4">
                    <button
                        className="btn btn-primary"
                        disabled={
                            form.processing ||
                            (form.data.specification === '' && way === 'files' && form.data.begin !== 'files')
                        }
                    >
                        Add it
                    </button>
                </p>
            </form>
        </Book>
    );
}
