import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useCallback, useSyncExternalStore } from 'react';
import { to } from '../../lib/route';
import { useKeys } from '../../lib/useKeys';

/** Changes made in this window, that can be taken back and made again, apart for each page they were made on. */

type Kind = 'still' | 'keeping' | 'kept' | 'refused';

interface Stacks {
    undo: number[];
    redo: number[];
    state: { kind: Kind; says: string };
}

type Way = 'undo' | 'redo';

type Errors = Record<string, string>;

type Data = Record<string, string | number | boolean | null>;

interface Outcome {
    kept?: () => void;
    refused?: (errors: Errors) => void;
}

export interface Changes {
    state: Stacks['state'];
    canUndo: boolean;
    canRedo: boolean;
    undo: () => void;
    redo: () => void;
    /** Sends a change; what came of it is seen in `state`. */
    send: (method: 'patch' | 'post', url: string, data: Data, done?: Outcome) => void;
}

/** So many of them outlast a reload. */
const MOST_KEPT = 100;

const EMPTY: Stacks = { undo: [], redo: [], state: { kind: 'still', says: '' } };
const all = new Map<string, Stacks>();
const listeners = new Set<() => void>();

/** Where they outlast a reload: as long as the window is open, and nowhere else. */
const stored = (key: string): string => `changes:${key}`;

function restored(key: string): Stacks {
    try {
        const { undo, redo } = JSON.parse(sessionStorage.getItem(stored(key)) ?? '{}') as Partial<Stacks>;

        return { ...EMPTY, undo: numbers(undo), redo: numbers(redo) };
    } catch {
        return EMPTY;
    }
}

const numbers = (list: unknown): number[] =>
    Array.isArray(list) ? list.filter((each): each is number => Number.isInteger(each)).slice(-MOST_KEPT) : [];

function stacksOf(key: string): Stacks {
    const known = all.get(key) ?? restored(key);
    all.set(key, known);

    return known;
}

function put(key: string, change: (stacks: Stacks) => Stacks): void {
    const next = change(stacksOf(key));
    all.set(key, next);
    try {
        sessionStorage.setItem(stored(key), JSON.stringify({ undo: next.undo, redo: next.redo }));
    } catch {
        // where nothing can be kept, they last as long as the page
    }
    listeners.forEach((listener) => listener());
}

function tell(key: string, kind: Kind, says: string): void {
    put(key, (was) => ({ ...was, state: { kind, says } }));
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

const OUT_OF_REACH = { value: t`The server cannot be reached. What you typed is still here; try again.` };

function send(key: string, method: 'patch' | 'post', url: string, data: Data, done: Outcome): void {
    tell(key, 'keeping', t`Saving…`);
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
                state: { kind: 'kept', says: t`Saved at ${clock()}` },
            }));
            done.kept?.();
        },
        onError: (errors) => {
            // what was typed is still in its field
            waiting = null;
            tell(key, 'refused', t`Not saved`);
            done.refused?.(errors);
        },
        onNetworkError: () => {
            waiting = null;
            tell(key, 'refused', t`Not saved: the server cannot be reached`);
            done.refused?.(OUT_OF_REACH);

            return false;
        },
    });
}

/** Takes the last change back, or makes the one again that was taken back last. */
function turn(key: string, way: Way): void {
    const change = stacksOf(key)[way].at(-1);
    if (change === undefined) {
        return;
    }
    const other = way === 'undo' ? 'redo' : 'undo';
    const without = (was: Stacks) => ({ ...was, [way]: was[way].slice(0, -1) });
    tell(key, 'keeping', t`Saving…`);
    underWay++;
    router.post(
        to('change.turn', { change, way }),
        {},
        {
            ...WORK,
            onFinish: arrived,
            onSuccess: () => {
                put(key, (was) => ({ ...without(was), [other]: [...was[other], change] }));
                tell(key, 'kept', way === 'undo' ? t`Undone at ${clock()}` : t`Redone at ${clock()}`);
            },
            // it was changed again meanwhile, by whomever: it cannot be turned any more
            onError: () => {
                put(key, without);
                tell(key, 'refused', t`Not undone`);
            },
        },
    );
}

/** Which way Ctrl+Z, Ctrl+Shift+Z and Ctrl+Y go, outside of fields with letters. */
function wayOf(event: KeyboardEvent): Way | null {
    const typing =
        event.target instanceof HTMLElement &&
        event.target.matches('input:not([type=radio]):not([type=checkbox]), textarea, [contenteditable]');
    const pressed = event.key.toLowerCase();
    if (typing || !(event.ctrlKey || event.metaKey) || event.altKey || (pressed !== 'z' && pressed !== 'y')) {
        return null;
    }

    return pressed === 'y' || event.shiftKey ? 'redo' : 'undo';
}

/** @param key names the page */
export function useChanges(key: string): Changes {
    const stacks = useSyncExternalStore(listen, () => stacksOf(key));
    const sendOwn = useCallback<Changes['send']>(
        (method, url, data, done = {}) => send(key, method, url, data, done),
        [key],
    );
    useKeys((event) => {
        const way = wayOf(event);
        if (way !== null) {
            event.preventDefault();
            turn(key, way);
        }
    });

    return {
        state: stacks.state,
        canUndo: stacks.undo.length > 0,
        canRedo: stacks.redo.length > 0,
        undo: () => turn(key, 'undo'),
        redo: () => turn(key, 'redo'),
        send: sendOwn,
    };
}
