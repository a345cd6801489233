import type { ReactNode } from 'react';
import { classes } from '../../lib/classes';
import { Breaking } from '../../parts/Breaking';

export interface PlannedRow {
    does: 'make' | 'change' | 'same' | 'refuse';
    line: number;
    code: string;
    title: string | null;
    owner: string | null;
    due: string | null;
    asks: Record<string, string> | [];
    values: Record<string, string> | [];
    frames: number | null;
    changes: { what: string; from: string; to: string }[];
    faults: string[];
    notes: string[];
}

export interface Plan {
    headings: string[] | null;
    columns: (string | null)[] | null;
    sample: (string | null)[][];
    notes: string[];
    seal: string;
    counts: Record<PlannedRow['does'], number>;
    rows: PlannedRow[];
    more: number;
}

const DOES: Record<PlannedRow['does'], string> = {
    make: 'made',
    change: 'changed',
    same: 'as it is',
    refuse: 'refused',
};

/** What the button writes: `Make 3, change 2`. */
function toWrite(make: number, change: number): string {
    const parts = [make > 0 && `make ${make}`, change > 0 && `change ${change}`].filter((part) => part !== false);
    const all = parts.join(', ');

    return all === '' ? 'Nothing to write' : all.charAt(0).toUpperCase() + all.slice(1);
}

