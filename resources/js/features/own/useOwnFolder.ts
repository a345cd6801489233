import { t } from '@lingui/core/macro';
import { useEffect, useRef, useState } from 'react';
import { xsrfToken } from '../../lib/ask';
import type { Picked } from '../../lib/own/pick';
import { wordsFor } from '../../lib/own/words';
import { hold, type Source } from '../../lib/ownDisk';
import type { CheckDocument } from '../../types/views';
import type { Order, Told } from './messages';

/** How far it is. */
export type State =
    | { kind: 'idle'; fault: string | null }
    | { kind: 'listing'; files: number }
    | { kind: 'reading'; done: number; all: number; waiting: boolean };

/** A look at a folder of the visitor's own, done by a worker; what it came to is told in the end. */
export function useOwnFolder(begin: string, onEnded: (check: number | null, document: CheckDocument | null) => void) {
    const [state, setState] = useState<State>({ kind: 'idle', fault: null });
    const worker = useRef<Worker | null>(null);
    const looked = useRef<Source | null>(null);
    const ended = useRef(onEnded);
    useEffect(() => {
        ended.current = onEnded;
    });
    useEffect(() => () => worker.current?.terminate(), []);

    const stop = (fault: string | null) => {
        worker.current?.terminate();
        worker.current = null;
        setState({ kind: 'idle', fault });
    };
    const hear = ({ data: told }: MessageEvent<Told>) => {
        switch (told.kind) {
            case 'listing':
                setState({ kind: 'listing', files: told.files });
                break;
            case 'reading':
                setState({ kind: 'reading', done: told.done, all: told.all, waiting: false });
                break;
            case 'waiting':
                setState((was) => (was.kind === 'reading' ? { ...was, waiting: true } : was));
                break;
            case 'fault':
                stop(wordsFor(told.why, told.says));
                break;
            case 'ended':
                stop(null);
                if (told.check !== null && looked.current !== null) {
                    hold(told.check, looked.current);
                }
                ended.current(told.check, told.document);
        }
    };
    const start = ({ source, folder }: Picked, whole: boolean) => {
        stop(null);
        setState({ kind: 'listing', files: 0 });
        const made = new Worker(new URL('./own.worker.ts', import.meta.url), { type: 'module' });
        made.onmessage = hear;
        made.onerror = () => stop(t`This browser could not begin it.`);
        worker.current = made;
        looked.current = source;
        made.postMessage({ source, folder, whole, begin, token: xsrfToken() } satisfies Order);
    };

    return { state, start, stop: () => stop(null), refuse: stop };
}
