import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useEffect, useRef, useState, type KeyboardEvent, type RefObject } from 'react';
import { to } from '../lib/route';
import { refreshIndex, useIndex } from '../lib/useIndex';
import { useRowsInSight } from '../lib/useRowsInSight';
import type { Book, IndexLine } from '../types/views';
import { Fault } from './Fault';
import { MarkSign, verdictMark } from './MarkSign';

function Line({
    line,
    place,
    of,
    measure,
    current,
    reachable,
    isUnderWay,
}: {
    line: IndexLine;
    /** where it stands among all of them: those out of sight are not drawn */
    place: number;
    of: number;
    measure: (row: HTMLElement | null) => void;
    current: boolean;
    reachable: boolean;
    isUnderWay: boolean;
}) {
    const mark = verdictMark(line.verdict, line.waived);

    return (
        <li
            ref={measure}
            data-index={place}
            aria-posinset={place + 1}
            aria-setsize={of}
            className={current ? 'border-y border-edge bg-sheet' : 'border-b border-rule'}
        >
            <Link
                href={to(line.folio, { deliverable: line.id })}
                tabIndex={reachable ? 0 : -1}
                aria-current={current ? 'page' : undefined}
                className="grid-flow-row! grid-cols-[18px_1fr]! gap-x-1.5! px-4! py-1.5! hover:bg-sheet"
            >
                <span>
                    {mark === null ? (
                        <span className="text-faint">·</span>
                    ) : (
                        <MarkSign mark={mark} label={line.verdict ?? ''} />
                    )}
                </span>
                <span className="mono [overflow-wrap:anywhere]">{line.code}</span>
                <span className="col-start-2 text-[12.5px] text-faint">
                    {isUnderWay ? t`is being checked…` : (line.holdsUp ?? t`not checked yet`)}
                    {line.stale && (
                        <span className="block text-ochre">
                            <Trans>asked otherwise since</Trans>
                        </span>
                    )}
                </span>
            </Link>
        </li>
    );
}

/** Arrow keys go from line to line. */
function move(event: KeyboardEvent<HTMLUListElement>): void {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') {
        return;
    }
    const links = [...event.currentTarget.querySelectorAll('a')];
    const at = links.findIndex((link) => link === document.activeElement);
    const next = links[at + (event.key === 'ArrowDown' ? 1 : -1)];
    if (next !== undefined) {
        event.preventDefault();
        next.focus();
        next.scrollIntoView({ block: 'nearest' });
    }
}

/** Lines as far as they are in sight; the one that is open is, when a page opens. */
function Lines({
    lines,
    current,
    underWay,
}: {
    lines: IndexLine[];
    current: number | null;
    underWay: ReadonlySet<number>;
}) {
    const list = useRef<HTMLUListElement>(null);
    const inSight = useRowsInSight(lines.length, list);
    const places = inSight.places ?? lines.map((_, place) => place);
    const drawn = places.flatMap((place) => (lines[place] === undefined ? [] : [{ place, line: lines[place] }]));
    const reachable = drawn.some(({ line }) => line.id === current) ? current : drawn[0]?.line.id;
    const open = lines.findIndex((line) => line.id === current);
    const isReady = inSight.isSettled && inSight.places !== null;
    const { goTo } = inSight;
    useEffect(() => {
        if (isReady && open > 0) {
            goTo(open);
        }
        // once, where the page opens: afterwards the scroll is the reader's
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [isReady, current]);

    return (
        <ul
            ref={list}
            className="menu"
            onKeyDown={move}
            style={{ paddingTop: inSight.before, paddingBottom: inSight.after }}
        >
            {drawn.map(({ place, line }) => (
                <Line
                    key={line.id}
                    line={line}
                    place={place}
                    of={lines.length}
                    measure={inSight.measure}
                    current={line.id === current}
                    reachable={line.id === reachable}
                    isUnderWay={underWay.has(line.id)}
                />
            ))}
        </ul>
    );
}

/** What fits what was typed, or why there is nothing. */
function Found({
    book,
    text,
    current,
    underWay,
}: {
    book: Book;
    text: string;
    current: number | null;
    underWay: ReadonlySet<number>;
}) {
    const { lines, fault } = useIndex(book.production.id);
    const wanted = text.trim().toLowerCase();
    if (lines === null) {
        return fault === null ? (
            <p className="px-4 text-faint">{book.owed > 0 ? t`The index is being read…` : nothing(book)}</p>
        ) : (
            <p className="px-4">
                <Fault says={fault} />{' '}
                <button type="button" className="link" onClick={refreshIndex}>
                    <Trans>Try again</Trans>
                </button>
            </p>
        );
    }
    if (lines.length === 0) {
        return <p className="px-4 text-faint">{nothing(book)}</p>;
    }
    const fitting = lines.filter((line) =>
        `${line.code} ${line.title} ${line.owner ?? ''} ${line.holdsUp ?? ''}`.toLowerCase().includes(wanted),
    );

    return fitting.length === 0 ? (
        <p className="px-4 text-faint">
            <Trans>Nothing fits “{text}”.</Trans>
        </p>
    ) : (
        <Lines lines={fitting} current={current} underWay={underWay} />
    );
}

const nothing = (book: Book): string => (book.decides ? t`Nothing is owed yet.` : t`Nothing is owed by you here.`);

/** The production's deliverables as index lines, trouble first. */
export function Index({
    book,
    current,
    filter,
    underWay,
}: {
    book: Book;
    current: number | null;
    filter: RefObject<HTMLInputElement | null>;
    /** deliverables that are being checked */
    underWay: ReadonlySet<number>;
}) {
    const [text, setText] = useState('');
    const production = book.production.id;

    return (
        <div className="pb-6">
            <div className="sticky top-0 z-10 bg-paper px-4 pt-3 pb-2">
                <label className="aside block" htmlFor="find">
                    <Trans>Index</Trans>
                </label>
                <input
                    id="find"
                    ref={filter}
                    type="search"
                    value={text}
                    onChange={(event) => setText(event.target.value)}
                    placeholder={t`Find a deliverable`}
                    className="input mt-1"
                    aria-label={t`Find in the index`}
                />
            </div>
            <Found book={book} text={text} current={current} underWay={underWay} />
            {book.decides && (
                <p className="flex flex-wrap gap-x-3 px-4 pt-3">
                    <Link href={to('deliverable.new', { production })} className="link">
                        <Trans>Add a deliverable</Trans>
                    </Link>
                    <Link href={to('list', { production })} className="link">
                        <Trans>Add many</Trans>
                    </Link>
                </p>
            )}
        </div>
    );
}
