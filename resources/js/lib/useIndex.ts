import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useEffect, useSyncExternalStore } from 'react';
import type { BookIndex, IndexLine } from '../types/views';
import { answer } from './ask';
import { to } from './route';
import { sentence } from './trouble';

/** Milliseconds after which the index is asked for again on the way to another page; unchanged, it is not sent. */
const FRESH = 15_000;

export interface KnownIndex {
    production: number | null;
    /** null: not known yet */
    lines: IndexLine[] | null;
    fault: string | null;
}

/** The index outlasts the page, so that going from page to page asks for nothing that is known. */
let known: KnownIndex = { production: null, lines: null, fault: null };
let at = 0;
let asked = 0;
/** by which the server knows what is known here already */
let stamp = '';
const listeners = new Set<() => void>();

function learn(next: KnownIndex): void {
    known = next;
    listeners.forEach((listener) => listener());
}

/** Asks for the index of the production that is open. */
export function refreshIndex(): void {
    const { production } = known;
    if (production === null) {
        return;
    }
    at = Date.now();
    asked += 1;
    const mine = asked;
    const isLatest = () => mine === asked && known.production === production;
    read(production).then(
        (lines) => {
            if (isLatest()) {
                learn({ production, lines: lines ?? known.lines, fault: null });
            }
        },
        (trouble: unknown) => {
            if (isLatest()) {
                learn({ ...known, fault: sentence(trouble, t`The index cannot be read.`) });
            }
        },
    );
}

/** The lines; null: as they are known. */
async function read(production: number): Promise<IndexLine[] | null> {
    const headers = { Accept: 'application/json', ...(known.lines === null ? {} : { 'If-None-Match': stamp }) };
    const response = await fetch(to('index', { production }), { headers, cache: 'no-store' });
    if (response.status === 304) {
        return null;
    }
    const { lines } = await answer<BookIndex>(response);
    stamp = response.headers.get('ETag') ?? '';

    return lines;
}

/** Another person at the same browser knows nothing yet. */
export function forgetIndex(): void {
    learn({ production: null, lines: null, fault: null });
}

// whatever was done may have changed it
router.on('finish', ({ detail: { visit } }) => {
    if (visit.method !== 'get') {
        refreshIndex();
    }
});

function listen(listener: () => void): () => void {
    listeners.add(listener);

    return () => listeners.delete(listener);
}

/** The index of a production; null: of none, which leaves what is known for later. */
export function useIndex(production: number | null): KnownIndex {
    useEffect(() => {
        if (production === null) {
            return;
        }
        if (known.production !== production) {
            learn({ production, lines: null, fault: null });
            refreshIndex();
        } else if (Date.now() - at > FRESH) {
            refreshIndex();
        }
    }, [production]);
    const now = useSyncExternalStore(listen, () => known);

    return now.production === production ? now : { production, lines: null, fault: null };
}
