import { t } from '@lingui/core/macro';
import { useEffect, useRef, useState } from 'react';
import { xsrfToken } from '../ask';
import type { Source } from '../ownDisk';
import { to } from '../route';
import type { SumsOrder, SumsProgress, SumsTold } from './messages';
import { wordsFor } from './words';

/** How far it is. */
export type SumsState =
    | { kind: 'idle'; fault: string | null }
    | { kind: 'listing'; files: number }
    | ({ kind: 'summing'; waiting: boolean } & SumsProgress);

/**
 * Checksums of a folder of the visitor's own, worked out by a worker for a submission.
 *
 * @param onFault where it came to nothing and cannot be gone on with
 */
export function useSums(onEnded: () => void, onFault: () => void) {
    const [state, setState] = useState<SumsState>({ kind: 'idle', fault: null });
    const worker = useRef<Worker | null>(null);
    useEffect(() => () => worker.current?.terminate(), []);

    const stop = (fault: string | null) => {
        worker.current?.terminate();
        worker.current = null;
        setState({ kind: 'idle', fault });
    };
    const hear = ({ data: told }: MessageEvent<SumsTold>) => {
        switch (told.kind) {
            case 'listing':
                setState({ kind: 'listing', files: told.files });
                break;
            case 'summing':
                setState({ ...told, waiting: false });
                break;
            case 'waiting':
                setState((was) => (was.kind === 'summing' ? { ...was, waiting: true } : was));
                break;
            case 'fault':
                stop(wordsFor(told.why, told.says));
                if (told.why !== 'unreachable') {
                    onFault();
                }
                break;
            case 'ended':
                stop(null);
                onEnded();
        }
    };
    const start = (source: Source, submission: number) => {
        setState({ kind: 'listing', files: 0 });
        const made = new Worker(new URL('./sums.worker.ts', import.meta.url), { type: 'module' });
        made.onmessage = hear;
        made.onerror = () => stop(t`This browser could not begin it.`);
        worker.current = made;
        made.postMessage({ source, at: to('sums', { submission }), token: xsrfToken() } satisfies SumsOrder);
    };

    return { state, start, stop };
}
