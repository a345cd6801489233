import { router } from '@inertiajs/react';
import { useState } from 'react';
import { bytes, counted } from '../lib/frames';
import { verdictInWords } from '../features/check/notes';
import { BrokenOff, type Broken } from '../features/check/BrokenOff';
import { CheckProgress } from '../features/check/CheckProgress';
import { FilesFound } from '../features/check/FilesFound';
import { FolderBrowser, type Choice, type Root } from '../parts/FolderBrowser';
import { Folios } from '../parts/Folios';
import { LedgerSheet } from '../features/check/LedgerSheet';
import { PastChecks } from '../features/check/PastChecks';
import type { Book, DeliverableHead, Ledger, PastCheck, Progress } from '../types/views';

export default function Frames({
    book,
    deliverable,
    ledger,
    past,
    roots,
    running,
    broken,
}: {
    book: Book;
    deliverable: DeliverableHead;
    ledger: Ledger | null;
    past: PastCheck[];
    roots: Root[];
    running: Progress | null;
    broken: Broken | null;
}) {
    const [busy, setBusy] = useState(false);
    const [full, setFull] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    const delivery = ledger?.delivery ?? null;
    const [choosing, setChoosing] = useState(delivery === null);
    const last: Choice | null = delivery?.rootId == null ? null : { root: delivery.rootId, below: delivery.folder };
    const check = (choice: Choice, depth: 'quick' | 'full') => {
        setBusy(true);
        setRefused(null);
        router.post(
            `/deliverables/${deliverable.id}/checks`,
            { ...choice, depth },
            {
                onError: (errors) =>
                    setRefused(errors.below ?? errors.root ?? errors.refused ?? 'This could not be checked.'),
                onSuccess: () => setChoosing(false),
                onFinish: () => setBusy(false),
            },
        );
    };
    const canRepeat = last !== null && roots.some((root) => root.id === last.root);

    return (
        <LedgerSheet
            title={`${deliverable.code}, frames`}
            book={book}
            deliverable={deliverable}
            ledger={delivery === null ? null : ledger}
            head={
                <>
                    <Folios deliverable={deliverable} at="frames" />
                    {running !== null && <CheckProgress key={running.id} running={running} />}
                    {running === null && broken !== null && <BrokenOff broken={broken} />}
                    {delivery !== null && ledger !== null && (
                        <div className="px-6 pt-3">
                            <p className="said">{verdictInWords(ledger.document)}</p>
                            <p className="mt-1 flex flex-wrap items-center gap-3 text-[13px] text-faint">
                                <span className="[overflow-wrap:anywhere]">
                                    {counted(delivery.files, 'file')}, {bytes(delivery.bytes)}, in{' '}
                                    <span className="mono">
                                        {[delivery.root, delivery.folder]
                                            .filter((part) => part !== null && part !== '')
                                            .join('/')}
                                    </span>
                                    , looked at {delivery.at}
                                </span>
                                {running === null && (
                                    <span className="flex gap-2">
                                        {canRepeat && !choosing && (
                                            <button
                                                type="button"
                                                className="btn"
                                                disabled={busy}
                                                onClick={() =>
                                                    check(last, delivery.depth === 'full' ? 'full' : 'quick')
                                                }
                                            >
                                                {busy ? 'Checking…' : 'Check again'}
                                            </button>
                                        )}
                                        <button
                                            type="button"
                                            className="btn"
                                            aria-expanded={choosing}
                                            onClick={() => setChoosing(!choosing)}
                                        >
                                            {choosing ? 'Leave it' : 'Another folder'}
                                        </button>
                                    </span>
                                )}
                            </p>
                            {refused !== null && !choosing && (
                                <p role="alert" className="mt-1 text-red">
                                    {refused}
                                </p>
                            )}
                        </div>
                    )}
                    {delivery === null && running === null && (
                        <p className="said px-6 pt-5">
                            No files have been looked at yet. Choose the folder they were rendered to.
                        </p>
                    )}
                    {choosing && running === null && (
                        <FolderBrowser
                            browse={`/deliverables/${deliverable.id}/intake`}
                            roots={roots}
                            start={last}
                            fault={refused}
                        >
                            {(at, ready) => (
                                <>
                                    <button
                                        type="button"
                                        className="btn btn-primary"
                                        disabled={busy || !ready}
                                        onClick={() => check(at, full ? 'full' : 'quick')}
                                    >
                                        {busy ? 'Checking…' : 'Check this folder'}
                                    </button>
                                    <label className="flex items-center gap-1.5">
                                        <input
                                            type="checkbox"
                                            className="checkbox"
                                            checked={full}
                                            onChange={(event) => setFull(event.target.checked)}
                                        />
                                        read every byte
                                    </label>
                                    <span className="text-[13px] text-faint">
                                        Folders below it are looked into as well.
                                    </span>
                                </>
                            )}
                        </FolderBrowser>
                    )}
                </>
            }
            between={delivery === null || ledger === null ? null : <FilesFound ledger={ledger} />}
            aside={<PastChecks past={past} current={ledger?.id ?? null} />}
        />
    );
}
