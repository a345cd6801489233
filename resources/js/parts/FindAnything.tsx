import { router } from '@inertiajs/react';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { ask } from '../lib/ask';
import { classes } from '../lib/classes';
import { to } from '../lib/route';
import { useQuestion } from '../lib/useQuestion';
import type { Book, Found } from '../types/views';

const PAGES = [
    ['production', 'Deliverables'],
    ['board', 'Board'],
    ['together', 'Many together'],
    ['plan', 'Render plan'],
    ['scenes', 'Many scenes'],
    ['tree', 'Delivered tree'],
    ['list', 'From a list'],
    ['house', 'House requirements'],
    ['names', 'Names'],
    ['people', 'People'],
    ['outbox', 'Outbox'],
    ['settings', 'Settings'],
    ['movies', 'All movies'],
    ['deliverable.new', 'Add a deliverable'],
] as const;

const MOST_PAGES = 5;

/** Pages that bear a word: those of the production that is open, and those of everybody. */
function pages(text: string, book: Book | null): Found[] {
    const wanted = text.trim().toLowerCase();
    const own =
        book?.decides === true
            ? PAGES.map(([page, says]) => ({
                  kind: 'page',
                  says,
                  more: book.production.name,
                  url: to(page, { production: book.production.id }),
              }))
            : [];
    const all = [
        ...own,
        { kind: 'page', says: 'Calculator', more: '', url: to('calculator') },
        { kind: 'page', says: 'Your tokens and password', more: '', url: to('tokens') },
        { kind: 'page', says: 'All productions', more: '', url: to('productions') },
    ];

    return wanted === '' ? [] : all.filter(({ says }) => says.toLowerCase().includes(wanted)).slice(0, MOST_PAGES);
}

/** What was found, one line each; the chosen one is visited on Enter. */
function Lines({ id, lines, at }: { id: string; lines: Found[]; at: number }) {
    return (
        <ul id={id} role="listbox" aria-label="Found" className="mt-2 max-h-[50vh] overflow-y-auto">
            {lines.map((line, n) => (
                <li
                    key={`${line.kind} ${line.url} ${line.says} ${line.more}`}
                    id={`${id}-${n}`}
                    role="option"
                    aria-selected={n === at}
                    className={classes(
                        'grid cursor-pointer grid-cols-[96px_minmax(0,1fr)] gap-x-3 px-2 py-1',
                        n === at && 'bg-base-200',
                    )}
                    onClick={() => router.visit(line.url)}
                >
                    <span className="aside">{line.kind}</span>
                    <span className="[overflow-wrap:anywhere]">
                        <span className={line.kind === 'deliverable' ? 'mono' : ''}>{line.says}</span>{' '}
                        <span className="text-faint">{line.more}</span>
                    </span>
                </li>
            ))}
        </ul>
    );
}

/** One field that finds whatever bears a word: deliverables, causes, people, productions, pages. */
export function FindAnything({ book, onClose }: { book: Book | null; onClose: () => void }) {
    const dialog = useRef<HTMLDialogElement>(null);
    const [text, setText] = useState('');
    const [at, setAt] = useState(0);
    const id = useId();
    const key = text.trim() === '' ? null : text.trim();
    const { answer, fault, asking } = useQuestion(key, (stop) =>
        ask<Found[]>(`${to('find')}?${new URLSearchParams({ q: text.trim() }).toString()}`, stop),
    );
    const lines = key === null ? [] : [...(answer ?? []), ...pages(text, book)];
    const chosen = Math.min(at, Math.max(0, lines.length - 1));
    useEffect(() => {
        dialog.current?.showModal();
    }, []);
    const press = (event: KeyboardEvent) => {
        const steps: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 };
        const step = steps[event.key];
        if (step !== undefined && lines.length > 0) {
            event.preventDefault();
            setAt((chosen + step + lines.length) % lines.length);
        } else if (event.key === 'Enter' && lines[chosen] !== undefined) {
            event.preventDefault();
            router.visit(lines[chosen].url);
            onClose();
        }
    };

    return (
        <dialog ref={dialog} onClose={onClose} aria-label="Find" className="modal items-start pt-[10vh]">
            <div className="modal-box max-w-[620px]">
                <input
                    className="input w-full"
                    role="combobox"
                    aria-label="Find anything"
                    aria-expanded={lines.length > 0}
                    aria-controls={id}
                    aria-activedescendant={lines.length > 0 ? `${id}-${chosen}` : undefined}
                    autoComplete="off"
                    placeholder="A code, a title, a person, a cause, a page"
                    value={text}
                    autoFocus
                    onChange={(event) => {
                        setText(event.target.value);
                        setAt(0);
                    }}
                    onKeyDown={press}
                />
                <Lines id={id} lines={lines} at={chosen} />
                <p className="pt-2 text-[13px] text-faint" role="status">
                    {fault ?? (key !== null && !asking && lines.length === 0 ? 'Nothing bears that word.' : '')}
                </p>
            </div>
            <form method="dialog" className="modal-backdrop">
                <button>Close</button>
            </form>
        </dialog>
    );
}
