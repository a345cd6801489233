import { useEffect, useRef, type RefObject } from 'react';

/** The focus comes back to $target when what was open is closed, unless it has gone somewhere of its own. */
export function useFocusBack(open: boolean, target: RefObject<HTMLElement | null>): void {
    const was = useRef(open);

    useEffect(() => {
        if (was.current && !open && (document.activeElement === document.body || document.activeElement === null)) {
            target.current?.focus();
        }
        was.current = open;
    }, [open, target]);
}
