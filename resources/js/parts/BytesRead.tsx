import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { bytes } from '../lib/frames';

/** How far files are read whole, and a way to stop it. */
export function BytesRead({
    says,
    done,
    all,
    onStop,
}: {
    says: string;
    /** bytes */
    done: number;
    /** bytes; 0: not known yet */
    all: number;
    onStop: () => void;
}) {
    return (
        <>
            <p className="flex flex-wrap items-baseline gap-3">
                <span className="said" role="status">
                    {says}
                </span>
                {all > 0 && (
                    <span className="text-faint">
                        <Trans>
                            {bytes(done)} of {bytes(all)}
                        </Trans>
                    </span>
                )}
                <button type="button" className="btn ml-auto" onClick={onStop}>
                    <Trans>Stop</Trans>
                </button>
            </p>
            <progress
                className="progress mt-1"
                value={all === 0 ? undefined : done}
                max={all === 0 ? 1 : all}
                aria-label={t`Bytes read`}
            />
        </>
    );
}
