/** What the worker that makes checksums and the page say to each other. */
import type { Source } from '../ownDisk';
import type { Why } from './words';

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
