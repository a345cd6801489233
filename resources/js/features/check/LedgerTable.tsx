import { Fragment, useState } from 'react';
import { classes } from '../../lib/classes';
import { inWords, pickOut } from './difference';
import { lineKey } from './notes';
import type { Cell, Entry, Ledger } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { Folded } from '../../parts/Folded';
import { MarkSign } from '../../parts/MarkSign';
import { Waive } from './Waive';

const LONG = 24;

/** The ink of what was found, where it stands in place of a mark. */
const foundClass = (cell: Cell): string =>
    classes('mono', cell.mark === 'unequal' && cell.stale !== true && 'found-wrong');

/** Found values in their own ink, what differs picked out. */
function CellText({ cell, required }: { cell: Cell; required: string }) {
    if (cell.found === null) {
        return <span className="text-faint">not told</span>;
    }
    if (cell.stale === true) {
        return <span className="mono text-faint">{cell.found}</span>;
    }
    // where only some differ, what most of them show is no mistake
    if (cell.mark !== 'unequal' || ((cell.runs ?? []).length > 0 && required.split(' | ').includes(cell.found))) {
        return (
            <span className="mono">
                <Breaking text={cell.found} />
            </span>
        );
    }
    const word = inWords(required, cell.found);

    return (
        <span className="found-wrong">
            <span className="mono">
                {pickOut(required, cell.found).map((piece, at) =>
                    piece.differs ? (
                        <em key={at}>
                            <Breaking text={piece.text} />
                        </em>
                    ) : (
                        <Breaking key={at} text={piece.text} />
                    ),
                )}
            </span>
            {word !== null && <span className="aside ml-2 text-red!">{word}</span>}
        </span>
    );
}

function MarkedCell({ cell, required, given }: { cell: Cell | undefined; required: string; given: boolean }) {
    if (cell === undefined) {
        return given ? null : <span className="sr-only">not given</span>;
    }

    return (
        <span className="grid grid-cols-[18px_1fr] gap-x-1">
            <span>
                {cell.stale === true ? (
                    <span className="text-faint" aria-label="changed since">
                        ·
                    </span>
                ) : (
                    <MarkSign mark={cell.mark} />
                )}
            </span>
            <span>
                <CellText cell={cell} required={required} />
                {cell.stale === true && (
                    <span className="aside block text-[12.5px]">changed since; the files are right</span>
                )}
            </span>
        </span>
    );
}

/** Where some frames, or passes, show something else. Of a range it is the range itself that says where. */
function Runs({ cell, range }: { cell: Cell | undefined; range: boolean }) {
    const [all, setAll] = useState(false);
    const runs = cell?.runs ?? [];

    return runs.length === 0 ? null : (
        <span className={`block text-[12.5px] ${cell?.mark === 'unequal' ? 'text-red' : 'text-faint'}`}>
            {(all ? runs : runs.slice(0, 4)).map((run, at) => (
                <span key={at} className="block">
                    <span className="mono">
                        <Folded text={run.found} />
                    </span>
                    {run.pass !== undefined && ` in ${run.pass}`}
                    {run.frames !== '' && !(range && run.pass !== undefined) && (
                        <>
                            {run.pass === undefined ? ' in ' : ', '}
                            <span className="mono">
                                <Folded text={run.frames} />
                            </span>
                        </>
                    )}
                </span>
            ))}
            {runs.length > 4 && (
                <button type="button" className="link" onClick={() => setAll(!all)}>
                    {all ? 'fewer' : `${runs.length - 4} more`}
                </button>
            )}
        </span>
    );
}

/** What nobody could look at, by the reason; the same of several parts or passes is said once with all of them. */
function byReason(lines: Ledger['document']['not_checked'], labels: Ledger['labels']): [string, string[]][] {
    const reasons = new Map<string, Map<string, Set<string>>>();
    const parts = new Set(lines.map((line) => line.part));
    for (const line of lines) {
        const own = reasons.get(line.why) ?? new Map<string, Set<string>>();
        const label = labels[line.id]?.label.toLowerCase() ?? line.id;
        const whose = own.get(label) ?? new Set<string>();
        const place = [parts.size > 1 ? line.part : null, line.pass ?? null]
            .filter((piece) => piece !== null)
            .join(', ');
        if (place !== '') {
            whose.add(place);
        }
        reasons.set(line.why, own.set(label, whose));
    }

    return [...reasons].map(([why, own]) => [
        why,
        [...own].map(([label, whose]) => (whose.size === 0 ? label : `${label} (${[...whose].join('; ')})`)),
    ]);
}

