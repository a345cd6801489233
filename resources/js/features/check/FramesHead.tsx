import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
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
    const where = { intake: '', own: t`, on a disk of their own`, upload: t`, handed in` }[delivery.origin];

    return (
        <>
            <p className="said">{verdictInWords(ledger.document)}</p>
            <p className="mt-1 flex flex-wrap items-center gap-3 text-[13px] text-faint">
                <span className="[overflow-wrap:anywhere]">
                    <Trans>
                        {counted(delivery.files, t`file`, t`files`)}, {bytes(delivery.bytes)}, in{' '}
                        <span className="mono">{place}</span>
                        {where}, looked at {delivery.at}
                    </Trans>
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
                                {busy ? t`Checking…` : t`Check again`}
                            </button>
                        )}
                        <button type="button" className="btn" aria-expanded={choosing} onClick={onChoose}>
                            {choosing ? t`Cancel` : t`Another folder`}
                        </button>
                    </span>
                )}
            </p>
        </>
    );
}
