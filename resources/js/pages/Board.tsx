import { Link, router } from '@inertiajs/react';
import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { arranged, type BoardFilter, type BoardRow, type SortBy } from '../features/board/board';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { MarkSign, verdictMark } from '../parts/MarkSign';
import { ProductionFolios } from '../parts/ProductionFolios';
import { shortcutsOn } from '../parts/Shortcuts';
import type { Book as BookData } from '../types/views';

interface BoardData {
    rows: BoardRow[];
    groups: string[];
    causes: {
        id: string;
        who: { id: number; code: string; owner: string | null; says: string; folio: 'scene' | 'frames' }[];
    }[];
    agreement: {
        specification: string;
        id: string;
        label: string;
        common: string;
        count: number;
        others: { whose: string; value: string }[];
    }[];
}

const WHICH: [BoardFilter['which'], string][] = [
    ['all', 'All'],
    ['unbalanced', 'Unbalanced'],
    ['open', 'Open'],
    ['balanced', 'Balanced'],
    ['unchecked', 'Not checked'],
    ['late', 'Late'],
    ['changed', 'Changed since yesterday'],
    ['stale', 'Asked otherwise since'],
];

/** So many are named one by one; the rest are counted. */
const MOST_NAMED = 16;

function byValue(others: { whose: string; value: string }[]): [string, string[]][] {
    const found = new Map<string, string[]>();
    for (const other of others) {
        found.set(other.value, [...(found.get(other.value) ?? []), other.whose]);
    }

    return [...found];
}

const named = (id: string): string => id.replaceAll('-', ' ');

const Row = memo(function Row({
    row,
    groups,
    reachable,
    onFocus,
}: {
    row: BoardRow;
    groups: string[];
    reachable: boolean;
    onFocus: (id: number) => void;
}) {
    const mark = verdictMark(row.verdict, row.waived > 0);

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
                            <MarkSign mark={mark} label={row.verdict ?? ''} />
                        )}
                    </span>
                    <span>
                        <Link
                            href={`/deliverables/${row.id}/${row.folio}`}
                            data-row={row.id}
                            tabIndex={reachable ? 0 : -1}
                            onFocus={() => onFocus(row.id)}
                            className="link mono [overflow-wrap:anywhere]"
                        >
                            {row.code}
                        </Link>
                        {row.owner !== null && <span className="aside block truncate text-[12.5px]">{row.owner}</span>}
                    </span>
                </span>
            </th>
            <td className="column text-[13px] whitespace-nowrap">
                {row.due === null ? (
                    ''
                ) : (
                    <span className={row.due.late ? 'text-red' : 'text-faint'}>{row.due.words}</span>
                )}
            </td>
            {groups.map((group) => {
                const own = row.marks[group];

                return (
                    <td key={group} className="column text-center!">
                        {own !== undefined && <MarkSign mark={own} label={`${group}: ${own}`} />}
                    </td>
                );
            })}
            <td className="column text-[13px]">{row.all === 0 ? '' : `${row.good}/${row.all}`}</td>
            <td className="column text-[13px]">
                {row.changed !== null && row.changed !== 'first check' && (
                    <span className="mr-2 text-ochre">{row.changed}.</span>
                )}
                <span className="line-clamp-5" title={row.cause ?? undefined}>
                    {row.cause === null ? (
                        (row.holdsUp ?? <span className="text-faint">not checked yet</span>)
                    ) : (
                        <Breaking text={row.cause} />
                    )}
                </span>
                {row.stale && <span className="text-ochre"> Asked otherwise since.</span>}
                {row.waived > 0 && <span className="text-ochre"> {row.waived} accepted.</span>}
            </td>
        </tr>
    );
});

