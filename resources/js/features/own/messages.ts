import type { Source } from '../../lib/ownDisk';
import type { Why } from '../../lib/own/words';
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
