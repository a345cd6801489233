/** Lists a folder of the visitor's own disk, and sends of its files what the server asks for, and nothing else. */
import { ask, PAUSE, pause, post, Refused, type Asking } from '../../lib/own/asking';
import { hash, listed, opened, read, type Listed } from '../../lib/own/disk';
import { body, type Answer, type Order, type Sent, type Told, type Wanted } from './messages';

/** Names that are sent at once. */
const NAMES = 2000;

/** Slices that are read at the same time. */
const ABREAST = 32;

const say = (told: Told) => postMessage(told);

const asking = (order: Order): Asking => ({ token: order.token, onWaiting: () => say({ kind: 'waiting' }) });

/** All names, some thousands at a time. */
async function list(order: Order, at: string): Promise<{ files: Listed[]; answer: Answer }> {
    const files: Listed[] = [];
    let waiting: [string, number, number][] = [];
    for await (const file of listed(order.source)) {
        files.push(file);
        waiting.push([file.path, file.size, file.time]);
        if (waiting.length === NAMES) {
            await post(asking(order), `${at}/names`, { files: waiting, all: false });
            waiting = [];
            say({ kind: 'listing', files: files.length });
        }
    }
    say({ kind: 'listing', files: files.length });
    if (files.length === 0) {
        throw new Refused('empty');
    }

    return { files, answer: await post<Answer>(asking(order), `${at}/names`, { files: waiting, all: true }) };
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
        sent.sums[number] = file === null ? null : ((await hash(file, [algorithm]))?.[algorithm] ?? null);
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
            answer = await ask<Answer>(asking(order), `${at}/slices`, { method: 'POST', headers, body: parcel }, 1);
        } catch (trouble) {
            if (trouble instanceof Refused) {
                throw trouble;
            }
            // it may have arrived all the same
            say({ kind: 'waiting' });
            await pause(PAUSE);
            answer = await ask<Answer>(asking(order), at, {});
        }
    }
    say({ kind: 'ended', check: answer.check ?? null, document: answer.document ?? null });
}

onmessage = async ({ data: order }: MessageEvent<Order>) => {
    try {
        const { folder, whole } = order;
        const begun = { folder, whole, now: Date.now() };
        const { token } = await post<{ token: string }>(asking(order), order.begin, begun);
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
