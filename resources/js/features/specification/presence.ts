import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import type { AskedState } from '../../types/views';
import { tell } from '../../lib/ask';

const EVERY = 8000;

/**
 * Who else looks at what is asked, and what they changed: the page is read anew when the state is another than its own.
 *
 * @returns names of the others, and a sentence of the last change that was not made here
 */
export function usePresence(
    deliverable: number,
    state: AskedState,
    me: string | undefined,
): { others: string[]; changed: string | null } {
    const [others, setOthers] = useState<string[]>([]);
    const [changed, setChanged] = useState<string | null>(null);
    const token = useRef(state.token);
    useEffect(() => {
        token.current = state.token;
    }, [state.token]);

    useEffect(() => {
        const stop = new AbortController();
        const look = () => {
            if (document.hidden) {
                return;
            }
            tell<{ others: string[]; state: AskedState }>(
                `/deliverables/${deliverable}/presence`,
                {},
                stop.signal,
            ).then(
                (answer) => {
                    setOthers(answer.others);
                    if (answer.state.token !== token.current) {
                        token.current = answer.state.token;
                        setChanged(
                            answer.state.by === null || answer.state.by === me
                                ? 'Changed in another window; this is how it stands now.'
                                : `${answer.state.by} changed this at ${answer.state.at ?? ''}; ` +
                                      'this is how it stands now.',
                        );
                        router.reload({ only: ['asked', 'deliverable'] });
                    }
                },
                () => undefined,
            );
        };
        look();
        const timer = setInterval(look, EVERY);

        return () => {
            clearInterval(timer);
            stop.abort();
        };
    }, [deliverable, me]);

    return { others, changed };
}
