import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { ask } from '../lib/ask';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { MarkSign, verdictMark } from '../parts/MarkSign';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { Book as BookData, IndexLine, ConflictShown } from '../types/views';

interface SpecificationLine {
    id: number;
    title: string;
    revision: number;
    deliverables: number;
}

export default function Production({
    book,
    specifications,
    presets,
}: {
    book: BookData;
    specifications: SpecificationLine[];
    presets: { id: number; title: string }[];
}) {
    const balanced = book.index.filter((line) => line.verdict === 'balanced').length;

    return (
        <Book title={book.production.name} book={book}>
            <ProductionFolios book={book} at="" />
            <div className="px-6 pb-10">
                {book.index.length === 0 ? (
                    <div className="said mt-4 max-w-[60ch]">
                        {book.decides ? (
                            <>
                                <p>Nothing is owed here yet.</p>
                                <p className="mt-3 flex flex-wrap gap-3 font-sans">
                                    <Link
                                        href={`/productions/${book.production.id}/deliverables/new`}
                                        className="btn btn-primary inline-block"
                                    >
                                        Add the first deliverable
                                    </Link>
                                    <Link href={`/productions/${book.production.id}/list`} className="btn inline-block">
                                        Read a list of them
                                    </Link>
                                </p>
                            </>
                        ) : (
                            <p>Nothing is owed by you in this production. When something is, it will stand here.</p>
                        )}
                    </div>
                ) : (
                    <table className="ledger mt-3">
                        <colgroup>
                            <col style={{ width: '34%' }} />
                            <col style={{ width: '18%' }} />
                            <col style={{ width: '24%' }} />
                            <col style={{ width: '24%' }} />
                        </colgroup>
                        <thead>
                            <tr>
                                <th scope="col">deliverable</th>
                                <th scope="col" className="column">
                                    owner
                                </th>
                                <th scope="col" className="column">
                                    due
                                </th>
                                <th scope="col" className="column">
                                    what holds it up
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {book.index.map((line) => (
                                <DeliverableRow key={line.id} line={line} />
                            ))}
                        </tbody>
                        <tfoot>
                            <tr>
                                <td colSpan={4}>
                                    {balanced} of {book.index.length} balance
                                </td>
                            </tr>
                        </tfoot>
                    </table>
                )}
                {book.decides && book.index.length > 0 && (
                    <p className="flex flex-wrap gap-x-4 pt-3 text-[13px]">
                        <span className="aside">The list of deliverables, to take along:</span>
                        <a className="link" href={`/productions/${book.production.id}/deliverables.csv`}>
                            CSV
                        </a>
                        <a className="link" href={`/productions/${book.production.id}/deliverables.otio`}>
                            OpenTimelineIO
                        </a>
                    </p>
                )}
                {!book.decides && book.index.length > 1 && (
                    <p className="pt-4">
                        <Link href={`/productions/${book.production.id}/scenes`} className="btn inline-block">
                            Bring the settings of several scenes
                        </Link>
                    </p>
                )}
                {specifications.length > 0 && <Specifications lines={specifications} />}
                {book.decides && book.index.length > 0 && <Proof production={book.production.id} />}
                {presets.length > 0 && (
                    <section className="pt-6">
                        <h2 className="title border-b border-edge pb-1 text-[18px]">Presets of this production</h2>
                        <ul>
                            {presets.map((preset) => (
                                <PresetLine key={preset.id} preset={preset} />
                            ))}
                        </ul>
                    </section>
                )}
            </div>
        </Book>
    );
}

function DeliverableRow({ line }: { line: IndexLine }) {
    const mark = verdictMark(line.verdict, line.waived);

    return (
        <tr>
            <th scope="row">
                <span className="grid grid-cols-[20px_1fr]">
                    <span>
                        {mark === null ? (
                            <span className="text-faint" aria-label="not checked">
                                ·
                            </span>
                        ) : (
                            <MarkSign mark={mark} label={line.verdict ?? ''} />
                        )}
                    </span>
                    <span>
                        <Link
                            href={`/deliverables/${line.id}/${line.folio}`}
                            className="link mono [overflow-wrap:anywhere]"
                        >
                            {line.code}
                        </Link>{' '}
                        <span className="aside">{line.title}</span>
                    </span>
                </span>
            </th>
            <td className="column">{line.owner ?? <span className="text-faint">nobody</span>}</td>
            <td className="column">
                {line.due === null ? (
                    <span className="text-faint">no date</span>
                ) : (
                    <>
                        {line.due.at}{' '}
                        <span className={line.due.late ? 'text-red' : 'text-faint'}>{line.due.words}</span>
                    </>
                )}
            </td>
            <td className="column">
                {line.holdsUp ?? <span className="text-faint">not checked yet</span>}
                {line.stale && <span className="block text-[12.5px] text-ochre">asked otherwise since</span>}
            </td>
        </tr>
    );
}

