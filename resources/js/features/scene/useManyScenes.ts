import { t } from '@lingui/core/macro';
import { useReducer } from 'react';
import { tell, tellFiles } from '../../lib/ask';
import { to } from '../../lib/route';
import { asText } from '../../lib/spreadsheet';
import { sentence } from '../../lib/trouble';
import type { FoundScenes, KeptScene } from '../../types/views';

/** Scenes that are checked in one request. */
const AT_ONCE = 10;

const MOST_FILES = 15;

const MOST_BYTES = 20_000_000;

interface State {
    found: FoundScenes | null;
    /** what came of each, by its place */
    done: Record<number, KeptScene>;
    busy: string | null;
    fault: string | null;
}

type Step =
    | { does: 'begin' }
    | { does: 'say'; busy: string | null }
    | { does: 'find'; found: FoundScenes | null }
    | { does: 'fail'; fault: string | null }
    | { does: 'point'; at: number; deliverable: number | null }
    | { does: 'finish'; done: Record<number, KeptScene> };

function next(state: State, step: Step): State {
    switch (step.does) {
        case 'begin':
            return { ...state, done: {}, fault: null };
        case 'say':
            return { ...state, busy: step.busy };
        case 'find':
            return { ...state, found: step.found };
        case 'fail':
            return { ...state, fault: step.fault };
        case 'point':
            return { ...state, found: pointed(state.found, step.at, step.deliverable) };
        case 'finish':
            return { ...state, done: { ...state.done, ...step.done } };
    }
}

function pointed(found: FoundScenes | null, at: number, deliverable: number | null): FoundScenes | null {
    return found === null
        ? null
        : { ...found, scenes: found.scenes.map((scene, n) => (n === at ? { ...scene, deliverable } : scene)) };
}

/** Files in batches that go over in one piece: a server takes so many at once, and so many bytes. */
function batches(files: File[]): [from: number, some: File[]][] {
    const found: [number, File[]][] = [];
    let some: File[] = [];
    files.forEach((file, at) => {
        const bytes = some.reduce((sum, each) => sum + each.size, file.size);
        if (some.length >= MOST_FILES || (some.length > 0 && bytes > MOST_BYTES)) {
            found.push([at - some.length, some]);
            some = [];
        }
        some.push(file);
    });

    return some.length === 0 ? found : [...found, [files.length - some.length, some]];
}

const NONE: FoundScenes = { scenes: [], refused: [], deliverables: [] };

type Take = (step: Step) => void;

/** What scenes the files have, and whose each is likely to be. */
async function readAll(production: number, list: File[], take: Take): Promise<FoundScenes> {
    const files = await Promise.all(list.map(asText));
    let all = NONE;
    for (const [from, some] of batches(files)) {
        const range = t`${from + 1} to ${from + some.length} of ${files.length}`;
        take({ does: 'say', busy: files.length > some.length ? t`Reading ${range} files…` : t`Reading the files…` });
        const answer = await tellFiles<FoundScenes>(to('scenes.read', { production }), 'files', some);
        all = {
            scenes: [...all.scenes, ...answer.scenes],
            refused: [...all.refused, ...answer.refused],
            deliverables: answer.deliverables,
        };
    }

    return all;
}

/** Checks the scenes whose place is known and that are not done, some at a time. */
async function checkAll(production: number, { found, done }: State, take: Take) {
    const order = (found?.scenes ?? [])
        .map((scene, at) => ({ at, scene }))
        .filter(({ scene, at }) => scene.deliverable !== null && done[at] === undefined);
    for (let from = 0; from < order.length; from += AT_ONCE) {
        const some = order.slice(from, from + AT_ONCE);
        take({ does: 'say', busy: t`Checking ${from + 1} to ${from + some.length} of ${order.length}…` });
        const scenes = some.map(({ scene: { deliverable, label, content } }) => ({ deliverable, label, content }));
        const answer = await tell<{ done: KeptScene[] }>(to('scenes.store', { production }), { scenes });
        const kept = some.map(({ at }, n) => [at, answer.done[n]] as const);
        take({ does: 'finish', done: Object.fromEntries(kept) as Record<number, KeptScene> });
    }
}

/** Scenes of many files: read first, then checked in turns, as far as it is known whose they are. */
export function useManyScenes(production: number) {
    const [state, take] = useReducer(next, { found: null, done: {}, busy: null, fault: null });
    const read = async (list: File[]) => {
        if (list.length === 0) {
            return;
        }
        take({ does: 'begin' });
        take({ does: 'say', busy: t`Reading the files…` });
        try {
            take({ does: 'find', found: await readAll(production, list, take) });
        } catch (trouble) {
            take({ does: 'find', found: null });
            take({ does: 'fail', fault: sentence(trouble, t`These files could not be read.`) });
        } finally {
            take({ does: 'say', busy: null });
        }
    };
    const check = async () => {
        take({ does: 'fail', fault: null });
        try {
            await checkAll(production, state, take);
        } catch (trouble) {
            const otherwise = t`These scenes could not be checked. What is marked is done; press again for the rest.`;
            take({ does: 'fail', fault: sentence(trouble, otherwise) });
        } finally {
            take({ does: 'say', busy: null });
        }
    };
    const point = (at: number, deliverable: number | null) => take({ does: 'point', at, deliverable });

    return { ...state, read, check, point };
}
