/** Lists a folder of the visitor's own disk, and sends of its files what the server asks for, and nothing else. */
import {
    createMD5,
    createSHA1,
    createSHA256,
    createSHA512,
    createXXHash128,
    createXXHash3,
    createXXHash64,
} from 'hash-wasm';
import type { Source } from '../../lib/ownDisk';
import { body, isOfSystem, type Answer, type Order, type Sent, type Told, type Wanted, type Why } from './messages';

interface Listed {
    path: string;
    size: number;
    time: number;
    open: () => Promise<File>;
}

/** Names that are sent at once. */
const NAMES = 2000;

/** Slices that are read at the same time. */
const ABREAST = 32;

/** How often a question that went wrong on its way is asked again, and after how many milliseconds. */
const TRIES = 8;
const PAUSE = 1000;

/** Bytes that a checksum is worked out of at a time. */
const PIECE = 4 << 20;

const HASHES: Record<string, () => ReturnType<typeof createMD5>> = {
    md5: createMD5,
    sha1: createSHA1,
    sha256: createSHA256,
    sha512: createSHA512,
    xxh64: createXXHash64,
    xxh3: createXXHash3,
    xxh128: createXXHash128,
};

const say = (told: Told) => postMessage(told);

class Refused extends Error {
    constructor(
        readonly why: Why,
        says = '',
    ) {
        super(says);
    }
}

type Init = Omit<RequestInit, 'headers'> & { headers?: Record<string, string> };

async function* walk(folder: FileSystemDirectoryHandle, path: string): AsyncGenerator<Listed> {
    for await (const entry of folder.values()) {
        if (isOfSystem(entry.name)) {
            continue;
        }
        if (entry.kind === 'directory') {
            yield* walk(entry, `${path}${entry.name}/`);
        } else {
            const handle = entry;
            const file = await handle.getFile();
            const { size, lastModified: time } = file;
            yield { path: `${path}${entry.name}`, size, time, open: () => handle.getFile() };
        }
    }
}

async function* listed(source: Source): AsyncGenerator<Listed> {
    if (source.kind === 'folder') {
        yield* walk(source.handle, '');

        return;
    }
    for (const { path, file } of source.files) {
        if (!isOfSystem(file.name)) {
            yield { path, size: file.size, time: file.lastModified, open: () => Promise.resolve(file) };
        }
    }
}

async function answerOf(response: Response): Promise<unknown> {
    const data: unknown = await response.json().catch(() => null);
    if (response.ok) {
        return data;
    }
    const says = typeof data === 'object' && data !== null && 'message' in data ? String(data.message) : '';
    throw new Refused(says === '' ? 'unexpected' : 'server', says);
}

const pause = (milliseconds: number) => new Promise((done) => setTimeout(done, milliseconds));

/** A connection that breaks is tried again; what the server refuses is not. */
async function ask<T>(order: Order, url: string, init: Init, tries = TRIES): Promise<T> {
    for (let tried = 1; ; tried++) {
        try {
            const headers = { Accept: 'application/json', 'X-XSRF-TOKEN': order.token, ...init.headers };

            return (await answerOf(await fetch(url, { ...init, headers }))) as T;
        } catch (trouble) {
            if (trouble instanceof Refused || tried >= tries) {
                throw trouble;
            }
            say({ kind: 'waiting' });
            await pause(PAUSE * tried);
        }
    }
}

const post = <T>(order: Order, url: string, data: unknown) =>
    ask<T>(order, url, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(data),
    });

/** All names, some thousands at a time. */
async function list(order: Order, at: string): Promise<{ files: Listed[]; answer: Answer }> {
    const files: Listed[] = [];
    let waiting: [string, number, number][] = [];
    for await (const file of listed(order.source)) {
        files.push(file);
        waiting.push([file.path, file.size, file.time]);
        if (waiting.length === NAMES) {
            await post(order, `${at}/names`, { files: waiting, all: false });
            waiting = [];
            say({ kind: 'listing', files: files.length });
        }
    }
    say({ kind: 'listing', files: files.length });
    if (files.length === 0) {
        throw new Refused('empty');
    }

    return { files, answer: await post<Answer>(order, `${at}/names`, { files: waiting, all: true }) };
}

