import type { Source } from '../../lib/ownDisk';
import type { CheckDocument } from '../../types/views';

/** What the worker is told in the beginning. */
export interface Order {
    source: Source;
    /** the name of the folder */
    folder: string;
    /** pictures are sent whole where pixels are to be looked at */
    whole: boolean;
    /** where it is begun */
    begin: string;
    /** by which the server knows that a question comes from its own pages */
    token: string;
}

/** Why it came to nothing: as the server said, or in words of the page, which the worker has none of. */
export type Why = 'server' | 'unexpected' | 'empty' | 'unreachable';

/** What it says while it works. */
export type Told =
    | { kind: 'listing'; files: number }
    | { kind: 'reading'; done: number; all: number }
    | { kind: 'waiting' }
    | { kind: 'ended'; check: number | null; document: CheckDocument | null }
    | { kind: 'fault'; why: Why; says: string };

/** What the server wants next: ranges and checksums, by the number of the file. */
export interface Wanted {
    ranges: Record<string, [number, number][]>;
    sums: Record<string, string>;
    done: number;
    all: number;
    listed: boolean;
}
export type Answer = Wanted | { ended: true; check?: number; document?: CheckDocument };

/** What is sent of them. */
export interface Sent {
    slices: [file: number, offset: number, length: number][];
    gone: number[];
    sums: Record<string, string | null>;
}

/** One body: the length of its head in four bytes, the head, then all slices one behind another. */
export function body(sent: Sent, bytes: Uint8Array<ArrayBuffer>[]): Blob {
    const head = new TextEncoder().encode(JSON.stringify(sent));
    const length = new Uint8Array(4);
    new DataView(length.buffer).setUint32(0, head.length);

    return new Blob([length, head, ...bytes]);
}

/** The path below the folder that was chosen, whose name stands before it. */
export function below(relative: string): string {
    const at = relative.indexOf('/');

    return at === -1 ? relative : relative.slice(at + 1);
}

/** What is nobody's frame, and not worth a line. */
export const isOfSystem = (name: string): boolean =>
    name.startsWith('._') || ['.DS_Store', 'Thumbs.db', 'desktop.ini'].includes(name);

/** What the worker that makes sums is told in the beginning. */
export interface SumsOrder {
    source: Source;
    /** where the sums are wanted, and taken */
    at: string;
    token: string;
}

/** What is wanted, and what was told before it broke off: path, size, time in seconds. */
export interface SumsWanted {
    algorithms: string[];
    known: [string, number, number][];
}

/** How far the sums are. */
export interface SumsProgress {
    files: number;
    all_files: number;
    bytes: number;
    all_bytes: number;
}

/** What it says while it works. */
export type SumsTold =
    | { kind: 'listing'; files: number }
    | ({ kind: 'summing' } & SumsProgress)
    | { kind: 'waiting' }
    | { kind: 'ended' }
    | { kind: 'fault'; why: Why; says: string };
