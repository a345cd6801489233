import { Head, Link, router, usePage } from '@inertiajs/react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { setTheme, theme } from '../lib/theme';
import type { Book as BookData, DeliverableHead } from '../types/views';
import { Index } from './Index';
import { Shortcuts, shortcutsOn } from './Shortcuts';

interface Shared {
    person: { name: string } | null;
    told: string | null;
    alone: boolean;
    errors: Record<string, string>;
    [key: string]: unknown;
}

const REGIONS = ['head', 'index', 'sheet', 'margin'];

/** The open book: running head, index, sheet, margin. F6 goes from one to the next. */
export function Book({
    title,
    book,
    deliverable,
    margin,
    children,
}: {
    title: string;
    book: BookData | null;
    deliverable?: DeliverableHead;
    margin?: ReactNode;
    children: ReactNode;
}) {
    const { person, told, alone, errors } = usePage<Shared>().props;
    const filter = useRef<HTMLInputElement>(null);
    const [showKeys, setShowKeys] = useState(false);
    const [night, setNight] = useState(theme() === 'night');

    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            if (event.key === 'F6') {
                event.preventDefault();
                const there = REGIONS.filter((name) => document.querySelector(`[data-region="${name}"]`) !== null);
                const now = document.activeElement?.closest('[data-region]')?.getAttribute('data-region') ?? '';
                const next = there[(there.indexOf(now) + (event.shiftKey ? there.length - 1 : 1)) % there.length];
                document.querySelector<HTMLElement>(`[data-region="${next ?? ''}"]`)?.focus();

                return;
            }
            const typing =
                event.target instanceof HTMLElement &&
                event.target.matches('input, textarea, select, [contenteditable]');
            if (typing || event.ctrlKey || event.metaKey || event.altKey || !shortcutsOn()) {
                return;
            }
            if (event.key === '?') {
                setShowKeys(true);
            } else if (event.key === '/' && filter.current !== null) {
                event.preventDefault();
                filter.current.focus();
            } else if ((event.key === 'n' || event.key === 'p') && book !== null && book.index.length > 0) {
                const at = book.index.findIndex((line) => line.id === deliverable?.id);
                const next = book.index[(at + (event.key === 'n' ? 1 : book.index.length - 1)) % book.index.length];
                if (next !== undefined) {
                    router.visit(`/deliverables/${next.id}/${next.folio}`);
                }
            } else if (['1', '2', '3', '4'].includes(event.key) && deliverable !== undefined) {
                const folio = ['specification', 'scene', 'render', 'frames'][Number(event.key) - 1] ?? 'frames';
                router.visit(`/deliverables/${deliverable.id}/${folio}`);
            }
        };
        document.addEventListener('keydown', press);

        return () => document.removeEventListener('keydown', press);
    }, [book, deliverable]);

    return (
        <div
            className="book"
            style={
                book === null
                    ? { gridTemplateColumns: 'minmax(0, 1fr)' }
                    : margin === undefined
                      ? { gridTemplateColumns: '232px minmax(0, 1fr)' }
                      : undefined
            }
        >
            <Head title={title} />
            <header className="book-head flex items-baseline gap-3 px-5 py-2" data-region="head" tabIndex={-1}>
                <a href="#sheet" className="sr-only focus:not-sr-only">
                    To the page
                </a>
                {book === null ? (
                    <span className="title text-[18px]">Plain Ledger</span>
                ) : (
                    <>
                        <Link
                            href={`/productions/${book.production.id}`}
                            className="title min-w-0 truncate text-[18px] hover:underline"
                        >
                            {book.production.name}
                        </Link>
                        <span className="aside min-w-0 truncate">
                            {book.production.code}
                            {deliverable !== undefined && ` · ${deliverable.code}`}
                            {deliverable?.due != null && (
                                <span className={deliverable.due.late ? 'text-red' : ''}>
                                    {' '}
                                    · due {deliverable.due.words}
                                </span>
                            )}
                        </span>
                    </>
                )}
                <span className="ml-auto flex items-baseline gap-4 whitespace-nowrap">
                    {person !== null && (
                        <Link href="/" className="link">
                            All productions
                        </Link>
                    )}
                    {person !== null && (
                        <Link href="/calculator" className="link">
                            Calculator
                        </Link>
                    )}
                    <button
                        type="button"
                        className="link"
                        onClick={() => {
                            setTheme(night ? 'paper' : 'night');
                            setNight(!night);
                        }}
                    >
                        {night ? 'Day' : 'Night'}
                    </button>
                    <button type="button" className="link" onClick={() => setShowKeys(true)}>
                        Keys
                    </button>
                    <Link href="/tokens" className="text-faint hover:underline" title="Your tokens">
                        {person?.name}
                        {book?.role != null && `, ${book.role}`}
                    </Link>
                    <button type="button" className="link" onClick={() => router.post('/sign-out')}>
                        Sign out
                    </button>
                </span>
            </header>
            {book !== null && (
                <nav className="scroll min-h-0" aria-label="Index of deliverables" data-region="index" tabIndex={-1}>
                    <Index book={book} current={deliverable?.id ?? null} filter={filter} />
                </nav>
            )}
            <main className="sheet scroll min-h-0" id="sheet" data-region="sheet" tabIndex={-1}>
                {alone && (
                    <p role="status" className="border-b border-ochre px-6 py-1.5 text-ochre">
                        No worker has been seen for a minute, so checks that wait for their turn are not worked on.
                        Whoever runs this installation begins one with <span className="mono">bin/start</span>.
                    </p>
                )}
                {told != null && (
                    <p role="status" className="aside border-b border-rule px-6 py-1.5">
                        {told}
                    </p>
                )}
                {errors.refused !== undefined && (
                    <p role="alert" className="border-b border-rule px-6 py-1.5 text-red">
                        {errors.refused}
                    </p>
                )}
                {children}
            </main>
            {margin !== undefined && (
                <aside
                    className="scroll min-h-0 px-4 pt-3 pb-8"
                    aria-label="Notes in the margin"
                    data-region="margin"
                    tabIndex={-1}
                >
                    {margin}
                </aside>
            )}
            {showKeys && <Shortcuts onClose={() => setShowKeys(false)} />}
        </div>
    );
}
