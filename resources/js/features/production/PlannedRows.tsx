import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { classes } from '../../lib/classes';
import { Breaking } from '../../parts/Breaking';
import { LedgerHead } from '../../parts/LedgerHead';
import type { ListPreview, ListPreviewRow, RowAction } from '../../types/views';

const DOES: Record<RowAction, string> = {
    make: 'made',
    change: 'changed',
    same: t`as it is`,
    refuse: 'refused',
};

/** What the button writes: `Make 3, change 2`. */
function toWrite(make: number, change: number): string {
    const parts = [make > 0 && t`make ${make}`, change > 0 && t`change ${change}`].filter((part) => part !== false);
    const all = parts.join(', ');

    return all === '' ? t`Nothing to write` : all.charAt(0).toUpperCase() + all.slice(1);
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
    plan: ListPreview;
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
        <section className="pt-4" aria-label={t`What would be done`} aria-busy={busy}>
            {plan.headings !== null && plan.columns !== null && (
                <Columns plan={plan} columns={columns} matched={matched} onMatch={onMatch} />
            )}
            {plan.notes.map((note) => (
                <p key={note} className="text-ochre">
                    <Breaking text={note} />
                </p>
            ))}
            <div className="sticky top-0 z-10 flex flex-wrap items-baseline gap-3 border-b border-ink bg-sheet py-2">
                <span className="title text-[16px]">{sum === '' ? t`No rows` : sum}</span>
                <button type="button" className="btn btn-primary" disabled={busy || write === 0} onClick={onWrite}>
                    {toWrite(counts.make, counts.change)}
                </button>
                {counts.refuse > 0 && write > 0 && (
                    <span className="text-faint">
                        <Trans>Refused rows are left out; put them right in the list and read it again.</Trans>
                    </span>
                )}
            </div>
            <table className="ledger">
                <LedgerHead
                    columns={[
                        [t`row`, '8%'],
                        [t`would be`, '10%'],
                        [t`deliverable`, '26%'],
                        [t`with`, '56%'],
                    ]}
                />
                <tbody>
                    {plan.rows.map((row) => (
                        <Row key={`${row.line} ${row.code}`} row={row} columns={columns} />
                    ))}
                </tbody>
            </table>
            {plan.more > 0 && (
                <p className="pt-2 text-faint">
                    <Trans>And {plan.more} more rows, counted above.</Trans>
                </p>
            )}
        </section>
    );
}

type Columns = { word: string; label: string }[];

const labelOf = (columns: Columns, word: string): string =>
    (columns.find((each) => each.word === word)?.label ?? word).toLowerCase();

function Row({ row, columns }: { row: ListPreviewRow; columns: Columns }) {
    return (
        <tr>
            <td className="mono">{row.line}</td>
            <td className={classes('column', row.does === 'refuse' && 'text-red', row.does === 'same' && 'text-faint')}>
                {DOES[row.does]}
            </td>
            <td className="column">
                <span className="mono">
                    <Breaking text={row.code === '' ? t`(no code)` : row.code} />
                </span>{' '}
                <span className="aside">{row.title}</span>
            </td>
            <td className="column text-[13px]">
                {row.faults.map((fault) => (
                    <span key={fault} className="block text-red">
                        <Breaking text={fault} />
                    </span>
                ))}
                {row.does === 'change' && <Changed row={row} columns={columns} />}
                {(row.does === 'make' || row.does === 'same') && <With row={row} columns={columns} />}
                {row.notes.map((note) => (
                    <span key={note} className="block text-ochre">
                        <Breaking text={note} />
                    </span>
                ))}
            </td>
        </tr>
    );
}

/** What would be otherwise than it is. */
function Changed({ row, columns }: { row: ListPreviewRow; columns: Columns }) {
    return row.changes.map((change) => (
        <span key={change.what} className="block">
            <span className="text-faint">{labelOf(columns, change.what)}</span>{' '}
            {change.from !== '' && <s className="mono text-faint">{change.from}</s>}{' '}
            <span className="mono">{change.to}</span>
        </span>
    ));
}

/** All that a row says. */
function With({ row, columns }: { row: ListPreviewRow; columns: Columns }) {
    const said: [string, string | null][] = [
        ...Object.entries(row.asks).map(([id, value]): [string, string] => [labelOf(columns, id), value]),
        ['frames', row.frames === null ? null : String(row.frames)],
        ...Object.entries(row.values).map(([name, value]): [string, string] => [`{${name}}`, value]),
        ['owner', row.owner],
        ['due', row.due],
    ];

    return said
        .filter(([, value]) => value !== null)
        .map(([label, value], at) => (
            <span key={label}>
                {at > 0 && ', '}
                <span className="text-faint">{label}</span> <span className="mono">{value}</span>
            </span>
        ));
}

/** A heading as a piece of names is called. */
function slug(heading: string): string {
    const plain = heading
        .toLowerCase()
        .replaceAll(/[^a-z0-9]+/g, '_')
        .replaceAll(/^_+|_+$/g, '')
        .replace(/^(?=\d)/, 'n');

    return plain || 'extra';
}

/** What one column holds. */
function Meaning({
    heading,
    at,
    chosen,
    columns,
    onChoose,
}: {
    heading: string;
    at: number;
    chosen: string | undefined;
    columns: Columns;
    onChoose: (word: string) => void;
}) {
    const piece = `value:${slug(heading)}`;
    const isOther =
        chosen !== undefined && chosen !== '' && chosen !== piece && !columns.some((each) => each.word === chosen);

    return (
        <th scope="col" className="border-b border-ink px-2 py-1 text-left align-bottom font-normal">
            <span className="block font-semibold">{heading === '' ? t`(no heading)` : heading}</span>
            <select
                aria-label={t`What ${heading === '' ? t`column ${at + 1}` : heading} holds`}
                className={`select w-[118px]! ${chosen === '' ? 'text-faint' : ''}`}
                value={chosen ?? ''}
                onChange={(event) => onChoose(event.target.value)}
            >
                <option value="">
                    <Trans>left out</Trans>
                </option>
                <option value={piece}>{t`piece ${`{${slug(heading)}}`}`}</option>
                {isOther && <option value={chosen}>{chosen}</option>}
                {columns.map((each) => (
                    <option key={each.word} value={each.word}>
                        {each.label}
                    </option>
                ))}
            </select>
        </th>
    );
}

/** How each heading was understood; any of them can be corrected. */
function Columns({
    plan,
    columns,
    matched,
    onMatch,
}: {
    plan: ListPreview;
    columns: Columns;
    matched: string[] | null;
    onMatch: (matched: string[]) => void;
}) {
    const now = matched ?? (plan.columns ?? []).map((word) => word ?? '');
    const headings = plan.headings ?? [];

    return (
        <div
            className="scroll mb-3 overflow-x-auto"
            tabIndex={0}
            role="group"
            aria-label={t`How the columns were understood`}
        >
            <table className="border-collapse text-[13px]">
                <thead>
                    <tr>
                        {headings.map((heading, at) => (
                            <Meaning
                                key={at}
                                heading={heading}
                                at={at}
                                chosen={now[at]}
                                columns={columns}
                                onChoose={(chosen) => onMatch(now.map((word, n) => (n === at ? chosen : word)))}
                            />
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {plan.sample.map((row, n) => (
                        <tr key={n}>
                            {headings.map((_, at) => (
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
