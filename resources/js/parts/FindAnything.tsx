import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router, usePage } from '@inertiajs/react';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { ask } from '../lib/ask';
import { classes } from '../lib/classes';
import { to } from '../lib/route';
import { useQuestion } from '../lib/useQuestion';
import type { Book, Found } from '../types/views';

/** Pages of a production, as its folios name them. */
const PAGES = [
    ['production', t`Deliverables`],
    ['specifications', t`Specifications`],
    ['together', t`Many together`],
    ['plan', t`Render plan`],
    ['bring', t`Bring in anything`],
    ['scenes', t`Many scenes`],
    ['tree', t`Delivered tree`],
    ['list', t`From a list`],
    ['house', t`House requirements`],
    ['names', t`Names`],
    ['people', t`People`],
    ['outbox', t`Outbox`],
    ['history', t`History`],
    ['settings', t`Settings`],
    ['movies', t`All movies`],
    ['deliverable.new', t`Add a deliverable`],
] as const;

const MOST_PAGES = 6;

/** Something found: a page to go to, or something to do. */
interface Line extends Found {
    act?: () => void;
}

/** What can be done from anywhere. */
const actions = (): Line[] =>
    [
        { says: t`Print this page`, act: () => window.print() },
        { says: t`Sign out`, act: () => router.post(to('sign-out')) },
    ].map((action) => ({ kind: t`action`, more: '', url: '', ...action }));

/** Pages and actions that bear a word: those of the production that is open, and those of everybody. */
function near(text: string, book: Book | null, administers: boolean): Line[] {
    const wanted = text.trim().toLowerCase();
    const page = (says: string, url: string, more = ''): Line => ({ kind: t`page`, says, more, url });
    const own =
        book?.decides === true
            ? PAGES.map(([name, says]) =>
                  page(says, to(name, { production: book.production.id }), book.production.name),
              )
            : [];
    const all = [
        ...own,
        page(t`All productions`, to('productions')),
        page(t`Notices`, to('notices')),
        page(t`Causes`, to('causes')),
        page(t`Calculator`, to('calculator')),
        page(t`Your tokens and password`, to('tokens')),
        ...(administers ? [page(t`Administration`, to('administration'))] : []),
        ...actions(),
    ];

    return wanted === '' ? [] : all.filter(({ says }) => says.toLowerCase().includes(wanted)).slice(0, MOST_PAGES);
}

/** Goes there, or does it. */
function follow(line: Line, onClose: () => void): void {
    onClose();
    if (line.act === undefined) {
        router.visit(line.url);
    } else {
        line.act();
    }
}

/** What was found, one line each; the chosen one is visited on Enter. */
function Lines({ id, lines, at, onClose }: { id: string; lines: Line[]; at: number; onClose: () => void }) {
    return (
        <ul id={id} role="listbox" aria-label={t`Found`} className="mt-2 max-h-[50vh] overflow-y-auto">
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
                    onClick={() => follow(line, onClose)}
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
export function FindAnything({
    book,
    deliverable,
    onClose,
}: {
    book: Book | null;
    /** whose page is open */
    deliverable: number | null;
    onClose: () => void;
}) {
    const { person } = usePage<{ person: { administers: boolean } | null; [key: string]: unknown }>().props;
    const administers = person?.administers === true;
    const dialog = useRef<HTMLDialogElement>(null);
    const [text, setText] = useState('');
    const [at, setAt] = useState(0);
    const id = useId();
    const open: Record<string, string> = deliverable === null ? {} : { deliverable: String(deliverable) };
    const key = text.trim() === '' ? null : text.trim();
    const { answer, fault, asking } = useQuestion(key, (stop) =>
        ask<Found[]>(`${to('find')}?${new URLSearchParams({ q: text.trim(), ...open }).toString()}`, stop),
    );
    const lines: Line[] = key === null ? [] : [...(answer ?? []), ...near(text, book, administers)];
    const chosen = Math.min(at, Math.max(0, lines.length - 1));
    const isEmpty = [key !== null, !asking, lines.length === 0].every(Boolean);
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
            follow(lines[chosen], onClose);
        }
    };

    return (
        <dialog ref={dialog} onClose={onClose} aria-label={t`Find`} className="modal items-start pt-[10vh]">
            <div className="modal-box max-w-[620px]">
                <input
                    className="input w-full"
                    role="combobox"
                    aria-label={t`Find anything`}
                    aria-expanded={lines.length > 0}
                    aria-controls={id}
                    aria-activedescendant={lines.length > 0 ? `${id}-${chosen}` : undefined}
                    autoComplete="off"
                    placeholder={t`A code, a title, a person, a requirement, a cause, a page`}
                    value={text}
                    autoFocus
                    onChange={(event) => {
                        setText(event.target.value);
                        setAt(0);
                    }}
                    onKeyDown={press}
                />
                <Lines id={id} lines={lines} at={chosen} onClose={onClose} />
                <p className="pt-2 text-[13px] text-faint" role="status">
                    {fault ?? (isEmpty ? t`Nothing bears that word.` : '')}
                </p>
            </div>
            <form method="dialog" className="modal-backdrop">
                <button>
                    <Trans>Close</Trans>
                </button>
            </form>
        </dialog>
    );
}
