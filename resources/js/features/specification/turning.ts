import { router } from '@inertiajs/react';
import { useCallback, useEffect, useSyncExternalStore } from 'react';

/** Changes made in this window, that can be taken back and made again, apart for each page they were made on. */

interface Stacks {
    undo: number[];
    redo: number[];
    state: { kind: 'still' | 'keeping' | 'kept' | 'refused'; says: string };
}

const EMPTY: Stacks = { undo: [], redo: [], state: { kind: 'still', says: '' } };
const all = new Map<string, Stacks>();
const listeners = new Set<() => void>();

function put(key: string, change: (stacks: Stacks) => Stacks): void {
    all.set(key, change(all.get(key) ?? EMPTY));
    listeners.forEach((listener) => listener());
}

function listen(listener: () => void): () => void {
    listeners.add(listener);

    return () => listeners.delete(listener);
}

/** How many changes are on their way. Leaving the page would break them off, so that a visit waits for them. */
let underWay = 0;
let waiting: string | null = null;

router.on('before', (event) => {
    const visit = event.detail.visit;
    if (underWay > 0 && visit.method === 'get' && !visit.async && !visit.prefetch) {
        waiting = visit.url.href;

        return false;
    }

    return undefined;
});

if (typeof window !== 'undefined') {
    window.addEventListener('beforeunload', (event) => {
        if (underWay > 0) {
            event.preventDefault();
        }
    });
}

function arrived(): void {
    underWay = Math.max(0, underWay - 1);
    if (underWay === 0 && waiting !== null) {
        const next = waiting;
        waiting = null;
        router.visit(next);
    }
}

function clock(): string {
    return new Date().toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

const WORK = { preserveScroll: true, preserveState: true };

type Errors = Record<string, string>;

export interface Turning {
    state: Stacks['state'];
    canUndo: boolean;
    canRedo: boolean;
    undo: () => void;
    redo: () => void;
    /** Sends a change; what came of it is seen in `state`. */
    send: (
        method: 'patch' | 'post',
        url: string,
        data: Record<string, string | number | boolean | null>,
        done?: { kept?: () => void; refused?: (errors: Errors) => void },
    ) => void;
}

/** @param key names the page; Ctrl+Z and Ctrl+Shift+Z or Ctrl+Y work on it outside of fields */
export function useTurning(key: string): Turning {
    const stacks = useSyncExternalStore(listen, () => all.get(key) ?? EMPTY);

    const send = useCallback<Turning['send']>(
        (method, url, data, done) => {
            put(key, (was) => ({ ...was, state: { kind: 'keeping', says: 'Keeping…' } }));
            underWay++;
            router.visit(url, {
                ...WORK,
                method,
                data,
                onFinish: arrived,
                onSuccess: (page) => {
                    const change = page.props.change;
                    put(key, (was) => ({
                        undo: typeof change === 'number' ? [...was.undo, change] : was.undo,
                        redo: typeof change === 'number' ? [] : was.redo,
                        state: { kind: 'kept', says: `Kept at ${clock()}` },
                    }));
                    done?.kept?.();
                },
                onError: (errors) => {
                    // what was typed is still in its field
                    waiting = null;
                    put(key, (was) => ({ ...was, state: { kind: 'refused', says: 'Not kept' } }));
                    done?.refused?.(errors as Errors);
                },
                onNetworkError: () => {
                    waiting = null;
                    put(key, (was) => ({
                        ...was,
                        state: { kind: 'refused', says: 'Not kept: the server cannot be reached' },
                    }));
                    done?.refused?.({
                        value: 'The server cannot be reached. What you typed is still here; try again.',
                    });

                    return false;
                },
            });
        },
        [key],
    );

    const turn = useCallback(
        (way: 'undo' | 'redo') => {
            const change = (all.get(key) ?? EMPTY)[way].at(-1);
            if (change === undefined) {
                return;
            }
            const other = way === 'undo' ? 'redo' : 'undo';
            put(key, (was) => ({ ...was, state: { kind: 'keeping', says: 'Keeping…' } }));
            underWay++;
            router.post(
                `/changes/${change}/${way}`,
                {},
                {
                    ...WORK,
                    onFinish: arrived,
                    onSuccess: () =>
                        put(key, (was) => ({
                            ...was,
                            [way]: was[way].slice(0, -1),
                            [other]: [...was[other], change],
                            state: {
                                kind: 'kept',
                                says: way === 'undo' ? `Taken back at ${clock()}` : `Made again at ${clock()}`,
                            },
                        })),
                    // it was changed again meanwhile, by whomever: it cannot be turned any more
                    onError: () =>
                        put(key, (was) => ({
                            ...was,
                            [way]: was[way].slice(0, -1),
                            state: { kind: 'refused', says: 'Not taken back' },
                        })),
                },
            );
        },
        [key],
    );

    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            const typing =
                event.target instanceof HTMLElement &&
                event.target.matches('input:not([type=radio]):not([type=checkbox]), textarea, [contenteditable]');
            if (typing || !(event.ctrlKey || event.metaKey) || event.altKey) {
                return;
            }
            const pressed = event.key.toLowerCase();
            if (pressed === 'z' || pressed === 'y') {
                event.preventDefault();
                turn(pressed === 'y' || event.shiftKey ? 'redo' : 'undo');
            }
        };
        document.addEventListener('keydown', press);

        return () => document.removeEventListener('keydown', press);
    }, [turn]);

    return {
        state: stacks.state,
        canUndo: stacks.undo.length > 0,
        canRedo: stacks.redo.length > 0,
        undo: () => turn('undo'),
        redo: () => turn('redo'),
        send,
    };
}
