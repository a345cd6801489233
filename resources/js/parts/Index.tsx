import { Link } from '@inertiajs/react';
import { useDeferredValue, useState, type KeyboardEvent, type RefObject } from 'react';
import { to } from '../lib/route';
import type { Book, IndexLine } from '../types/views';
import { MarkSign, verdictMark } from './MarkSign';

function Line({ line, current, reachable }: { line: IndexLine; current: boolean; reachable: boolean }) {
    const mark = verdictMark(line.verdict, line.waived);

    return (
        <li className={current ? 'border-y border-edge bg-sheet' : 'border-b border-rule'}>
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
                    {line.holdsUp ?? 'not checked yet'}
                    {line.stale && <span className="block text-ochre">asked otherwise since</span>}
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
    }
}

function Lines({ book, text, current }: { book: Book; text: string; current: number | null }) {
    const wanted = text.trim().toLowerCase();
    const fitting = book.index.filter((line) =>
        `${line.code} ${line.title} ${line.owner ?? ''} ${line.holdsUp ?? ''}`.toLowerCase().includes(wanted),
    );
    // a screenful at once, and the others as soon as that is painted
    const shown = useDeferredValue(fitting, fitting.slice(0, 40));
    const reachable = shown.some((line) => line.id === current) ? current : shown[0]?.id;
    if (book.index.length === 0) {
        return (
            <p className="px-4 text-faint">{book.decides ? 'Nothing is owed yet.' : 'Nothing is owed by you here.'}</p>
        );
    }

    return fitting.length === 0 ? (
        <p className="px-4 text-faint">Nothing fits “{text}”.</p>
    ) : (
        <ul className="menu" onKeyDown={move}>
            {shown.map((line) => (
                <Line key={line.id} line={line} current={line.id === current} reachable={line.id === reachable} />
            ))}
        </ul>
    );
}

/** The production's deliverables as index lines, trouble first. */
export function Index({
    book,
    current,
    filter,
}: {
    book: Book;
    current: number | null;
    filter: RefObject<HTMLInputElement | null>;
}) {
    const [text, setText] = useState('');
    const production = book.production.id;

    return (
        <div className="pb-6">
            <div className="sticky top-0 z-10 bg-paper px-4 pt-3 pb-2">
                <label className="aside block" htmlFor="find">
                    Index
                </label>
                <input
                    id="find"
                    ref={filter}
                    type="search"
                    value={text}
                    onChange={(event) => setText(event.target.value)}
                    placeholder="Find a deliverable"
                    className="input mt-1"
                    aria-label="Find in the index"
                />
            </div>
            <Lines book={book} text={text} current={current} />
            {book.decides && (
                <p className="flex flex-wrap gap-x-3 px-4 pt-3">
                    <Link href={to('deliverable.new', { production })} className="link">
                        Add a deliverable
                    </Link>
                    <Link href={to('list', { production })} className="link">
                        Add many
                    </Link>
                </p>
            )}
        </div>
    );
}
