import { useEffect, useState } from 'react';
import type { Plan } from '../../types/views';
import { tell } from '../../lib/ask';

/**
 * Another plan of a production, tried on the server as one types; null: what is kept is shown, and nothing is asked.
 * What came last stays until the next comes.
 */
export function useTriedPlan(
    production: number,
    asked: Record<string, string | number> | null,
): { tried: Plan | null; fault: string | null; setFault: (fault: string | null) => void } {
    const [tried, setTried] = useState<Plan | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const key = asked === null ? null : JSON.stringify(asked);

    useEffect(() => {
        if (key === null) {
            return;
        }
        const stop = new AbortController();
        const timer = setTimeout(() => {
            tell<{ plan: Plan | null }>(`/productions/${production}/plan`, JSON.parse(key), stop.signal).then(
                (answer) => {
                    setTried(answer.plan);
                    setFault(null);
                },
                (trouble: unknown) => {
                    if (!stop.signal.aborted) {
                        setFault(trouble instanceof Error ? trouble.message : 'This could not be planned.');
                    }
                },
            );
        }, 200);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [key, production]);

    return { tried, fault, setFault };
}