/** Required, scene and files side by side, one requirement a line; causes by the numbers of their notes. */
export function LedgerTable({
    ledger,
    numbers,
    touched,
    mayWaive,
    onTouch,
}: {
    ledger: Ledger;
    mayWaive: boolean;
    numbers: Map<string, number[]>;
    touched: number | null;
    onTouch: (note: number | null) => void;
}) {
    const [onlyTrouble, setOnlyTrouble] = useState(false);
    const [folded, setFolded] = useState<Set<string>>(new Set());
    const { document, labels } = ledger;
    const parts = [...new Set(document.entries.map((entry) => entry.part))];
    const shown = onlyTrouble ? document.entries.filter((entry) => entry.mark !== 'equal') : document.entries;
    const good = (side: 'mark' | 'scene' | 'files') => {
        const marks = document.entries
            .map((entry) =>
                side === 'mark' ? entry.mark : entry[side]?.stale === true ? undefined : entry[side]?.mark,
            )
            .filter((mark) => mark !== undefined);

        return `${marks.filter((mark) => mark === 'equal' || mark === 'waived').length} of ${marks.length}`;
    };
    const groups = (part: string): [string, Entry[]][] => {
        const found = new Map<string, Entry[]>();
        for (const entry of shown.filter((each) => each.part === part)) {
            const group = labels[entry.id]?.group ?? '';
            found.set(group, [...(found.get(group) ?? []), entry]);
        }

        return [...found];
    };
    const fold = (key: string) =>
        setFolded((before) => {
            const after = new Set(before);
            if (!after.delete(key)) {
                after.add(key);
            }

            return after;
        });

    return (
        <div className="px-6 pb-8">
            <div className="flex items-baseline gap-4 pt-3 pb-1" role="group" aria-label="Which lines">
                {[false, true].map((trouble) => (
                    <button
                        key={String(trouble)}
                        type="button"
                        aria-pressed={onlyTrouble === trouble}
                        onClick={() => setOnlyTrouble(trouble)}
                        className={
                            onlyTrouble === trouble
                                ? 'border-b-2 border-ink font-semibold'
                                : 'cursor-pointer text-faint hover:text-ink'
                        }
                    >
                        {trouble ? 'Only what does not balance' : 'Everything'}
                    </button>
                ))}
            </div>
            <table className="ledger">
                <colgroup>
                    <col style={{ width: '23%' }} />
                    <col style={{ width: '25%' }} />
                    <col style={{ width: '26%' }} />
                    <col style={{ width: '26%' }} />
                </colgroup>
                <thead>
                    <tr>
                        <th scope="col">requirement</th>
                        <th scope="col" className="column">
                            required
                        </th>
                        <th scope="col" className="column">
                            in the scene
                            {ledger.scene === null && <span className="text-[12.5px]">, not given</span>}
                        </th>
                        <th scope="col" className="column">
                            in the files
                            {ledger.delivery === null && <span className="text-[12.5px]">, not given</span>}
                        </th>
                    </tr>
                </thead>
                {parts.map((part) => (
                    <Fragment key={part}>
                        {groups(part).map(([group, entries]) => {
                            const key = `${part}/${group}`;
                            const balances = entries.every(
                                (entry) => entry.mark === 'equal' || entry.mark === 'waived',
                            );
                            const closed = folded.has(key);

                            return (
                                <tbody key={key}>
                                    <tr className="group">
                                        <th scope="rowgroup" colSpan={4}>
                                            {balances ? (
                                                <button
                                                    type="button"
                                                    className="title cursor-pointer"
                                                    aria-expanded={!closed}
                                                    onClick={() => fold(key)}
                                                >
                                                    {group}
                                                    {parts.length > 1 && <span className="aside"> of {part}</span>}
                                                    {closed && (
                                                        <span className="aside font-normal">
                                                            {' '}
                                                            · {entries.length} balance
                                                        </span>
                                                    )}
                                                </button>
                                            ) : (
                                                <span className="title">
                                                    {group}
                                                    {parts.length > 1 && <span className="aside"> of {part}</span>}
                                                </span>
                                            )}
                                        </th>
                                    </tr>
                                    {!closed &&
                                        entries.map((entry) => {
                                            const notes = numbers.get(lineKey(entry)) ?? [];
                                            const long = [entry.required, entry.scene?.found, entry.files?.found].some(
                                                (text) => (text ?? '').length > LONG,
                                            );
                                            const on = touched !== null && notes.includes(touched);

                                            return (
                                                <Fragment key={`${entry.id}/${entry.pass ?? ''}`}>
                                                    <tr
                                                        data-notes={notes.join(' ')}
                                                        className={on ? 'touched' : ''}
                                                        onMouseEnter={() => onTouch(notes[0] ?? null)}
                                                        onMouseLeave={() => onTouch(null)}
                                                    >
                                                        <th scope="row">
                                                            {labels[entry.id]?.label ?? entry.id}
                                                            {entry.level === 'should' && (
                                                                <span className="aside"> should</span>
                                                            )}
                                                            {notes.map((note) => (
                                                                <a
                                                                    key={note}
                                                                    href={`#note-${note}`}
                                                                    className="note-number ml-1.5"
                                                                    aria-label={`note ${note}`}
                                                                    onFocus={() => onTouch(note)}
                                                                    onBlur={() => onTouch(null)}
                                                                >
                                                                    {note}
                                                                </a>
                                                            ))}
                                                            {entry.pass !== undefined && (
                                                                <span className="aside"> of {entry.pass}</span>
                                                            )}
                                                            {entry.waiver !== undefined && (
                                                                <span className="block text-[12.5px] text-ochre">
                                                                    accepted: <Breaking text={entry.waiver.reason} />
                                                                    {entry.waiver.by !== undefined &&
                                                                        ` (${entry.waiver.by})`}
                                                                </span>
                                                            )}
                                                            {mayWaive &&
                                                                ledger.newest &&
                                                                (entry.mark === 'unequal' ||
                                                                    entry.waiver?.key !== undefined) && (
                                                                    <Waive ledger={ledger} entry={entry} />
                                                                )}
                                                            {entry.find_out !== undefined && (
                                                                <span className="aside block text-[12.5px]">
                                                                    {entry.find_out}
                                                                </span>
                                                            )}
                                                            {entry.why !== undefined && (
                                                                <span className="aside block text-[12.5px]">
                                                                    {entry.why}
                                                                </span>
                                                            )}
                                                        </th>
                                                        <td className="column mono">
                                                            {long ? (
                                                                <span className="text-faint">below</span>
                                                            ) : (
                                                                entry.required
                                                            )}
                                                        </td>
                                                        {(['scene', 'files'] as const).map((side) => (
                                                            <td key={side} className="column">
                                                                {long ? (
                                                                    entry[side] !== undefined && (
                                                                        <MarkSign mark={entry[side].mark} />
                                                                    )
                                                                ) : (
                                                                    <MarkedCell
                                                                        cell={entry[side]}
                                                                        required={entry.required}
                                                                        given={
                                                                            side === 'scene'
                                                                                ? ledger.scene !== null
                                                                                : ledger.delivery !== null
                                                                        }
                                                                    />
                                                                )}
                                                                {!long && (
                                                                    <Runs
                                                                        cell={entry[side]}
                                                                        range={entry.id === 'time.range'}
                                                                    />
                                                                )}
                                                            </td>
                                                        ))}
                                                    </tr>
                                                    {long && (
                                                        <tr className={on ? 'touched' : ''}>
                                                            <td colSpan={4} className="pl-6!">
                                                                <dl className="grid grid-cols-[80px_1fr] gap-x-2">
                                                                    <dt className="aside">required</dt>
                                                                    <dd className="mono">
                                                                        <Breaking text={entry.required} />
                                                                    </dd>
                                                                    {(['scene', 'files'] as const).map(
                                                                        (side) =>
                                                                            entry[side] !== undefined && (
                                                                                <Fragment key={side}>
                                                                                    <dt className="aside">{side}</dt>
                                                                                    <dd>
                                                                                        {entry.id ===
                                                                                            'naming.pattern' &&
                                                                                        entry[side].found !== null ? (
                                                                                            <span
                                                                                                className={foundClass(
                                                                                                    entry[side],
                                                                                                )}
                                                                                            >
                                                                                                <Breaking
                                                                                                    text={
                                                                                                        entry[side]
                                                                                                            .found
                                                                                                    }
                                                                                                />
                                                                                            </span>
                                                                                        ) : (
                                                                                            <CellText
                                                                                                cell={entry[side]}
                                                                                                required={
                                                                                                    entry.required
                                                                                                }
                                                                                            />
                                                                                        )}
                                                                                        <Runs
                                                                                            cell={entry[side]}
                                                                                            range={
                                                                                                entry.id ===
                                                                                                'time.range'
                                                                                            }
                                                                                        />
                                                                                    </dd>
                                                                                </Fragment>
                                                                            ),
                                                                    )}
                                                                </dl>
                                                            </td>
                                                        </tr>
                                                    )}
                                                </Fragment>
                                            );
                                        })}
                                </tbody>
                            );
                        })}
                    </Fragment>
                ))}
                <tfoot>
                    <tr>
                        <td colSpan={2}>{good('mark')} balance</td>
                        <td className="column">{ledger.scene === null ? '' : good('scene')}</td>
                        <td className="column">{ledger.delivery === null ? '' : good('files')}</td>
                    </tr>
                </tfoot>
            </table>
            {document.not_checked.length > 0 && (
                <section className="pt-3" aria-label="Not checked">
                    {byReason(document.not_checked, labels).map(([why, lines]) => (
                        <p key={why} className="aside">
                            Not checked, {why}: {lines.join(', ')}.
                        </p>
                    ))}
                </section>
            )}
        </div>
    );
}
