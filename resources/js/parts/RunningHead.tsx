import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../lib/route';
import { setTheme, theme } from '../lib/theme';
import type { Book, DeliverableHead } from '../types/views';

function Whose({ book, deliverable }: { book: Book | null; deliverable: DeliverableHead | undefined }) {
    if (book === null) {
        return (
            <span className="title text-[18px]">
                <Trans>Plain Ledger</Trans>
            </span>
        );
    }
    const due = deliverable?.due ?? null;

    return (
        <>
            <Link
                href={to('production', { production: book.production.id })}
                className="title min-w-0 truncate text-[18px] hover:underline"
            >
                {book.production.name}
            </Link>
            <span className="aside min-w-0 truncate">
                {book.production.code}
                {deliverable !== undefined && ` · ${deliverable.code}`}
                {due !== null && (
                    <span className={due.late ? 'text-red' : ''}>
                        <Trans> · due {due.words}</Trans>
                    </span>
                )}
            </span>
        </>
    );
}

function ThemeButton() {
    const [night, setNight] = useState(theme() === 'night');

    return (
        <button
            type="button"
            className="link"
            onClick={() => {
                setTheme(night ? 'paper' : 'night');
                setNight(!night);
            }}
        >
            {night ? t`Day` : t`Night`}
        </button>
    );
}

/** What stands at the head of every page: whose it is, and the ways out. */
export function RunningHead({
    book,
    deliverable,
    person,
    unread,
    onKeys,
    onFind,
    index,
}: {
    book: Book | null;
    deliverable: DeliverableHead | undefined;
    person: { name: string; administers: boolean } | null;
    unread: number;
    onKeys: () => void;
    onFind: () => void;
    /** a drawer, where there is no room for it beside the sheet */
    index: { isOpen: boolean; onToggle: () => void };
}) {
    const role = book?.role ?? null;

    return (
        <header
            className="book-head flex flex-wrap items-baseline gap-x-3 gap-y-1 px-5 py-2"
            data-region="head"
            tabIndex={-1}
        >
            <a href="#sheet" className="sr-only focus:not-sr-only">
                <Trans>To the page</Trans>
            </a>
            {book !== null && (
                <button
                    type="button"
                    className="btn only-narrow"
                    aria-expanded={index.isOpen}
                    aria-controls="index"
                    onClick={index.onToggle}
                >
                    <Trans>Index</Trans>
                </button>
            )}
            <Whose book={book} deliverable={deliverable} />
            <span className="ml-auto flex flex-wrap items-baseline gap-x-4 gap-y-1">
                {person !== null && (
                    <>
                        <button type="button" className="link" title={t`Ctrl K`} onClick={onFind}>
                            <Trans>Find</Trans>
                        </button>
                        <Link href={to('notices')} className="link">
                            <Trans>Notices{unread > 0 && <strong className="text-ochre"> {unread}</strong>}</Trans>
                        </Link>
                        <Link href={to('productions')} className="link">
                            <Trans>All productions</Trans>
                        </Link>
                        <Link href={to('calculator')} className="link">
                            <Trans>Calculator</Trans>
                        </Link>
                        {person.administers && (
                            <Link href={to('administration')} className="link">
                                <Trans>Administration</Trans>
                            </Link>
                        )}
                    </>
                )}
                <ThemeButton />
                <button type="button" className="link" onClick={onKeys}>
                    <Trans>Keys</Trans>
                </button>
                <Link
                    href={to('tokens')}
                    className="text-faint hover:underline"
                    title={t`Your tokens and your password`}
                >
                    {person?.name}
                    {role !== null && `, ${role}`}
                </Link>
                <button type="button" className="link" onClick={() => router.post(to('sign-out'))}>
                    <Trans>Sign out</Trans>
                </button>
            </span>
        </header>
    );
}
