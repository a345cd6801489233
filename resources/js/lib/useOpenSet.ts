import { useState } from 'react';

/** Which of many things are open, or chosen. */
export function useOpenSet<Key>(first: Iterable<Key> = []): {
    open: ReadonlySet<Key>;
    set: (keys: Key[], on: boolean) => void;
    clear: () => void;
} {
    const [open, setOpen] = useState<ReadonlySet<Key>>(() => new Set(first));

    return {
        open,
        set: (keys, on) =>
            setOpen((was) => {
                const now = new Set(was);
                keys.forEach((key) => (on ? now.add(key) : now.delete(key)));

                return now;
            }),
        clear: () => setOpen(new Set()),
    };
}
