import { useEffect, useRef, type RefObject } from 'react';

/**
 * The focus comes back to $target when what was open is closed, unless it has gone somewhere of its own. Whoever
 * presses a link elsewhere has it there only after the blur that closed this, so it is waited for; and nothing scrolls
 * away under the pointer.
 */
export function useFocusBack(open: boolean, target: RefObject<HTMLElement | null>): void {
    const was = useRef(open);

    useEffect(() => {
        const closed = was.current && !open;
        was.current = open;
        if (!closed) {
            return;
        }
        const timer = setTimeout(() => {
            if (document.activeElement === document.body || document.activeElement === null) {
                target.current?.focus({ preventScroll: true });
            }
        });

        return () => clearTimeout(timer);
    }, [open, target]);
}
