import { t } from '@lingui/core/macro';
import { useEffect, useRef, useState } from 'react';
import { sentence } from './trouble';

interface Question<Answer> {
    /** what came last; it stays until the next one comes */
    answer: Answer | null;
    fault: string | null;
    /** a question is on its way */
    asking: boolean;
}

/**
 * A question to the server that follows what somebody types: it waits until they pause, and one that is out of date is
 * taken back.
 *
 * @param key what it depends on; null: nothing is asked, and nothing is known
 */
export function useQuestion<Answer>(
    key: string | null,
    ask: (stop: AbortSignal) => Promise<Answer>,
    { wait = 150, otherwise = t`The server cannot be reached.`, keeps = true } = {},
): Question<Answer> {
    const [known, setKnown] = useState<Question<Answer>>({ answer: null, fault: null, asking: false });
    const latest = useRef(ask);
    useEffect(() => {
        latest.current = ask;
    });

    useEffect(() => {
        const stop = new AbortController();
        const timer = setTimeout(() => {
            if (key === null) {
                setKnown({ answer: null, fault: null, asking: false });

                return;
            }
            setKnown((was) => ({ ...was, asking: true }));
            const learn = (next: (was: Question<Answer>) => Question<Answer>) => {
                if (!stop.signal.aborted) {
                    setKnown(next);
                }
            };
            latest.current(stop.signal).then(
                (answer) => learn(() => ({ answer, fault: null, asking: false })),
                (trouble: unknown) => {
                    const fault = sentence(trouble, otherwise);
                    learn((was) => ({ answer: keeps ? was.answer : null, fault, asking: false }));
                },
            );
        }, wait);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [key, wait, otherwise, keeps]);

    return known;
}
