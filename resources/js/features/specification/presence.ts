import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import { tell } from '../../lib/ask';
import { to } from '../../lib/route';
import { usePolling } from '../../lib/usePolling';
import type { AskedState, Presence } from '../../types/views';

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

    const compare = (now: AskedState) => {
        if (now.token === token.current) {
            return;
        }
        token.current = now.token;
        setChanged(
            now.by === null || now.by === me
                ? t`Changed in another window; this is how it stands now.`
                : t`${now.by} changed this at ${now.at ?? ''}; this is how it stands now.`,
        );
        router.reload({ only: ['asked', 'deliverable'] });
    };
    usePolling(async (stop) => {
        if (!document.hidden) {
            const url = to('presence', { deliverable });
            await tell<Presence>(url, {}, stop).then(
                (answer) => {
                    setOthers(answer.others);
                    compare(answer.state);
                },
                () => undefined,
            );
        }

        return EVERY;
    }, 0);

    return { others, changed };
}
