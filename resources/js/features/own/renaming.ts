import { t } from '@lingui/core/macro';
/**
 * Renames and moves files of this machine through the browser. Nothing is written over: what would be in another's way
 * is put by first, then everything goes to its place. What is done stands in a journal beside the files, so that a page
 * that is closed midway can go on, and all of it can be undone as one.
 */
import { fileAt, folderAt, isAsListed, parted } from '../../lib/ownDisk';

/** As the server plans it; times are seconds since 1970. */
export type Planned = [from: string, to: string, size: number, modified: number];

/** From where, by way of where if something else is in the way, to where; bytes. */
type Step = [from: string, by: string | null, to: string, size: number];

export interface Journal {
    format: 'plain-ledger/moves';
    version: 1;
    began: string;
    /** putting by, putting in place, all done */
    phase: 'by' | 'place' | 'done';
    /** whether this is the way back */
    undoes: boolean;
    steps: Step[];
}

export class Stopped extends Error {}

/** Scans look into it nowhere, so that it is no stray. */
const ASIDE = '_set-aside';

const JOURNAL = 'moves.json';

const handleOf = async (root: FileSystemDirectoryHandle, path: string): Promise<FileSystemFileHandle | null> => {
    const [folder, name] = parted(path);
    try {
        return await (await folderAt(root, folder)).getFileHandle(name);
    } catch {
        return null;
    }
};

const sizeOf = async (root: FileSystemDirectoryHandle, path: string): Promise<number | null> =>
    (await (await handleOf(root, path))?.getFile())?.size ?? null;

const remove = async (root: FileSystemDirectoryHandle, path: string): Promise<void> => {
    const [folder, name] = parted(path);
    await (await folderAt(root, folder)).removeEntry(name);
};

type Movable = FileSystemFileHandle & { move?: (to: FileSystemDirectoryHandle, name: string) => Promise<void> };

/** Moves where the browser can; else a copy is made first, and only when it is whole the original goes. */
async function moved(root: FileSystemDirectoryHandle, from: string, to: string, size: number): Promise<void> {
    const handle: Movable | null = await handleOf(root, from);
    if (handle === null) {
        throw new Stopped(t`${from} is not there.`);
    }
    const [folder, name] = parted(to);
    const target = await folderAt(root, folder, true);
    try {
        if (handle.move !== undefined) {
            await handle.move(target, name);

            return;
        }
    } catch {
        // not of this disk, or not in this browser
    }
    const file = await handle.getFile();
    const copy = await target.getFileHandle(name, { create: true });
    await file.stream().pipeTo(await copy.createWritable());
    if ((await copy.getFile()).size !== size) {
        throw new Stopped(t`${to} could not be written whole; ${from} is as it was.`);
    }
    await remove(root, from);
}

const PIECE = 1 << 20;

async function areSame(root: FileSystemDirectoryHandle, one: string, other: string): Promise<boolean> {
    const [a, b] = [await (await handleOf(root, one))?.getFile(), await (await handleOf(root, other))?.getFile()];
    if (a === undefined || b?.size !== a.size) {
        return false;
    }
    for (let at = 0; at < a.size; at += PIECE) {
        const [x, y] = [
            new Uint8Array(await a.slice(at, at + PIECE).arrayBuffer()),
            new Uint8Array(await b.slice(at, at + PIECE).arrayBuffer()),
        ];
        if (x.some((byte, i) => byte !== y[i])) {
            return false;
        }
    }

    return true;
}

/** One file from here to there, whether or not it was begun before. */
async function take(
    root: FileSystemDirectoryHandle,
    from: string,
    to: string,
    size: number,
    resumed: boolean,
): Promise<void> {
    const [here, there] = [await sizeOf(root, from), await sizeOf(root, to)];
    if (here === null) {
        if (there === size) {
            return;
        }
        throw new Stopped(t`${from} is not there.`);
    }
    if (there === null) {
        await moved(root, from, to, size);

        return;
    }
    // a copy that was broken off: empty yet, or whole with its original still there
    if (resumed && (there === 0 || (await areSame(root, from, to)))) {
        await remove(root, to);
        await moved(root, from, to, size);

        return;
    }
    throw new Stopped(t`There is already a file ${to}. Nothing was written over.`);
}

async function write(root: FileSystemDirectoryHandle, journal: Journal): Promise<void> {
    const handle = await (await folderAt(root, ASIDE, true)).getFileHandle(JOURNAL, { create: true });
    const out = await handle.createWritable();
    await out.write(JSON.stringify(journal));
    await out.close();
}