/** What a list would do, row by row, and how its columns were understood. */
export function PlannedRows({
    plan,
    columns,
    matched,
    onMatch,
    busy,
    onWrite,
}: {
    plan: Plan;
    columns: { word: string; label: string }[];
    matched: string[] | null;
    onMatch: (matched: string[]) => void;
    busy: boolean;
    onWrite: () => void;
}) {
    const { counts } = plan;
    const write = counts.make + counts.change;
    const sum = (['make', 'change', 'same', 'refuse'] as const)
        .filter((does) => counts[does] > 0)
        .map((does) => `${counts[does]} ${DOES[does]}`)
        .join(', ');

    return (
        <section className="pt-4" aria-label="What would be done" aria-busy={busy}>
            {plan.headings !== null && plan.columns !== null && (
                <Columns plan={plan} columns={columns} matched={matched} onMatch={onMatch} />
            )}
            {plan.notes.map((note) => (
                <p key={note} className="text-ochre">
                    <Breaking text={note} />
                </p>
            ))}
            <div className="sticky top-0 z-10 flex flex-wrap items-baseline gap-3 border-b border-ink bg-sheet py-2">
                <span className="title text-[16px]">{sum === '' ? 'No rows' : sum}</span>
                <button type="button" className="btn btn-primary" disabled={busy || write === 0} onClick={onWrite}>
                    {toWrite(counts.make, counts.change)}
                </button>
                {counts.refuse > 0 && write > 0 && (
                    <span className="text-faint">
                        Refused rows are left out; put them right in the list and read it again.
                    </span>
                )}
            </div>
            <table className="ledger">
                <colgroup>
                    <col style={{ width: '8%' }} />
                    <col style={{ width: '10%' }} />
                    <col style={{ width: '26%' }} />
                    <col style={{ width: '56%' }} />
                </colgroup>
                <thead>
                    <tr>
                        <th scope="col">row</th>
                        <th scope="col" className="column">
                            would be
                        </th>
                        <th scope="col" className="column">
                            deliverable
                        </th>
                        <th scope="col" className="column">
                            with
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {plan.rows.map((row) => (
                        <tr key={`${row.line} ${row.code}`}>
                            <td className="mono">{row.line}</td>
                            <td
                                className={classes(
                                    'column',
                                    row.does === 'refuse' && 'text-red',
                                    row.does === 'same' && 'text-faint',
                                )}
                            >
                                {DOES[row.does]}
                            </td>
                            <td className="column">
                                <span className="mono">
                                    <Breaking text={row.code === '' ? '(no code)' : row.code} />
                                </span>{' '}
                                <span className="aside">{row.title}</span>
                            </td>
                            <td className="column text-[13px]">
                                {row.faults.map((fault) => (
                                    <span key={fault} className="block text-red">
                                        <Breaking text={fault} />
                                    </span>
                                ))}
                                {row.does !== 'refuse' && <With row={row} columns={columns} />}
                                {row.notes.map((note) => (
                                    <span key={note} className="block text-ochre">
                                        <Breaking text={note} />
                                    </span>
                                ))}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {plan.more > 0 && <p className="pt-2 text-faint">And {plan.more} more rows, counted above.</p>}
        </section>
    );
}

function With({ row, columns }: { row: PlannedRow; columns: { word: string; label: string }[] }) {
    const said: ReactNode[] = [];
    const add = (label: string, value: string) =>
        said.push(
            <span key={label}>
                {said.length > 0 && ', '}
                <span className="text-faint">{label}</span> <span className="mono">{value}</span>
            </span>,
        );
    if (row.does === 'change') {
        return (
            <>
                {row.changes.map((change) => (
                    <span key={change.what} className="block">
                        <span className="text-faint">
                            {(columns.find((each) => each.word === change.what)?.label ?? change.what).toLowerCase()}
                        </span>{' '}
                        {change.from !== '' && <s className="mono text-faint">{change.from}</s>}{' '}
                        <span className="mono">{change.to}</span>
                    </span>
                ))}
            </>
        );
    }
    Object.entries(row.asks).forEach(([id, value]) =>
        add((columns.find((each) => each.word === id)?.label ?? id).toLowerCase(), value),
    );
    if (row.frames !== null) {
        add('frames', String(row.frames));
    }
    Object.entries(row.values).forEach(([name, value]) => add(`{${name}}`, value));
    if (row.owner !== null) {
        add('owner', row.owner);
    }
    if (row.due !== null) {
        add('due', row.due);
    }

    return <>{said}</>;
}

/** How each heading was understood; any of them can be corrected. */
function Columns({
    plan,
    columns,
    matched,
    onMatch,
}: {
    plan: Plan;
    columns: { word: string; label: string }[];
    matched: string[] | null;
    onMatch: (matched: string[]) => void;
}) {
    const now = matched ?? (plan.columns ?? []).map((word) => word ?? '');
    const slug = (heading: string) =>
        heading
            .toLowerCase()
            .replaceAll(/[^a-z0-9]+/g, '_')
            .replaceAll(/^_+|_+$/g, '')
            .replace(/^(?=\d)/, 'n') || 'extra';

    return (
        <div
            className="scroll mb-3 overflow-x-auto"
            tabIndex={0}
            role="group"
            aria-label="How the columns were understood"
        >
            <table className="border-collapse text-[13px]">
                <thead>
                    <tr>
                        {(plan.headings ?? []).map((heading, at) => (
                            <th
                                key={at}
                                scope="col"
                                className="border-b border-ink px-2 py-1 text-left align-bottom font-normal"
                            >
                                <span className="block font-semibold">{heading === '' ? '(no heading)' : heading}</span>
                                <select
                                    aria-label={`What ${heading === '' ? `column ${at + 1}` : heading} holds`}
                                    className={`select w-[118px]! ${now[at] === '' ? 'text-faint' : ''}`}
                                    value={now[at] ?? ''}
                                    onChange={(event) =>
                                        onMatch(now.map((word, n) => (n === at ? event.target.value : word)))
                                    }
                                >
                                    <option value="">left out</option>
                                    <option value={`value:${slug(heading)}`}>{`piece {${slug(heading)}}`}</option>
                                    {now[at] !== undefined &&
                                        now[at] !== '' &&
                                        now[at] !== `value:${slug(heading)}` &&
                                        !columns.some((each) => each.word === now[at]) && (
                                            <option value={now[at]}>{now[at]}</option>
                                        )}
                                    {columns.map((each) => (
                                        <option key={each.word} value={each.word}>
                                            {each.label}
                                        </option>
                                    ))}
                                </select>
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {plan.sample.map((row, n) => (
                        <tr key={n}>
                            {(plan.headings ?? []).map((_, at) => (
                                <td
                                    key={at}
                                    className="mono max-w-40 truncate border-b border-rule px-2 py-0.5 text-faint"
                                >
                                    {row[at]}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}