function Specifications({ lines }: { lines: SpecificationLine[] }) {
    return (
        <section className="pt-6">
            <h2 className="title border-b border-edge pb-1 text-[18px]">Specifications</h2>
            <ul>
                {lines.map((line) => (
                    <li key={line.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
                        <Link href={`/specifications/${line.id}`} className="link">
                            <Breaking text={line.title} />
                        </Link>
                        <span className="text-faint">
                            revision {line.revision};{' '}
                            {line.deliverables === 0
                                ? 'nothing follows it'
                                : `${line.deliverables} ${
                                      line.deliverables === 1 ? 'deliverable follows' : 'deliverables follow'
                                  } it`}
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** What contradicts itself anywhere in the production, looked for when asked. */
function Proof({ production }: { production: number }) {
    const [found, setFound] = useState<{
        found: { id: number | null; code: string; conflicts: ConflictShown[] }[];
        read: number;
    } | null>(null);
    const [busy, setBusy] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    const look = () => {
        setBusy(true);
        setFault(null);
        ask<{ found: { id: number | null; code: string; conflicts: ConflictShown[] }[]; read: number }>(
            `/productions/${production}/proof`,
        )
            .then(setFound, (trouble: unknown) =>
                setFault(trouble instanceof Error ? trouble.message : 'This could not be read.'),
            )
            .finally(() => setBusy(false));
    };

    return (
        <section className="pt-6" aria-label="Proofreading">
            <h2 className="title border-b border-edge pb-1 text-[18px]">Proofreading</h2>
            <p className="flex flex-wrap items-baseline gap-3 py-2">
                <button type="button" className="btn" disabled={busy} onClick={look}>
                    {busy ? 'Reading…' : 'Proofread all that is asked'}
                </button>
                <span className="text-faint">
                    requirements that conflict, and deliverables that would write the same path
                </span>
            </p>
            <div aria-live="polite">
                {fault !== null && <p className="text-red">{fault}</p>}
                {found !== null && found.found.length === 0 && (
                    <p className="text-green">All {found.read} agree with themselves and with each other.</p>
                )}
                {found?.found.map((each) => (
                    <div key={each.code} className="border-b border-rule py-1.5">
                        {each.id === null ? (
                            <span className="mono">{each.code}</span>
                        ) : (
                            <Link href={`/deliverables/${each.id}/specification`} className="link mono">
                                {each.code}
                            </Link>
                        )}
                        {each.conflicts.map((conflict) => (
                            <p key={conflict.says} className="text-red">
                                <Breaking text={conflict.says} />
                            </p>
                        ))}
                    </div>
                ))}
            </div>
        </section>
    );
}

function PresetLine({ preset }: { preset: { id: number; title: string } }) {
    const [title, setTitle] = useState(preset.title);
    const [editing, setEditing] = useState(false);
    const keep = () => {
        setEditing(false);
        if (title.trim() !== '' && title.trim() !== preset.title) {
            router.patch(`/presets/${preset.id}`, { title: title.trim() }, { preserveScroll: true });
        } else {
            setTitle(preset.title);
        }
    };

    return (
        <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            {editing ? (
                <input
                    autoFocus
                    aria-label="Title of the preset"
                    className="input w-96!"
                    value={title}
                    onChange={(event) => setTitle(event.target.value)}
                    onBlur={keep}
                    onKeyDown={(event) => {
                        if (event.key === 'Enter') {
                            keep();
                        } else if (event.key === 'Escape') {
                            setTitle(preset.title);
                            setEditing(false);
                        }
                    }}
                />
            ) : (
                <span>
                    <Breaking text={preset.title} />
                </span>
            )}
            <span className="ml-auto flex gap-3 text-[13px]">
                <button type="button" className="link" onClick={() => setEditing(true)}>
                    call it otherwise
                </button>
                <button
                    type="button"
                    className="link"
                    onClick={() => {
                        if (window.confirm(`Take the preset “${preset.title}” away? What was begun from it stays.`)) {
                            router.delete(`/presets/${preset.id}`, { preserveScroll: true });
                        }
                    }}
                >
                    take away
                </button>
            </span>
        </li>
    );
}