/** A production or an assignment at a glance. */
export default function Board({ book, board }: { book: BookData; board: BoardData }) {
    const [filter, setFilter] = useState<BoardFilter>({ text: '', which: 'all', cause: null, specification: null });
    const [by, setBy] = useState<SortBy>('trouble');
    const [down, setDown] = useState(false);
    const [at, setAt] = useState<number | null>(null);
    const [busy, setBusy] = useState(false);
    const body = useRef<HTMLTableSectionElement>(null);
    const slow = useDeferredValue(filter);
    const all = useMemo(() => arranged(board.rows, slow, by, down), [board.rows, slow, by, down]);
    // a screenful at once, and the others as soon as that is painted
    const rows = useDeferredValue(all, all.slice(0, 40));
    const reachable = rows.some((row) => row.id === at) ? at : (rows[0]?.id ?? null);
    const specifications = useMemo(() => [...new Set(board.rows.map((row) => row.specification))].sort(), [board.rows]);

    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
            const arrow = event.key === 'ArrowDown' || event.key === 'ArrowUp';
            const inside = event.target instanceof HTMLElement && body.current?.contains(event.target) === true;
            if (
                typing ||
                event.ctrlKey ||
                event.metaKey ||
                event.altKey ||
                (arrow ? !inside : !shortcutsOn() || !['j', 'k'].includes(event.key))
            ) {
                return;
            }
            const links = [...(body.current?.querySelectorAll<HTMLAnchorElement>('a[data-row]') ?? [])];
            const now = links.findIndex((link) => link === document.activeElement);
            const next = links[now === -1 ? 0 : now + (event.key === 'j' || event.key === 'ArrowDown' ? 1 : -1)];
            if (next !== undefined) {
                event.preventDefault();
                next.focus();
                next.scrollIntoView({ block: 'nearest' });
            }
        };
        document.addEventListener('keydown', press);

        return () => document.removeEventListener('keydown', press);
    }, []);

    const head = (own: SortBy, label: string, extra = '') => (
        <th scope="col" className={extra} aria-sort={by === own ? (down ? 'descending' : 'ascending') : 'none'}>
            <button
                type="button"
                className={`cursor-pointer text-left italic ${by === own ? 'font-semibold text-ink' : ''}`}
                onClick={() => {
                    setDown(by === own ? !down : false);
                    setBy(own);
                }}
            >
                {label}
                {by === own && (down ? ' ↑' : ' ↓')}
            </button>
        </th>
    );
    const stale = board.rows.filter((row) => row.stale).length;
    const write = (ids: number[] | null) =>
        router.post(`/productions/${book.production.id}/outbox`, ids === null ? {} : { deliverables: ids });
    const chosen = board.causes.find((cause) => cause.id === filter.cause);

    return (
        <Book title={`${book.production.name}, board`} book={book}>
            <ProductionFolios book={book} at="/board" />
            <div className="px-6 pb-10">
                {board.rows.length === 0 ? (
                    <p className="said pt-4">Nothing is owed here yet, so there is nothing to oversee.</p>
                ) : (
                    <>
                        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pt-3">
                            <input
                                type="search"
                                aria-label="Find on the board"
                                placeholder="Find a code, an owner, a cause"
                                className="input w-56!"
                                value={filter.text}
                                onChange={(event) => setFilter({ ...filter, text: event.target.value })}
                            />
                            <div className="flex flex-wrap gap-x-3" role="group" aria-label="Which deliverables">
                                {WHICH.map(([which, label]) => {
                                    const count =
                                        which === 'all'
                                            ? board.rows.length
                                            : arranged(
                                                  board.rows,
                                                  { text: '', which, cause: null, specification: null },
                                                  'code',
                                                  false,
                                              ).length;

                                    return (
                                        <button
                                            key={which}
                                            type="button"
                                            aria-pressed={filter.which === which}
                                            onClick={() => setFilter({ ...filter, which })}
                                            className={
                                                filter.which === which
                                                    ? 'border-b-2 border-ink font-semibold'
                                                    : 'cursor-pointer text-faint hover:text-ink'
                                            }
                                        >
                                            {label} {count}
                                        </button>
                                    );
                                })}
                            </div>
                            {specifications.length > 1 && (
                                <select
                                    aria-label="Specification"
                                    className="select w-auto!"
                                    value={filter.specification ?? ''}
                                    onChange={(event) =>
                                        setFilter({
                                            ...filter,
                                            specification: event.target.value === '' ? null : event.target.value,
                                        })
                                    }
                                >
                                    <option value="">every specification</option>
                                    {specifications.map((title) => (
                                        <option key={title}>{title}</option>
                                    ))}
                                </select>
                            )}
                            <span className="ml-auto flex gap-3">
                                {stale > 0 && (
                                    <button
                                        type="button"
                                        className="btn btn-primary"
                                        disabled={busy}
                                        onClick={() =>
                                            router.post(
                                                `/productions/${book.production.id}/recheck`,
                                                {},
                                                {
                                                    preserveScroll: true,
                                                    onStart: () => setBusy(true),
                                                    onFinish: () => setBusy(false),
                                                },
                                            )
                                        }
                                    >
                                        {busy ? 'Checking…' : `Check ${stale} again`}
                                    </button>
                                )}
                                <button
                                    type="button"
                                    className="btn"
                                    onClick={() =>
                                        write(
                                            filter.which === 'all' && filter.cause === null && filter.text === ''
                                                ? null
                                                : all.map((row) => row.id),
                                        )
                                    }
                                >
                                    Write to the owners
                                </button>
                                <a className="btn" href={`/productions/${book.production.id}/results.csv`} download>
                                    Results as CSV
                                </a>
                            </span>
                        </div>
                        {chosen !== undefined && (
                            <p className="pt-2">
                                Only what has “{named(chosen.id)}”.{' '}
                                <button
                                    type="button"
                                    className="link"
                                    onClick={() => setFilter({ ...filter, cause: null })}
                                >
                                    Show all again
                                </button>
                            </p>
                        )}
                        <div className="overflow-x-auto">
                            <table className="ledger mt-2 min-w-[960px] table-fixed">
                                <colgroup>
                                    <col style={{ width: '164px' }} />
                                    <col style={{ width: '76px' }} />
                                    {board.groups.map((group) => (
                                        <col key={group} style={{ width: '54px' }} />
                                    ))}
                                    <col style={{ width: '66px' }} />
                                    <col />
                                </colgroup>
                                <thead>
                                    <tr>
                                        {head('trouble', 'deliverable')}
                                        {head('due', 'due', 'column')}
                                        {board.groups.map((group) => (
                                            <th
                                                key={group}
                                                scope="col"
                                                className="column px-0.5! text-center! text-[11.5px]!"
                                            >
                                                {group}
                                            </th>
                                        ))}
                                        {head('balance', 'balance', 'column')}
                                        {head('checked', 'what holds it up', 'column')}
                                    </tr>
                                </thead>
                                <tbody ref={body}>
                                    {rows.map((row) => (
                                        <Row
                                            key={row.id}
                                            row={row}
                                            groups={board.groups}
                                            reachable={row.id === reachable}
                                            onFocus={setAt}
                                        />
                                    ))}
                                </tbody>
                                <tfoot>
                                    <tr>
                                        <td colSpan={board.groups.length + 4}>
                                            {`${all.filter((row) => row.verdict === 'balanced').length} of `}
                                            {`${all.length} balance`}
                                        </td>
                                    </tr>
                                </tfoot>
                            </table>
                        </div>
                        {all.length === 0 && <p className="pt-2 text-faint">Nothing fits.</p>}
                        {board.causes.length > 0 && (
                            <section className="pt-6" aria-label="Common mistakes">
                                <h2 className="title border-b border-edge pb-1 text-[18px]">Common mistakes</h2>
                                <ul>
                                    {board.causes.map((cause) => (
                                        <li
                                            key={cause.id}
                                            className="grid grid-cols-[36px_1fr] gap-x-2 border-b border-rule py-1.5"
                                        >
                                            <span className="title text-[18px]">{cause.who.length}</span>
                                            <span>
                                                <button
                                                    type="button"
                                                    className="link"
                                                    onClick={() => setFilter({ ...filter, cause: cause.id })}
                                                >
                                                    {named(cause.id)}
                                                </button>
                                                <span className="aside block">
                                                    <Breaking text={cause.who[0]?.says ?? ''} />
                                                </span>
                                                <span className="block text-[13px]">
                                                    {cause.who.slice(0, MOST_NAMED).map((who, n) => (
                                                        <span key={who.id}>
                                                            {n > 0 && ', '}
                                                            <Link
                                                                href={`/deliverables/${who.id}/${who.folio}`}
                                                                className="link mono"
                                                            >
                                                                {who.code}
                                                            </Link>
                                                            {who.owner !== null && (
                                                                <span className="text-faint"> {who.owner}</span>
                                                            )}
                                                        </span>
                                                    ))}
                                                    {cause.who.length > MOST_NAMED &&
                                                        ` and ${cause.who.length - MOST_NAMED} more`}
                                                </span>
                                            </span>
                                        </li>
                                    ))}
                                </ul>
                            </section>
                        )}
                        {board.agreement.length > 0 && (
                            <section className="pt-6" aria-label="Settings that do not agree">
                                <h2 className="title border-b border-edge pb-1 text-[18px]">
                                    Settings that should agree and do not
                                </h2>
                                <ul>
                                    {board.agreement.map((line) => (
                                        <li
                                            key={`${line.specification}/${line.id}`}
                                            className="border-b border-rule py-1.5"
                                        >
                                            {line.label} is <span className="mono">{line.common}</span>
                                            {` in ${line.count} scenes of “${line.specification}”, and `}
                                            {byValue(line.others).map(([value, whose], n) => (
                                                <span key={value}>
                                                    {n > 0 && '; '}
                                                    <span className="mono text-red">
                                                        <Breaking text={value} />
                                                    </span>{' '}
                                                    in{' '}
                                                    <span className="mono">
                                                        <Breaking text={whose.slice(0, MOST_NAMED).join(', ')} />
                                                    </span>
                                                    {whose.length > MOST_NAMED &&
                                                        ` and ${whose.length - MOST_NAMED} more`}
                                                </span>
                                            ))}
                                            .
                                        </li>
                                    ))}
                                </ul>
                            </section>
                        )}
                    </>
                )}
            </div>
        </Book>
    );
}
