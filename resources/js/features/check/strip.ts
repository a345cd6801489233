import { runs, span, touches, type Run } from '../../lib/frames';
import type { Sequence } from '../../types/views';

export type FrameState = 'whole' | 'cut' | 'wrong' | 'missing' | 'extra' | 'none';

export const SAYS: Record<FrameState, string> = {
    whole: 'whole',
    cut: 'not whole',
    wrong: 'whole, and not as asked',
    missing: 'missing',
    extra: 'not asked for',
    none: 'neither asked nor there',
};

/** Worst first: a cell shows its worst frame. */
const WORST = ['damaged', 'missing', 'wrong', 'extra', 'present'] as const;

const STATES: Record<(typeof WORST)[number], FrameState> = {
    damaged: 'cut',
    missing: 'missing',
    wrong: 'wrong',
    extra: 'extra',
    present: 'whole',
};

export const WIDTH = 700;

/** Frames on a strip: where each lies, and how it stands. */
export interface Strip {
    first: number;
    last: number;
    count: number;
    cells: number;
    /** how a run of frames stands, by its worst */
    state: (from: number, until: number) => FrameState;
    /** the first frame of a cell */
    frameAt: (cell: number) => number;
    /** the middle of a frame */
    x: (frame: number) => number;
    clamp: (frame: number) => number;
}

/** Null where neither a frame is asked nor one is there. */
export function stripOf(sequence: Sequence, wrong: string): Strip | null {
    const sets: Record<(typeof WORST)[number], Run[]> = {
        present: runs(sequence.present),
        damaged: runs(sequence.damaged),
        missing: runs(sequence.missing),
        extra: runs(sequence.extra),
        wrong: runs(wrong),
    };
    const ends = span(runs(sequence.expected), sets.present);
    if (ends === null) {
        return null;
    }
    const [first, last] = ends;
    const count = last - first + 1;
    const cells = Math.min(count, Math.floor(WIDTH / 4));

    return {
        first,
        last,
        count,
        cells,
        state: (from, until) => {
            const worst = WORST.find((set) => touches(sets[set], from, until));

            return worst === undefined ? 'none' : STATES[worst];
        },
        frameAt: (cell) => first + Math.floor((cell * count) / cells),
        x: (frame) => ((frame - first + 0.5) / count) * WIDTH,
        clamp: (frame) => Math.max(first, Math.min(last, frame)),
    };
}

/** Where a key leads from a frame; null where it leads nowhere. */
export function frameByKey(strip: Strip, key: string, from: number): number | null {
    const page = Math.max(1, Math.round(strip.count / 10));
    const step = { ArrowRight: 1, ArrowLeft: -1, PageDown: page, PageUp: -page }[key];
    if (step !== undefined) {
        return strip.clamp(from + step);
    }

    return { Home: strip.first, End: strip.last }[key] ?? null;
}

/** The numbers that stand below a strip. */
export function ticks({ first, last, count }: Strip): number[] {
    const quarter = (n: number) => first + Math.floor((n * count) / 4);

    return [...new Set([first, quarter(1), quarter(2), quarter(3), last])];
}
