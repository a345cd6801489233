import { t } from '@lingui/core/macro';
import { has, runs, span, touches, type Run } from '../../lib/frames';
import type { Sequence } from '../../types/views';

export type FrameState = 'whole' | 'cut' | 'wrong' | 'missing' | 'extra' | 'none';

export const SAYS: Record<FrameState, string> = {
    whole: 'whole',
    cut: t`not whole`,
    wrong: t`whole, and not as asked`,
    missing: 'missing',
    extra: t`not asked for`,
    none: t`neither asked nor there`,
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
    /** the first frame of the next run, or of the one before, that is not as it should be; anywhere on the strip */
    trouble: (from: number, back: boolean) => number | null;
    /** whether there is a file of it that is whole */
    hasFile: (frame: number) => boolean;
    /** all that there is, of which a part may be shown */
    whole: [first: number, last: number];
    /** how frames stand that are shown */
    states: FrameState[];
}

type Sets = Record<(typeof WORST)[number], Run[]>;

/** Where runs begin that are not as they should be, in their order. */
function troubles(sets: Sets): number[] {
    const starts = [sets.damaged, sets.missing, sets.wrong, sets.extra].flat().map(([first]) => first);

    return [...new Set(starts)].sort((a, b) => a - b);
}

/** Null where neither a frame is asked nor one is there; $view is a part of it that is looked at. */
export function stripOf(sequence: Sequence, wrong: string, view: [number, number] | null = null): Strip | null {
    const sets: Sets = {
        present: runs(sequence.present),
        damaged: runs(sequence.damaged),
        missing: runs(sequence.missing),
        extra: runs(sequence.extra),
        wrong: runs(wrong),
    };
    const whole = span(runs(sequence.expected), sets.present);
    if (whole === null) {
        return null;
    }
    const [first, last] = view ?? whole;
    const starts = troubles(sets);
    const count = last - first + 1;
    const cells = Math.min(count, Math.floor(WIDTH / 4));

    const state = (from: number, until: number): FrameState => {
        const worst = WORST.find((set) => touches(sets[set], from, until));

        return worst === undefined ? 'none' : STATES[worst];
    };
    const frameAt = (cell: number) => first + Math.floor((cell * count) / cells);
    const drawn = new Set(Array.from({ length: cells }, (_, n) => state(frameAt(n), frameAt(n + 1) - 1)));

    return {
        first,
        last,
        count,
        cells,
        state,
        frameAt,
        x: (frame) => ((frame - first + 0.5) / count) * WIDTH,
        clamp: (frame) => Math.max(first, Math.min(last, frame)),
        trouble: (from, back) => {
            const found = back
                ? starts.findLast((start) => start < from)
                : starts.find((start) => start > from || (from === whole[0] && start === from));

            return found ?? null;
        },
        hasFile: (frame) => has(sets.present, frame) && !has(sets.damaged, frame),
        whole,
        states: WORST.map((set) => STATES[set]).filter((one) => drawn.has(one)),
    };
}

/** So many frames are shown at the least. */
const FEWEST = 8;

/** A half of what is shown, around a frame. */
export function closer(strip: Strip, around: number): [number, number] {
    const many = Math.max(FEWEST, Math.ceil(strip.count / 2));

    return within(strip, around - Math.floor(many / 2), many);
}

/** Twice of what is shown; null where that is all there is. */
export function further(strip: Strip, around: number): [number, number] | null {
    const many = strip.count * 2;

    return many >= strip.whole[1] - strip.whole[0] + 1 ? null : within(strip, around - Math.floor(many / 2), many);
}

/** So many frames from one on, moved to where there are some. */
function within({ whole }: Strip, from: number, many: number): [number, number] {
    const first = Math.max(whole[0], Math.min(from, whole[1] - many + 1));

    return [first, Math.min(whole[1], first + many - 1)];
}

/** Where a strip that is looked at closer goes, for a frame to be seen: nowhere where it is on it. */
export function following(strip: Strip, frame: number): [number, number] {
    const isOnIt = frame >= strip.first && frame <= strip.last;

    return isOnIt ? [strip.first, strip.last] : within(strip, frame - Math.floor(strip.count / 2), strip.count);
}

/** Where a key leads from a frame; null where it leads nowhere. */
export function frameByKey(strip: Strip, key: string, from: number): number | null {
    const page = Math.max(1, Math.round(strip.count / 10));
    const step = { ArrowRight: 1, ArrowLeft: -1, PageDown: page, PageUp: -page }[key];
    const [first, last] = strip.whole;
    if (step !== undefined) {
        return Math.max(first, Math.min(last, from + step));
    }
    const ends: Record<string, number | null> = {
        Home: first,
        End: last,
        '.': strip.trouble(from, false),
        ',': strip.trouble(from, true),
    };

    return ends[key] ?? null;
}

/** The numbers that stand below a strip. */
export function ticks({ first, last, count }: Strip): number[] {
    const quarter = (n: number) => first + Math.floor((n * count) / 4);

    return [...new Set([first, quarter(1), quarter(2), quarter(3), last])];
}
