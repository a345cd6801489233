import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Head, router, usePage } from '@inertiajs/react';
import { useRef, useState, type ReactNode, type RefObject } from 'react';
import { to } from '../lib/route';
import { isSingleKey, useKeys } from '../lib/useKeys';
import { useIndex } from '../lib/useIndex';
import { useNews } from '../lib/useNews';
import { useTableLabels } from '../lib/useTableLabels';
import type { Book as BookData, DeliverableHead, IndexLine } from '../types/views';
import { Fault } from './Fault';
import { FindAnything } from './FindAnything';
import { Index } from './Index';
import { RunningHead } from './RunningHead';
import { Shortcuts } from './Shortcuts';

interface Shared {
    person: { name: string; administers: boolean } | null;
    told: string | null;
    unread: number;
    alone: boolean;
    errors: Record<string, string>;
    [key: string]: unknown;
}

const REGIONS = ['head', 'index', 'sheet', 'margin'];

const FOLIOS = { '1': 'specification', '2': 'scene', '3': 'render', '4': 'frames', '6': 'submission' } as const;

/** What is signed off elsewhere is handed in in a course. */
function folioOf(key: keyof typeof FOLIOS, book: BookData | null) {
    return key === '6' && book?.production.kind === 'course' ? 'hand-in' : FOLIOS[key];
}

/** F6 goes from one region of the book to the next. */
function goToRegion(way: 1 | -1): void {
    const there = REGIONS.filter((name) => document.querySelector(`[data-region="${name}"]`) !== null);
    const now = document.activeElement?.closest('[data-region]')?.getAttribute('data-region') ?? '';
    const next = there[(there.indexOf(now) + there.length + way) % there.length];
    document.querySelector<HTMLElement>(`[data-region="${next ?? ''}"]`)?.focus();
}

/** The deliverable before or behind another one in the index. */
function goAlong(lines: IndexLine[], current: number | undefined, way: 1 | -1): void {
    const at = lines.findIndex((line) => line.id === current);
    const next = lines[(at + lines.length + way) % lines.length];
    if (next !== undefined) {
        router.visit(to(next.folio, { deliverable: next.id }));
    }
}

/** Ctrl K, wherever one is. */
const isToFind = (event: KeyboardEvent): boolean =>
    event.key.toLowerCase() === 'k' && (event.ctrlKey || event.metaKey) && !event.altKey;

/** What the keys of every page do. */
function useBookKeys(
    book: BookData | null,
    deliverable: number | undefined,
    filter: RefObject<HTMLInputElement | null>,
    onHelp: () => void,
    onFind: () => void,
    onLeave: () => void,
): void {
    const { lines } = useIndex(book?.production.id ?? null);
    const does: Record<string, (event: KeyboardEvent) => void> = {
        '?': onHelp,
        '/': (event) => {
            if (filter.current !== null) {
                event.preventDefault();
                filter.current.focus();
            }
        },
        n: () => goAlong(lines ?? [], deliverable, 1),
        p: () => goAlong(lines ?? [], deliverable, -1),
    };
    useKeys((event) => {
        if (event.key === 'Escape') {
            onLeave();
        } else if (event.key === 'F6') {
            event.preventDefault();
            goToRegion(event.shiftKey ? -1 : 1);
        } else if (isToFind(event)) {
            event.preventDefault();
            onFind();
        } else if (isSingleKey(event)) {
            does[event.key]?.(event);
            if (event.key in FOLIOS && deliverable !== undefined) {
                router.visit(to(folioOf(event.key as keyof typeof FOLIOS, book), { deliverable }));
            }
        }
    });
}

/** What is told on whatever page comes next. */
function Told() {
    const { told, alone, errors } = usePage<Shared>().props;

    return (
        <>
            {alone && (
                <p role="status" className="border-b border-ochre px-6 py-1.5 text-ochre">
                    <Trans>
                        No worker has been seen for a minute, so checks that wait for their turn are not worked on.
                        Whoever runs this installation begins one with <span className="mono">bin/start</span>.
                    </Trans>
                </p>
            )}
            {told !== null && (
                <p role="status" className="aside border-b border-rule px-6 py-1.5">
                    {told}
                </p>
            )}
            <Fault says={errors.refused} className="border-b border-rule px-6 py-1.5" />
        </>
    );
}

/** On paper: where it stands. */
function Address() {
    const { url } = usePage();

    return (
        <p className="book-address mono hidden px-6 pt-4 text-[10px] text-faint">
            {window.location.origin}
            {url}
        </p>
    );
}

/** The columns of a book, as many as it has. */
function columns(hasIndex: boolean, hasMargin: boolean): string {
    if (!hasIndex) {
        return 'book book-sheet-alone';
    }

    return hasMargin ? 'book' : 'book book-without-margin';
}

/** The open book: running head, index, sheet, margin. */
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
    const { person, unread } = usePage<Shared>().props;
    const news = useNews(person !== null, unread);
    const filter = useRef<HTMLInputElement>(null);
    const [showKeys, setShowKeys] = useState(false);
    const [indexOpen, setIndexOpen] = useState(false);
    const sheet = useRef<HTMLElement>(null);
    useTableLabels(sheet);
    const [finding, setFinding] = useState(false);
    useBookKeys(
        book,
        deliverable?.id,
        filter,
        () => setShowKeys(true),
        () => setFinding(true),
        () => setIndexOpen(false),
    );

    return (
        <div className={columns(book !== null, margin !== undefined)}>
            <Head title={title} />
            <RunningHead
                book={book}
                deliverable={deliverable}
                person={person}
                unread={news.unread}
                onKeys={() => setShowKeys(true)}
                onFind={() => setFinding(true)}
                index={{ isOpen: indexOpen, onToggle: () => setIndexOpen(!indexOpen) }}
            />
            {book !== null && (
                <nav
                    id="index"
                    className="book-index scroll min-h-0"
                    aria-label={t`Index of deliverables`}
                    data-region="index"
                    data-open={indexOpen}
                    tabIndex={-1}
                >
                    <Index book={book} current={deliverable?.id ?? null} filter={filter} underWay={news.underWay} />
                </nav>
            )}
            <p className="sr-only" aria-live="polite" data-news>
                {news.says}
            </p>
            <main ref={sheet} className="sheet scroll min-h-0" id="sheet" data-region="sheet" tabIndex={-1}>
                <Told />
                {children}
            </main>
            {margin !== undefined && (
                <aside
                    className="book-margin scroll min-h-0 px-4 pt-3 pb-8"
                    aria-label={t`Notes in the margin`}
                    data-region="margin"
                    tabIndex={-1}
                >
                    {margin}
                </aside>
            )}
            <Address />
            {finding && (
                <FindAnything book={book} deliverable={deliverable?.id ?? null} onClose={() => setFinding(false)} />
            )}
            {showKeys && <Shortcuts onClose={() => setShowKeys(false)} />}
        </div>
    );
}
