import { Link } from '@inertiajs/react';
import { verdictInWords } from '../features/check/notes';
import { FilesFound } from '../features/check/FilesFound';
import { Folios } from '../parts/Folios';
import { LedgerSheet } from '../features/check/LedgerSheet';
import type { Book, DeliverableHead, Ledger } from '../types/views';

/** One past check, as it was. */
export default function Check({
    book,
    deliverable,
    ledger,
}: {
    book: Book;
    deliverable: DeliverableHead;
    ledger: Ledger;
}) {
    return (
        <LedgerSheet
            title={`${deliverable.code}, check of ${ledger.made}`}
            book={book}
            deliverable={deliverable}
            ledger={ledger}
            head={
                <>
                    <Folios deliverable={deliverable} at={null} />
                    <div className="px-6 pt-3">
                        <p className="aside">
                            Check of {ledger.made}, kept as it was.{' '}
                            <Link href={`/deliverables/${deliverable.id}/frames`} className="link not-italic">
                                To the newest
                            </Link>
                        </p>
                        <p className="said mt-1">{verdictInWords(ledger.document)}</p>
                    </div>
                </>
            }
            between={ledger.delivery === null ? null : <FilesFound ledger={ledger} />}
        />
    );
}
