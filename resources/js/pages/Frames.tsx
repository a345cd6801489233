import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { FilesFound } from '../features/check/FilesFound';
import { FramesTop } from '../features/check/FramesTop';
import { LedgerSheet } from '../features/check/LedgerSheet';
import { PastChecks } from '../features/check/PastChecks';
import { HandInArchive } from '../features/own/HandInArchive';
import { OwnFolder } from '../features/own/OwnFolder';
import { OwnMoves } from '../features/own/OwnMoves';
import { to } from '../lib/route';
import { Folios } from '../parts/Folios';
import type { FramesPage } from '../types/views';

/** Files on somebody's own disk are put right there. */
function OnThisMachine({ page: { ledger, may, deliverable } }: { page: FramesPage }) {
    return ledger?.delivery?.origin !== 'own' || !may.check ? null : (
        <OwnMoves
            key={ledger.id}
            check={ledger.id}
            movable={ledger.movable}
            again={to('picked.begin', { deliverable: deliverable.id })}
            onEnded={() => router.reload()}
        />
    );
}

export default function Frames(page: FramesPage) {
    const { book, deliverable, past } = page;
    const ledger = page.ledger?.delivery === null ? null : page.ledger;

    return (
        <LedgerSheet
            title={t`${deliverable.code}, frames`}
            book={book}
            deliverable={deliverable}
            ledger={ledger}
            head={
                <>
                    <Folios deliverable={deliverable} at="frames" />
                    <FramesTop
                        key={page.ledger?.id}
                        page={page}
                        ledger={ledger}
                        own={
                            page.may.check && (
                                <>
                                    <OwnFolder
                                        begin={to('picked.begin', { deliverable: deliverable.id })}
                                        deliverable={deliverable.id}
                                        says={t`Or drop a folder of this machine here.`}
                                        zip={t`This is an archive. Hand it in below.`}
                                        looks={page.looks}
                                        onEnded={() => router.reload()}
                                    />
                                    <HandInArchive deliverable={deliverable.id} />
                                </>
                            )
                        }
                    />
                </>
            }
            between={ledger === null ? null : <FilesFound ledger={ledger} />}
            aside={
                <>
                    <OnThisMachine page={page} />
                    <PastChecks past={past} current={page.ledger?.id ?? null} />
                </>
            }
        />
    );
}
