import { useEffect, useRef } from 'react';
import { take, type Cargo } from './carried';

/**
 * Begins with what was brought in on the page before, once this one stands.
 *
 * @param deliverable whose it must be; null: nothing is taken; none: it is for no deliverable
 */
export function useCarried<Kind extends keyof Cargo>(
    kind: Kind,
    begin: (what: Cargo[Kind]) => void,
    deliverable?: number | null,
): void {
    const latest = useRef(begin);
    useEffect(() => {
        latest.current = begin;
    });
    useEffect(() => {
        const what = deliverable === null ? null : take(kind, deliverable);
        if (what !== null) {
            latest.current(what);
        }
    }, [kind, deliverable]);
}
