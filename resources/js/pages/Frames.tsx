import { FilesFound } from '../features/check/FilesFound';
import { FramesTop } from '../features/check/FramesTop';
import { LedgerSheet } from '../features/check/LedgerSheet';
import { PastChecks } from '../features/check/PastChecks';
import { Folios } from '../parts/Folios';
import type { FramesPage } from '../types/views';

export default function Frames(page: FramesPage) {
    const { book, deliverable, past } = page;
    const ledger = page.ledger?.delivery === null ? null : page.ledger;

    return (
        <LedgerSheet
            title={`${deliverable.code}, frames`}
            book={book}
            deliverable={deliverable}
            ledger={ledger}
            head={
                <>
                    <Folios deliverable={deliverable} at="frames" />
                    <FramesTop page={page} ledger={ledger} />
                </>
            }
            between={ledger === null ? null : <FilesFound ledger={ledger} />}
            aside={<PastChecks past={past} current={page.ledger?.id ?? null} />}
        />
    );
}