/** A file as it was listed; another one by now is none. */
async function opened(file: Listed | undefined): Promise<File | null> {
    if (file === undefined) {
        return null;
    }
    try {
        const now = await file.open();

        return now.size === file.size && now.lastModified === file.time ? now : null;
    } catch {
        return null;
    }
}

async function read(file: File, offset: number, length: number): Promise<Uint8Array<ArrayBuffer> | null> {
    try {
        const bytes = new Uint8Array(await file.slice(offset, offset + length).arrayBuffer());

        return bytes.length === length ? bytes : null;
    } catch {
        return null;
    }
}

async function hash(file: File, algorithm: string): Promise<string | null> {
    const create = HASHES[algorithm];
    if (create === undefined) {
        return null;
    }
    const hasher = await create();
    hasher.init();
    for (let at = 0; at < file.size; at += PIECE) {
        const bytes = await read(file, at, Math.min(PIECE, file.size - at));
        if (bytes === null) {
            return null;
        }
        hasher.update(bytes);
    }

    return hasher.digest('hex');
}

/** Everything that is wanted of one file, or that it is gone. */
async function collect(
    files: Listed[],
    number: number,
    ranges: [number, number][],
): Promise<{ number: number; slices: [number, Uint8Array<ArrayBuffer>][] | null }> {
    const file = await opened(files[number - 1]);
    const slices: [number, Uint8Array<ArrayBuffer>][] = [];
    for (const [offset, length] of file === null ? [] : ranges) {
        const bytes = file === null ? null : await read(file, offset, length);
        if (bytes === null) {
            return { number, slices: null };
        }
        slices.push([offset, bytes]);
    }

    return { number, slices: file === null ? null : slices };
}

async function gather(files: Listed[], wanted: Wanted): Promise<Blob> {
    const sent: Sent = { slices: [], gone: [], sums: {} };
    const bytes: Uint8Array<ArrayBuffer>[] = [];
    const ranges = Object.entries(wanted.ranges);
    for (let at = 0; at < ranges.length; at += ABREAST) {
        const some = ranges.slice(at, at + ABREAST).map(([number, each]) => collect(files, Number(number), each));
        for (const { number, slices } of await Promise.all(some)) {
            if (slices === null) {
                sent.gone.push(number);
            }
            for (const [offset, slice] of slices ?? []) {
                sent.slices.push([number, offset, slice.length]);
                bytes.push(slice);
            }
        }
    }
    for (const [number, algorithm] of Object.entries(wanted.sums)) {
        const file = await opened(files[Number(number) - 1]);
        sent.sums[number] = file === null ? null : await hash(file, algorithm);
    }

    return body(sent, bytes);
}

/** Slices, as long as any are wanted. Where an answer was lost, the server is asked what it wants by now. */
async function send(order: Order, at: string, files: Listed[], first: Answer): Promise<void> {
    let answer = first;
    while (!('ended' in answer)) {
        say({ kind: 'reading', done: answer.done, all: answer.all });
        const headers = { 'Content-Type': 'application/octet-stream' };
        const parcel = await gather(files, answer);
        try {
            answer = await ask<Answer>(order, `${at}/slices`, { method: 'POST', headers, body: parcel }, 1);
        } catch (trouble) {
            if (trouble instanceof Refused) {
                throw trouble;
            }
            // it may have arrived all the same
            say({ kind: 'waiting' });
            await pause(PAUSE);
            answer = await ask<Answer>(order, at, {});
        }
    }
    say({ kind: 'ended', check: answer.check ?? null, document: answer.document ?? null });
}

onmessage = async ({ data: order }: MessageEvent<Order>) => {
    try {
        const { folder, whole } = order;
        const { token } = await post<{ token: string }>(order, order.begin, { folder, whole, now: Date.now() });
        const at = `/picked/${token}`;
        try {
            const { files, answer } = await list(order, at);
            await send(order, at, files, answer);
        } catch (trouble) {
            void fetch(at, { method: 'DELETE', headers: { 'X-XSRF-TOKEN': order.token } });
            throw trouble;
        }
    } catch (trouble) {
        const { why, message } = trouble instanceof Refused ? trouble : new Refused('unreachable');
        say({ kind: 'fault', why, says: message });
    }
};
