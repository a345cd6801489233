import { Link, router } from '@inertiajs/react';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { classes } from '../lib/classes';
import { tell } from '../lib/ask';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { Folios } from '../parts/Folios';
import { MarkSign } from '../parts/MarkSign';
import type { Book as BookData, DeliverableHead, Mark, Verdict } from '../types/views';

interface Row {
    field: string;
    line: string;
    label: string;
    group: string | null;
    required: string | null;
    level: 'must' | 'should' | null;
    example: string;
    words: string[];
    where: string | null;
}

interface Answer {
    lines: Record<string, { mark: Mark; found: string | null; required: string }>;
    faults: Record<string, string>;
    understood: Record<string, string>;
    causes: { says: string; explains: string[] }[];
    comesTo: { id: string; label: string; says: string }[];
    verdict: Verdict;
    fault: string | null;
}

interface Entry {
    /** all that are owed; of several, one is typed in at a time */
    parts: string[];
    part: string | null;
    rows: Row[];
    typed: Record<string, string> | [];
}

/** A scene typed in off the screen, in the order it is usually read; marks come as one types. */
export default function EnterScene(props: { book: BookData; deliverable: DeliverableHead; entry: Entry }) {
    // another part is another sheet
    return <Sheet key={props.entry.part ?? ''} {...props} />;
}

