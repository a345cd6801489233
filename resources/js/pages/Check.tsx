import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { FilesFound } from '../features/check/FilesFound';
import { LedgerSheet } from '../features/check/LedgerSheet';
import { verdictInWords } from '../lib/verdict';
import { to } from '../lib/route';
import { Folios } from '../parts/Folios';
import type { CheckPage } from '../types/views';

/** One past check, as it was. */
export default function Check({ book, deliverable, ledger }: CheckPage) {
    return (
        <LedgerSheet
            title={t`${deliverable.code}, check of ${ledger.made}`}
            book={book}
            deliverable={deliverable}
            ledger={ledger}
            head={
                <>
                    <Folios deliverable={deliverable} at={null} />
                    <div className="px-6 pt-3">
                        <p className="aside">
                            <Trans>
                                Check of {ledger.made}, kept as it was.{' '}
                                <Link href={to('frames', { deliverable: deliverable.id })} className="link not-italic">
                                    To the newest
                                </Link>
                            </Trans>
                        </p>
                        <p className="said mt-1">{verdictInWords(ledger.document)}</p>
                    </div>
                </>
            }
            between={ledger.delivery === null ? null : <FilesFound ledger={ledger} />}
        />
    );
}
