import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { ask } from '../../lib/ask';
import { to } from '../../lib/route';
import { usePolling } from '../../lib/usePolling';
import { BytesRead } from '../../parts/BytesRead';
import type { SealShown } from '../../types/views';

const EVERY = 1000;

function inWords({ allFiles, files, alone, own }: SealShown): string {
    if (allFiles === 0 && own) {
        return t`Waiting for the page that reads the files on its own machine.`;
    }
    if (allFiles === 0) {
        return alone ? t`Waiting: nobody works on what is queued.` : t`Waiting for its turn.`;
    }

    return t`${files.toLocaleString('en')} of ${allFiles.toLocaleString('en')} files read.`;
}

/** Files that are read for their checksums just now. */
export function Sealing({ running }: { running: SealShown }) {
    const [now, setNow] = useState(running);
    const submission = running.id;
    usePolling(async (stop) => {
        try {
            const seal = await ask<SealShown>(to('seal', { submission }), stop);
            setNow(seal);
            if (!seal.underWay) {
                router.reload();

                return null;
            }
        } catch {
            // asked again
        }

        return EVERY;
    }, EVERY);

    return (
        <section className="my-3 border border-edge px-3 py-2" aria-label={t`Checksums under way`}>
            <BytesRead
                says={inWords(now)}
                done={now.bytes}
                all={now.allBytes}
                onStop={() => router.delete(to('seal.stop', { submission }), { preserveScroll: true })}
            />
        </section>
    );
}
