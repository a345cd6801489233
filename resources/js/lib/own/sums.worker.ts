/** Reads all files of a folder of the visitor's own disk for their checksums, and sends those and nothing else. */
import { ask, post, Refused, type Asking } from './asking';
import { hash, listed, opened, type Listed } from './disk';
import type { SumsOrder, SumsProgress, SumsTold, SumsWanted } from './messages';

/** Files whose sums are sent at once, and milliseconds after which the server hears of it in any case. */
const FILES = 500;
const SILENCE = 5000;

/** How often the page is told. */
const TELL = 200;

/** Files that are named where they went. */
const MOST_GONE = 100;

type Summed = [string, number, number, Record<string, string>];

const say = (told: SumsTold) => postMessage(told);

async function list(order: SumsOrder): Promise<Listed[]> {
    const files: Listed[] = [];
    for await (const file of listed(order.source)) {
        files.push(file);
        if (files.length % FILES === 0) {
            say({ kind: 'listing', files: files.length });
        }
    }
    if (files.length === 0) {
        throw new Refused('empty');
    }

    return files;
}

/** What is sent from time to time. */
class Sending {
    private waiting: Summed[] = [];
    private gone: string[] = [];
    private sent = Date.now();
    private told = 0;
    private progress: SumsProgress;

    constructor(
        private readonly asking: Asking,
        private readonly at: string,
        files: Listed[],
    ) {
        const all_bytes = files.reduce((sum, file) => sum + file.size, 0);
        this.progress = { files: 0, all_files: files.length, bytes: 0, all_bytes };
    }

    async read(bytes: number): Promise<void> {
        this.progress.bytes += bytes;
        await this.tell();
    }

    async done(file: Listed, sums: Record<string, string> | null): Promise<void> {
        this.progress.files++;
        if (sums === null) {
            this.gone.push(file.path);
        } else {
            this.waiting.push([file.path, file.size, file.time, sums]);
        }
        await this.tell();
    }

    /** A file whose sums were sent before. */
    known(file: Listed): void {
        this.progress.files++;
        this.progress.bytes += file.size;
    }

    private async tell(): Promise<void> {
        const now = Date.now();
        if (now - this.told > TELL) {
            this.told = now;
            say({ kind: 'summing', ...this.progress });
        }
        if (this.waiting.length >= FILES || now - this.sent > SILENCE) {
            await this.send(false);
        }
    }

    async send(all: boolean): Promise<void> {
        const sums = this.waiting;
        this.waiting = [];
        const gone = all ? this.gone.slice(0, MOST_GONE) : [];
        await post(this.asking, this.at, { ...this.progress, sums, all, gone, now: Date.now() });
        this.sent = Date.now();
    }
}

async function make(order: SumsOrder): Promise<void> {
    const asking = { token: order.token, onWaiting: () => say({ kind: 'waiting' }) };
    const { algorithms, known } = await ask<SumsWanted>(asking, order.at, {});
    const earlier = new Map(known.map(([path, size, time]) => [path, `${size} ${time}`]));
    const files = await list(order);
    const sending = new Sending(asking, order.at, files);
    for (const file of files) {
        if (earlier.get(file.path) === `${file.size} ${Math.floor(file.time / 1000)}`) {
            sending.known(file);
        } else {
            const is = await opened(file);
            await sending.done(file, is === null ? null : await hash(is, algorithms, (bytes) => sending.read(bytes)));
        }
    }
    await sending.send(true);
    say({ kind: 'ended' });
}

onmessage = async ({ data: order }: MessageEvent<SumsOrder>) => {
    try {
        await make(order);
    } catch (trouble) {
        const { why, message } = trouble instanceof Refused ? trouble : new Refused('unreachable');
        say({ kind: 'fault', why, says: message });
    }
};
