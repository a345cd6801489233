/** What was brought in on one page and is read on the next: files cannot go by an address. */
import type { Source } from './ownDisk';

export interface Cargo {
    scenes: File[];
    list: File;
    people: string;
    /** for one deliverable */
    log: { deliverable: number; file: File };
    archive: { deliverable: number; file: File };
    folder: { deliverable: number; source: Source; folder: string };
}

let hold: Partial<Cargo> = {};

export function carry<Kind extends keyof Cargo>(kind: Kind, what: Cargo[Kind]): void {
    hold = { ...hold, [kind]: what };
}

/** Whether there is something for a deliverable, while it stays where it is. */
export const isCarried = (kind: 'log' | 'archive' | 'folder', deliverable: number): boolean =>
    hold[kind]?.deliverable === deliverable;

/** It is taken once: whoever comes back later finds nothing. */
export function take<Kind extends keyof Cargo>(kind: Kind, deliverable?: number): Cargo[Kind] | null {
    const what = hold[kind];
    if (what === undefined) {
        return null;
    }
    const isOthers = deliverable !== undefined && (what as { deliverable?: number }).deliverable !== deliverable;
    if (isOthers) {
        return null;
    }
    hold = { ...hold, [kind]: undefined };

    return what;
}