function Sheet({ book, deliverable, entry }: { book: BookData; deliverable: DeliverableHead; entry: Entry }) {
    const [typed, setTyped] = useState<Record<string, string>>(() =>
        Array.isArray(entry.typed) ? {} : { ...entry.typed },
    );
    const [answer, setAnswer] = useState<Answer | null>(null);
    const [trouble, setTrouble] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const [at, setAt] = useState<string | null>(null);
    const list = useRef<HTMLFormElement>(null);
    const key = JSON.stringify(typed);

    useEffect(() => {
        const stop = new AbortController();
        const timer = setTimeout(() => {
            tell<Answer>(
                `/deliverables/${deliverable.id}/scene/try`,
                { part: entry.part, typed: JSON.parse(key) as Record<string, string> },
                stop.signal,
            ).then(
                (now) => {
                    setAnswer(now);
                    setTrouble(now.fault);
                },
                (fault: unknown) => {
                    if (!stop.signal.aborted) {
                        setTrouble(fault instanceof Error ? fault.message : 'This could not be checked just now.');
                    }
                },
            );
        }, 120);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [key, deliverable.id, entry.part]);

    const keep = () => {
        setBusy(true);
        router.post(
            `/deliverables/${deliverable.id}/scene/typed`,
            { part: entry.part, typed },
            {
                onError: (errors) =>
                    setTrouble(errors.settings ?? Object.values(errors)[0] ?? 'This could not be kept.'),
                onFinish: () => setBusy(false),
            },
        );
    };
    /** Enter and arrows go from field to field; Ctrl Enter keeps all. */
    const walk = (event: KeyboardEvent<HTMLFormElement>) => {
        if (!(event.target instanceof HTMLInputElement)) {
            return;
        }
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            keep();

            return;
        }
        const way = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (way !== 0) {
            event.preventDefault();
            const fields = [...(list.current?.querySelectorAll<HTMLInputElement>('input[data-field]') ?? [])];
            const next = fields[fields.indexOf(event.target) + way];
            if (next !== undefined) {
                next.focus();
                next.select();
            } else if (way === 1) {
                list.current?.querySelector<HTMLButtonElement>('button[type=submit]')?.focus();
            }
        }
    };
    const marked = entry.rows.filter((row) => row.line === row.field || row.field === 'camera.chosen');
    const good = marked.filter((row) => ['equal', 'waived'].includes(answer?.lines[row.line]?.mark ?? '')).length;
    const rowAt = entry.rows.find((row) => row.field === at);

    return (
        <Book
            title={`${deliverable.code}, typed in`}
            book={book}
            deliverable={deliverable}
            margin={
                <div aria-live="polite">
                    {trouble !== null && (
                        <p role="alert" className="pb-2 text-red">
                            {trouble}
                        </p>
                    )}
                    {rowAt?.where != null && (
                        <section className="pb-3">
                            <h2 className="aside pb-1">{rowAt.label}</h2>
                            <p className="note">{rowAt.where}</p>
                        </section>
                    )}
                    {answer !== null && answer.causes.length > 0 && (
                        <section>
                            <h2 className="aside pb-1">Why</h2>
                            <ol>
                                {answer.causes.map((cause, n) => (
                                    <li key={n} className="note">
                                        <Breaking text={cause.says} />
                                    </li>
                                ))}
                            </ol>
                        </section>
                    )}
                    {answer !== null && answer.comesTo.length > 0 && (
                        <section>
                            <h2 className="aside pb-1">What it comes to</h2>
                            <dl className="note">
                                {answer.comesTo.map((line) => (
                                    <div key={line.id} className="pb-1">
                                        <dt className="aside text-[13px]">{line.label}</dt>
                                        <dd className="mono text-[13px]">
                                            <Breaking text={line.says} />
                                        </dd>
                                    </div>
                                ))}
                            </dl>
                        </section>
                    )}
                </div>
            }
        >
            <Folios deliverable={deliverable} at="scene" />
            <form
                ref={list}
                className="px-6 pb-10"
                onKeyDown={walk}
                onSubmit={(event) => {
                    event.preventDefault();
                    keep();
                }}
            >
                {entry.part !== null && (
                    <nav aria-label="Parts" className="flex flex-wrap items-baseline gap-x-4 pt-4">
                        <span className="aside">What is typed makes</span>
                        {entry.parts.map((part) => (
                            <Link
                                key={part}
                                href={`/deliverables/${deliverable.id}/scene/enter?part=${encodeURIComponent(part)}`}
                                aria-current={part === entry.part ? 'page' : undefined}
                                className={classes(
                                    'mono',
                                    part === entry.part
                                        ? 'border-b-2 border-ink font-semibold'
                                        : 'text-faint hover:text-ink',
                                )}
                            >
                                {part}
                            </Link>
                        ))}
                        <span className="text-[13px] text-faint">
                            One part at a time; what was kept of the others stays.
                        </span>
                    </nav>
                )}
                <p className="said pt-4">Read it off the scene’s settings, line by line. Enter goes to the next.</p>
                <table className="ledger mt-2">
                    <colgroup>
                        <col style={{ width: '26%' }} />
                        <col style={{ width: '26%' }} />
                        <col style={{ width: '36%' }} />
                        <col style={{ width: '12%' }} />
                    </colgroup>
                    <thead>
                        <tr>
                            <th scope="col">setting</th>
                            <th scope="col" className="column">
                                required
                            </th>
                            <th scope="col" className="column">
                                in the scene
                            </th>
                            <th scope="col" className="column">
                                mark
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {entry.rows.map((row) => {
                            const line = answer?.lines[row.line];
                            const value = typed[row.field] ?? '';
                            const fault = answer?.faults[row.field];
                            const read = answer?.understood[row.field];
                            const shows = row.line === row.field || row.field === 'camera.chosen';

                            return (
                                <tr key={row.field} className={at === row.field ? 'touched' : ''}>
                                    <th scope="row">
                                        <label htmlFor={`f-${row.field}`}>{row.label}</label>
                                        {row.level === 'should' && <span className="aside"> should</span>}
                                    </th>
                                    <td className="column mono">
                                        <Breaking text={row.required ?? ''} />
                                    </td>
                                    <td className="column">
                                        <input
                                            id={`f-${row.field}`}
                                            data-field={row.field}
                                            autoFocus={row.field === entry.rows[0]?.field}
                                            className="input mono"
                                            value={value}
                                            placeholder={row.example}
                                            list={row.words.length > 0 ? `w-${row.field}` : undefined}
                                            aria-invalid={fault !== undefined}
                                            aria-describedby={`s-${row.field}`}
                                            onFocus={() => setAt(row.field)}
                                            onChange={(event) =>
                                                setTyped({ ...typed, [row.field]: event.target.value })
                                            }
                                        />
                                        {row.words.length > 0 && (
                                            <datalist id={`w-${row.field}`}>
                                                {row.words.map((word) => (
                                                    <option key={word} value={word} />
                                                ))}
                                            </datalist>
                                        )}
                                        <span id={`s-${row.field}`} className="text-[12.5px]">
                                            {fault !== undefined && value !== '' ? (
                                                <span className="text-red">{fault}</span>
                                            ) : read !== undefined ? (
                                                <span className="text-faint">read as {read}</span>
                                            ) : null}
                                        </span>
                                    </td>
                                    <td className="column">
                                        {shows && line !== undefined && (value !== '' || line.mark !== 'unknown') && (
                                            <MarkSign mark={line.mark} />
                                        )}
                                        {shows &&
                                            line?.mark === 'unequal' &&
                                            line.found !== null &&
                                            line.found !== value && (
                                                <span className="mono block text-[12.5px] text-red">
                                                    <Breaking text={line.found} />
                                                </span>
                                            )}
                                    </td>
                                </tr>
                            );
                        })}
                    </tbody>
                    <tfoot>
                        <tr>
                            <td colSpan={4}>
                                {good} of {marked.length} balance
                            </td>
                        </tr>
                    </tfoot>
                </table>
                <p className="flex flex-wrap items-center gap-3 pt-3">
                    <button type="submit" className="btn btn-primary" disabled={busy}>
                        {busy ? 'Keeping…' : 'Keep and check'}
                    </button>
                    <Link href={`/deliverables/${deliverable.id}/scene`} className="btn">
                        Leave it
                    </Link>
                    <span className="text-faint">
                        Ctrl Enter keeps it from any field. What is left empty counts as not told.
                    </span>
                </p>
            </form>
        </Book>
    );
}
