import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef } from 'react';
import { bytes } from '../../lib/frames';
import { useCarried } from '../../lib/useCarried';
import { Fault } from '../../parts/Fault';
import { useArchive } from './useArchive';

/** An archive of this machine, which is sent and then checked as it is. */
export function HandInArchive({ deliverable }: { deliverable: number }) {
    const field = useRef<HTMLInputElement>(null);
    const { sent, fault, send, stop } = useArchive(deliverable);
    useCarried('archive', ({ file }) => void send(file), deliverable);

    return (
        <section aria-label={t`An archive of this machine`} className="mx-6 my-3 border border-edge px-3 py-2">
            {sent === null ? (
                <div className="flex flex-wrap items-center gap-3">
                    <span className="said">
                        <Trans>Or hand in a zip.</Trans>
                    </span>
                    <input
                        ref={field}
                        type="file"
                        accept=".zip,application/zip"
                        aria-label={t`Archive of this machine`}
                        className="sr-only"
                        tabIndex={-1}
                        onChange={(event) => {
                            const file = event.target.files?.[0];
                            event.target.value = '';
                            if (file !== undefined) {
                                void send(file);
                            }
                        }}
                    />
                    <button type="button" className="btn" onClick={() => field.current?.click()}>
                        <Trans>Choose an archive</Trans>
                    </button>
                    <span className="text-[13px] text-faint">
                        <Trans>It is sent, kept with this deliverable, and looked into as it is.</Trans>
                    </span>
                </div>
            ) : (
                <>
                    <p className="flex items-baseline gap-3">
                        <span className="said" role="status">
                            {t`${bytes(sent.done)} of ${bytes(sent.all)} sent.`}
                        </span>
                        <button type="button" className="btn ml-auto" onClick={stop}>
                            <Trans>Stop</Trans>
                        </button>
                    </p>
                    <progress className="progress mt-1" value={sent.done} max={sent.all} aria-label={t`Sent`} />
                </>
            )}
            <Fault says={fault} className="pt-1" />
        </section>
    );
}
