import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import { tellForm } from '../lib/ask';
import { readWorkbook, type SheetOfCells } from '../lib/spreadsheet';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { PlannedRows, type Plan } from '../features/production/PlannedRows';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { Book as BookData } from '../types/views';

type Source = 'file' | 'text' | 'learners';

interface Props {
    book: BookData;
    specifications: { id: number; title: string }[];
    columns: { word: string; label: string }[];
    learners: { id: number; name: string; handle: string }[];
}

/** Deliverables from a list, a timeline or a roster: looked at row by row, then written whole or not at all. */
export default function FromList({ book, specifications, columns, learners }: Props) {
    const [source, setSource] = useState<Source>('file');
    const [specification, setSpecification] = useState(
        specifications[0] === undefined ? '' : String(specifications[0].id),
    );
    const [file, setFile] = useState<File | null>(null);
    const [sheets, setSheets] = useState<SheetOfCells[]>([]);
    const [sheet, setSheet] = useState(0);
    const [text, setText] = useState('');
    const [roster, setRoster] = useState<Set<string>>(() => new Set(learners.map((each) => each.handle)));
    const [code, setCode] = useState('{production}_{learner}');
    const [matched, setMatched] = useState<string[] | null>(null);
    const [plan, setPlan] = useState<Plan | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const latest = useRef(0);

    const given = (): Record<string, string | Blob | null> | null => {
        const base = { specification, columns: matched === null ? null : JSON.stringify(matched) };
        if (source === 'learners') {
            return roster.size === 0 ? null : { ...base, columns: null, learners: [...roster].join('\n'), code };
        }
        if (source === 'text') {
            return text.trim() === '' ? null : { ...base, text, name: 'What was pasted' };
        }
        const cells = sheets[sheet];

        return file === null
            ? null
            : cells === undefined
              ? { ...base, file }
              : { ...base, cells: JSON.stringify(cells.cells), name: file.name };
    };
    const data = given();
    const key = JSON.stringify([
        source,
        specification,
        file?.name,
        file?.lastModified,
        sheet,
        sheets.length,
        text,
        [...roster],
        code,
        matched,
    ]);
    const fresh = useRef(data);
    useEffect(() => {
        fresh.current = data;
    });

    useEffect(() => {
        const now = fresh.current;
        const turn = ++latest.current;
        const stop = new AbortController();
        const timer = setTimeout(() => {
            if (now === null || specification === '') {
                setPlan(null);
                setFault(null);

                return;
            }
            setBusy(true);
            tellForm<Plan>(`/productions/${book.production.id}/list/read`, now, stop.signal)
                .then(
                    (answer) => {
                        setPlan(answer);
                        setFault(null);
                    },
                    (trouble: unknown) => {
                        if (!stop.signal.aborted) {
                            setPlan(null);
                            setFault(trouble instanceof Error ? trouble.message : 'This could not be read.');
                        }
                    },
                )
                .finally(() => {
                    if (turn === latest.current) {
                        setBusy(false);
                    }
                });
        }, 250);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [key, book.production.id, specification]);

    const choose = async (taken: File | null) => {
        setMatched(null);
        setPlan(null);
        setFault(null);
        setSheets([]);
        setSheet(0);
        setFile(null);
        if (taken === null) {
            return;
        }
        try {
            if (/\.xlsx$/i.test(taken.name)) {
                const found = (await readWorkbook(taken)).filter((each) => each.cells.length > 0);
                setSheets(found);
                // the longest is the list, as a rule
                setSheet(
                    found.reduce(
                        (best, each, at) => (each.cells.length > (found[best]?.cells.length ?? 0) ? at : best),
                        0,
                    ),
                );
            }
            setFile(taken);
        } catch (trouble) {
            setFault(trouble instanceof Error ? trouble.message : 'This file could not be read.');
        }
    };
    const write = () => {
        if (data === null || plan === null) {
            return;
        }
        router.post(
            `/productions/${book.production.id}/list`,
            { ...data, seal: plan.seal },
            {
                forceFormData: true,
                onStart: () => setBusy(true),
                onFinish: () => setBusy(false),
                onError: (errors) => setFault(Object.values(errors)[0] ?? 'Nothing was written.'),
            },
        );
    };
    const turnTo = (next: Source) => {
        setSource(next);
        setMatched(null);
        setPlan(null);
        setFault(null);
    };

    return (
        <Book title={`${book.production.name}, from a list`} book={book}>
            <ProductionFolios book={book} at="/list" />
            <div className="px-6 pt-3 pb-10">
                <p className="said pb-2">
                    Many deliverables at once. What would be made, changed or refused is shown first, row by row;
                    nothing is written until you agree, and then all of it.
                </p>
                {specifications.length === 0 ? (
                    <p className="text-faint">
                        New deliverables follow a specification, and this production has none yet. Add one deliverable
                        first.
                    </p>
                ) : (
                    <>
                        <div className="grid grid-cols-[150px_minmax(0,1fr)] items-baseline gap-x-4 gap-y-2">
                            <label htmlFor="specification">New ones follow</label>
                            <select
                                id="specification"
                                className="select max-w-[440px]"
                                value={specification}
                                onChange={(event) => setSpecification(event.target.value)}
                            >
                                {specifications.map((each) => (
                                    <option key={each.id} value={each.id}>
                                        {each.title}
                                    </option>
                                ))}
                            </select>
                            <span id="source">They come from</span>
                            <div role="radiogroup" aria-labelledby="source" className="flex flex-wrap gap-x-4">
                                {(
                                    [
                                        ['file', 'a file'],
                                        ['text', 'text pasted in'],
                                        ['learners', 'the roster, one for each learner'],
                                    ] as const
                                ).map(([word, label]) => (
                                    <label key={word} className="flex items-baseline gap-1.5">
                                        <input
                                            type="radio"
                                            className="radio"
                                            name="source"
                                            checked={source === word}
                                            onChange={() => turnTo(word)}
                                        />
                                        {label}
                                    </label>
                                ))}
                            </div>
                            {source === 'file' && (
                                <>
                                    <label htmlFor="list">The file</label>
                                    <div>
                                        <input
                                            id="list"
                                            type="file"
                                            accept=".csv,.tsv,.txt,.xlsx,.otio,.json"
                                            className="file-input file-input-sm"
                                            onChange={(event) => void choose(event.target.files?.[0] ?? null)}
                                        />
                                        <p className="text-[13px] text-faint">
                                            A list as CSV or XLSX with headings such as shot, range, handles, camera,
                                            version, owner, due; or a timeline as OpenTimelineIO.
                                        </p>
                                        {sheets.length > 1 && (
                                            <label className="flex items-baseline gap-2 pt-1">
                                                Sheet
                                                <select
                                                    className="select w-auto!"
                                                    value={sheet}
                                                    onChange={(event) => {
                                                        setSheet(Number(event.target.value));
                                                        setMatched(null);
                                                    }}
                                                >
                                                    {sheets.map((each, at) => (
                                                        <option key={each.name} value={at}>
                                                            {each.name}
                                                        </option>
                                                    ))}
                                                </select>
                                            </label>
                                        )}
                                    </div>
                                </>
                            )}
                            {source === 'text' && (
                                <>
                                    <label htmlFor="pasted">The list</label>
                                    <textarea
                                        id="pasted"
                                        className="textarea mono h-36"
                                        value={text}
                                        spellCheck={false}
                                        placeholder={
                                            'shot\trange\thandles\towner\n' +
                                            `${book.production.code}_050\t1001-1048\t8\twren`
                                        }
                                        onChange={(event) => {
                                            setText(event.target.value);
                                            setMatched(null);
                                        }}
                                    />
                                </>
                            )}
                            {source === 'learners' && (
                                <>
                                    <span id="learners">Learners</span>
                                    {learners.length === 0 ? (
                                        <p className="text-faint">Nobody is a learner in this production.</p>
                                    ) : (
                                        <div
                                            role="group"
                                            aria-labelledby="learners"
                                            className="flex flex-wrap gap-x-4 gap-y-1"
                                        >
                                            {learners.map((each) => (
                                                <label key={each.id} className="flex items-baseline gap-1.5">
                                                    <input
                                                        type="checkbox"
                                                        className="checkbox"
                                                        checked={roster.has(each.handle)}
                                                        onChange={(event) =>
                                                            setRoster((was) => {
                                                                const next = new Set(was);
                                                                if (event.target.checked) {
                                                                    next.add(each.handle);
                                                                } else {
                                                                    next.delete(each.handle);
                                                                }

                                                                return next;
                                                            })
                                                        }
                                                    />
                                                    {each.name}
                                                </label>
                                            ))}
                                        </div>
                                    )}
                                    <label htmlFor="code">Code of each</label>
                                    <input
                                        id="code"
                                        className="input mono max-w-[320px]"
                                        value={code}
                                        onChange={(event) => setCode(event.target.value)}
                                    />
                                </>
                            )}
                        </div>
                        {fault !== null && (
                            <p role="alert" className="py-3 text-red">
                                <Breaking text={fault} />
                            </p>
                        )}
                        {busy && plan === null && <p className="py-3 text-faint">Reading…</p>}
                        {plan !== null && (
                            <PlannedRows
                                plan={plan}
                                columns={columns}
                                matched={matched}
                                onMatch={setMatched}
                                busy={busy}
                                onWrite={write}
                            />
                        )}
                    </>
                )}
            </div>
        </Book>
    );
}
