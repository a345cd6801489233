import { bytes, counted } from '../../lib/frames';
import type { Ledger, ScanDepth, ShownDelivery } from '../../types/views';
import { verdictInWords } from '../../lib/verdict';

/** What was looked at, and the ways to look again. */
export function FramesHead({
    ledger,
    delivery,
    isRunning,
    canRepeat,
    choosing,
    busy,
    onRepeat,
    onChoose,
}: {
    ledger: Ledger;
    delivery: ShownDelivery;
    isRunning: boolean;
    canRepeat: boolean;
    choosing: boolean;
    busy: boolean;
    onRepeat: (depth: ScanDepth) => void;
    onChoose: () => void;
}) {
    const place = [delivery.root, delivery.folder].filter((part) => part !== null && part !== '').join('/');
    const where = { intake: '', own: ', on a disk of their own', upload: ', handed in' }[delivery.origin];

    return (
        <>
            <p className="said">{verdictInWords(ledger.document)}</p>
            <p className="mt-1 flex flex-wrap items-center gap-3 text-[13px] text-faint">
                <span className="[overflow-wrap:anywhere]">
                    {counted(delivery.files, 'file')}, {bytes(delivery.bytes)}, in <span className="mono">{place}</span>
                    {where}, looked at {delivery.at}
                </span>
                {!isRunning && (
                    <span className="flex gap-2">
                        {canRepeat && !choosing && (
                            <button
                                type="button"
                                className="btn"
                                disabled={busy}
                                onClick={() => onRepeat(delivery.depth === 'full' ? 'full' : 'quick')}
                            >
                                {busy ? 'Checking…' : 'Check again'}
                            </button>
                        )}
                        <button type="button" className="btn" aria-expanded={choosing} onClick={onChoose}>
                            {choosing ? 'Leave it' : 'Another folder'}
                        </button>
                    </span>
                )}
            </p>
        </>
    );
}
