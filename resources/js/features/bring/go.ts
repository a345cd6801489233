import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { carry } from '../../lib/carried';
import { to } from '../../lib/route';
import type { BroughtKind } from '../../types/views';
import type { Lot } from './lots';

interface Way {
    /** what the button says */
    does: string;
    /** only those who decide may */
    decides?: boolean;
    go: (lot: Lot, production: number, deliverable: number) => void;
}

const first = (lot: Lot): File | null => lot.things[0]?.first.file ?? null;

/** The files of a delivery, checked where they lie: the page of its deliverable begins at once. */
function deliver(lot: Lot, deliverable: number): void {
    const files = lot.things.flatMap((thing) => thing.files);
    const tops = new Set(files.map(({ path }) => (path.includes('/') ? path.slice(0, path.indexOf('/')) : '')));
    const [top = ''] = tops;
    const isFolder = tops.size === 1 && top !== '';
    carry('folder', {
        deliverable,
        folder: isFolder ? top : '',
        source: {
            kind: 'files',
            files: isFolder ? files.map(({ path, file }) => ({ path: path.slice(top.length + 1), file })) : files,
        },
    });
    router.visit(to('frames', { deliverable }));
}

const DELIVERY: Way = { does: t`Check them from here`, go: (lot, _, deliverable) => deliver(lot, deliverable) };

const SCENES: Way = {
    does: t`Read the settings`,
    go: (lot, production) => {
        carry(
            'scenes',
            lot.things.flatMap(({ files }) => files.map(({ file }) => file)),
        );
        router.visit(to('scenes', { production }));
    },
};

const WAYS: Partial<Record<BroughtKind, Way>> = {
    settings: SCENES,
    'settings-archive': SCENES,
    pictures: DELIVERY,
    movie: DELIVERY,
    sound: DELIVERY,
    checksums: DELIVERY,
    list: {
        does: t`Read the list`,
        decides: true,
        go: (lot, production) => {
            const file = first(lot);
            if (file !== null) {
                carry('list', file);
                router.visit(to('list', { production }));
            }
        },
    },
    people: {
        does: t`Invite them`,
        decides: true,
        go: (lot, production) => {
            const lines = lot.people.map(({ name, email }) => (name === '' ? email : `${name}, ${email}`));
            carry('people', lines.join('\n'));
            router.visit(to('people', { production }));
        },
    },
    names: {
        does: t`Take these names over`,
        decides: true,
        go: (lot, production) => router.post(to('names.import', { production }), { map: first(lot) }),
    },
    log: {
        does: t`Read the log`,
        go: (lot, _, deliverable) => {
            const file = first(lot);
            if (file !== null) {
                carry('log', { deliverable, file });
                router.visit(to('render', { deliverable }));
            }
        },
    },
    'delivery-archive': {
        does: t`Hand it in`,
        go: (lot, _, deliverable) => {
            const file = first(lot);
            if (file !== null) {
                carry('archive', { deliverable, file });
                router.visit(to('frames', { deliverable }));
            }
        },
    },
};

/** What can be done with it; null: nothing, and its line says why. */
export const wayOf = (lot: Lot, decides: boolean): Way | null => {
    const way = WAYS[lot.kind] ?? null;

    return way?.decides === true && !decides ? null : way;
};
