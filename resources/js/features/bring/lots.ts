import { t } from '@lingui/core/macro';
import { counted } from '../../lib/frames';
import type { BroughtFile, BroughtKind } from '../../types/views';
import { topFolder, type Thing } from './things';

/** What goes to one place together. */
export interface Lot {
    key: string;
    kind: BroughtKind;
    /** what is shown of it */
    label: string;
    says: string;
    things: Thing[];
    /** whose it seems to be, and whose it could be */
    deliverable: number | null;
    perhaps: number[];
    people: BroughtFile['people'];
}

const DELIVERED: readonly BroughtKind[] = ['pictures', 'movie', 'sound', 'checksums'];

const SETTINGS: readonly BroughtKind[] = ['settings', 'settings-archive'];

/** Lots of which there is one however many files there are: settings; a delivery of each deliverable or folder. */
function keyOf(thing: Thing, brought: BroughtFile, at: number): string {
    if (SETTINGS.includes(brought.kind)) {
        return 'settings';
    }
    if (DELIVERED.includes(brought.kind)) {
        return t`delivery ${brought.deliverable ?? t`in ${topFolder(thing.first.path)}`}`;
    }

    return brought.kind === 'of-system' ? 'of-system' : `${at}`;
}

function filesIn(things: Thing[]): number {
    return things.reduce((sum, { files }) => sum + files.length, 0);
}

function saysOf(lot: Lot, brought: BroughtFile): string {
    const files = counted(filesIn(lot.things), t`file`, t`files`);
    if (DELIVERED.includes(lot.kind)) {
        return filesIn(lot.things) === 1 ? t`${brought.says}, delivered` : t`${files} of a delivery`;
    }
    if (SETTINGS.includes(lot.kind) && lot.things.length > 1) {
        return t`${files} with settings of scenes`;
    }

    return lot.things.length > 1 ? `${files}: ${brought.says}` : brought.says;
}

/** A list of checksums says nothing of whose it is: it goes with what lies beside it. */
function withTheirs(found: [Thing, BroughtFile][]): [Thing, BroughtFile][] {
    const owners = new Map<string, number | null>();
    for (const [{ first }, { kind, deliverable }] of found) {
        if (DELIVERED.includes(kind) && kind !== 'checksums') {
            const folder = topFolder(first.path);
            owners.set(folder, owners.has(folder) && owners.get(folder) !== deliverable ? null : deliverable);
        }
    }

    return found.map(([thing, brought]) => {
        const beside = owners.get(topFolder(thing.first.path));

        return brought.kind === 'checksums' && brought.deliverable === null && beside !== undefined
            ? [thing, { ...brought, deliverable: beside }]
            : [thing, brought];
    });
}

export function lots(all: Thing[], found: BroughtFile[]): Lot[] {
    const made = new Map<string, Lot>();
    const pairs = all.flatMap((thing, at): [Thing, BroughtFile][] => {
        const brought = found[at];

        return brought === undefined ? [] : [[thing, brought]];
    });
    withTheirs(pairs).forEach(([thing, brought], at) => {
        const key = keyOf(thing, brought, at);
        const { kind, deliverable, perhaps, people } = brought;
        const begun = { key, kind, label: thing.label, says: '', things: [], deliverable, perhaps, people };
        const lot: Lot = made.get(key) ?? begun;
        lot.things.push(thing);
        lot.says = saysOf(lot, brought);
        made.set(key, lot);
    });

    return [...made.values()];
}

/** Whether it has to be said whose it is before anything can be done with it. */
export const needsOwner = ({ kind }: Lot): boolean =>
    DELIVERED.includes(kind) || kind === 'log' || kind === 'delivery-archive';