/** What was last done in this folder; null where nothing was, or it was undone. */
export async function journalOf(root: FileSystemDirectoryHandle): Promise<Journal | null> {
    const file = await fileAt({ kind: 'folder', handle: root }, `${ASIDE}/${JOURNAL}`);
    try {
        const read = file === null ? null : (JSON.parse(await file.text()) as Partial<Journal>);

        return read?.format === 'plain-ledger/moves' && Array.isArray(read.steps) ? (read as Journal) : null;
    } catch {
        return null;
    }
}

/** Many disks take names for the same that differ in case alone. */
const folded = (path: string): string => path.toLowerCase();

/** What is another's target is put by first, or its own but for the case. */
function stepsOf(moves: [from: string, to: string, size: number][]): Step[] {
    const targets = new Set(moves.map(([, to]) => folded(to)));

    return moves.map(([from, to, size], at) => [
        from,
        targets.has(folded(from)) ? `${ASIDE}/.under-way/${at}` : null,
        to,
        size,
    ]);
}

/** Everything has to be as it was looked at, and nothing in the way, before anything is touched. */
async function expectAsPlanned(root: FileSystemDirectoryHandle, moves: Planned[]): Promise<void> {
    const from = new Set(moves.map(([each]) => folded(each)));
    for (const [path, to, size, modified] of moves) {
        const file = await fileAt({ kind: 'folder', handle: root }, path);
        if (file === null) {
            throw new Stopped(t`${path} is not in this folder. Is it the folder that was checked?`);
        }
        if (!isAsListed(file, size, modified)) {
            throw new Stopped(t`${path} was changed since it was looked at. Check again.`);
        }
        if (!from.has(folded(to)) && (await handleOf(root, to)) !== null) {
            throw new Stopped(t`There is already a file ${to}. Nothing was renamed.`);
        }
    }
}

/** Goes on with what a journal says, from wherever it was left. */
export async function goOn(
    root: FileSystemDirectoryHandle,
    journal: Journal,
    onStep: (done: number, all: number) => void,
    resumed = true,
): Promise<void> {
    const put = journal.steps.filter(([, by]) => by !== null);
    const all = put.length + journal.steps.length;
    if (journal.phase === 'by') {
        for (const [at, [from, by, , size]] of put.entries()) {
            await take(root, from, by ?? from, size, resumed);
            onStep(at + 1, all);
        }
        journal = { ...journal, phase: 'place' };
        await write(root, journal);
    }
    for (const [at, [from, by, to, size]] of journal.steps.entries()) {
        await take(root, by ?? from, to, size, resumed);
        onStep(put.length + at + 1, all);
    }
    await folderAt(root, ASIDE).then(
        (aside) => aside.removeEntry('.under-way', { recursive: true }).catch(() => undefined),
        () => undefined,
    );
    if (journal.undoes) {
        await remove(root, `${ASIDE}/${JOURNAL}`);
        await clear(root, journal);
    } else {
        await write(root, { ...journal, phase: 'done' });
    }
}

/** Folders that the way back has left empty. */
async function clear(root: FileSystemDirectoryHandle, journal: Journal): Promise<void> {
    const left = new Set<string>();
    for (const [from] of journal.steps) {
        for (let [folder] = parted(from); folder !== ''; [folder] = parted(folder)) {
            left.add(folder);
        }
    }
    // the deepest first; what still holds something stays
    for (const folder of [...left].sort((a, b) => b.length - a.length)) {
        await remove(root, folder).catch(() => undefined);
    }
    await remove(root, ASIDE).catch(() => undefined);
}

export async function carryOut(
    root: FileSystemDirectoryHandle,
    moves: Planned[],
    began: string,
    onStep: (done: number, all: number) => void,
): Promise<void> {
    await expectAsPlanned(root, moves);
    const steps = stepsOf(moves.map(([from, to, size]) => [from, to, size]));
    const journal: Journal = { format: 'plain-ledger/moves', version: 1, began, phase: 'by', undoes: false, steps };
    await write(root, journal);
    await goOn(root, journal, onStep, false);
}

/** All of it, or as much as was done, back to where it was. */
export async function undo(
    root: FileSystemDirectoryHandle,
    journal: Journal,
    onStep: (done: number, all: number) => void,
): Promise<void> {
    if (journal.phase !== 'done') {
        // half done is ended first: then every file is where the journal says
        await goOn(root, journal, onStep);
    }
    const back = stepsOf(journal.steps.map(([from, , to, size]) => [to, from, size]));
    const way: Journal = { ...journal, phase: 'by', undoes: true, steps: back };
    await write(root, way);
    await goOn(root, way, onStep);
}
