import { useEffect, useRef } from 'react';

/**
 * Looks again and again, each time as long after the last one as that one says.
 *
 * @param look what is done; it says in how many milliseconds the next one is due, or null where it is over
 * @param first milliseconds until the first one; null: nothing is looked at
 */
export function usePolling(look: (stop: AbortSignal) => Promise<number | null>, first: number | null): void {
    const latest = useRef(look);
    useEffect(() => {
        latest.current = look;
    });

    useEffect(() => {
        if (first === null) {
            return;
        }
        const stop = new AbortController();
        let timer = setTimeout(function turn() {
            void latest.current(stop.signal).then((wait) => {
                if (wait !== null && !stop.signal.aborted) {
                    timer = setTimeout(turn, wait);
                }
            });
        }, first);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [first]);
}
