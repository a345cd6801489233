import { Link } from '@inertiajs/react';
import { useDeferredValue, useState, type KeyboardEvent, type RefObject } from 'react';
import { classes } from '../lib/classes';
import type { Book } from '../types/views';
import { MarkSign, verdictMark } from './MarkSign';

/** The production's deliverables as index lines, trouble first. Arrow keys go from line to line. */
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
    const fitting = book.index.filter((line) =>
        `${line.code} ${line.title} ${line.owner ?? ''} ${line.holdsUp ?? ''}`
            .toLowerCase()
            .includes(text.trim().toLowerCase()),
    );
    // a screenful at once, and the others as soon as that is painted
    const shown = useDeferredValue(fitting, fitting.slice(0, 40));
    const move = (event: KeyboardEvent<HTMLUListElement>) => {
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
    };
    const reachable = shown.some((line) => line.id === current) ? current : shown[0]?.id;

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
            {book.index.length === 0 ? (
                <p className="px-4 text-faint">
                    {book.decides ? 'Nothing is owed yet.' : 'Nothing is owed by you here.'}
                </p>
            ) : fitting.length === 0 ? (
                <p className="px-4 text-faint">Nothing fits “{text}”.</p>
            ) : (
                <ul onKeyDown={move}>
                    {shown.map((line) => {
                        const mark = verdictMark(line.verdict, line.waived);

                        return (
                            <li
                                key={line.id}
                                className={
                                    line.id === current ? 'border-y border-edge bg-sheet' : 'border-b border-rule'
                                }
                            >
                                <Link
                                    href={`/deliverables/${line.id}/${line.folio}`}
                                    tabIndex={line.id === reachable ? 0 : -1}
                                    aria-current={line.id === current ? 'page' : undefined}
                                    className={classes(
                                        'grid grid-cols-[18px_1fr] items-baseline gap-x-1.5',
                                        'px-4 py-1.5 hover:bg-sheet',
                                    )}
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
                    })}
                </ul>
            )}
            {book.decides && (
                <p className="flex flex-wrap gap-x-3 px-4 pt-3">
                    <Link href={`/productions/${book.production.id}/deliverables/new`} className="link">
                        Add a deliverable
                    </Link>
                    <Link href={`/productions/${book.production.id}/list`} className="link">
                        Add many
                    </Link>
                </p>
            )}
        </div>
    );
}
