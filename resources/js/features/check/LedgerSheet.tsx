import { useMemo, useState, type ReactNode } from 'react';
import { notesOf } from './notes';
import type { Book as BookData, DeliverableHead, Ledger } from '../../types/views';
import { Book } from '../../parts/Book';
import { LedgerMargin } from './LedgerMargin';
import { LedgerTable } from './LedgerTable';
import { OutOfDate } from './OutOfDate';
import { Tie } from '../../parts/Tie';

/** A sheet with its ledger, and the margin beside it. */
export function LedgerSheet({
    title,
    book,
    deliverable,
    ledger,
    head,
    between,
    foot,
    aside,
}: {
    title: string;
    book: BookData;
    deliverable: DeliverableHead;
    ledger: Ledger | null;
    head: ReactNode;
    between?: ReactNode;
    foot?: ReactNode;
    aside?: ReactNode;
}) {
    // a note of this very check: of another its number means nothing
    const [hand, setHand] = useState<{ check: number | null; note: number | null }>({ check: null, note: null });
    const check = ledger?.id ?? null;
    const touched = hand.check === check ? hand.note : null;
    const setTouched = (note: number | null) => setHand({ check, note });
    const numbers = useMemo(() => (ledger === null ? new Map<string, number[]>() : notesOf(ledger.document)), [ledger]);

    return (
        <Book
            title={title}
            book={book}
            deliverable={deliverable}
            margin={
                <>
                    {ledger !== null && (
                        <LedgerMargin
                            ledger={ledger}
                            deliverable={deliverable.id}
                            touched={touched}
                            onTouch={setTouched}
                        />
                    )}
                    {aside}
                </>
            }
        >
            {head}
            {ledger !== null && <OutOfDate ledger={ledger} />}
            {between}
            {ledger !== null && (
                <LedgerTable
                    ledger={ledger}
                    mayWaive={book.decides}
                    numbers={numbers}
                    touched={touched}
                    onTouch={setTouched}
                />
            )}
            {foot}
            <Tie note={touched} />
        </Book>
    );
}
