/** Frame ranges for drawing only: the sets themselves are computed by the server. */

export type Run = [first: number, last: number, step: number];

/** Runs of a range text as the server writes it: `1-10,15,20-30x2`. */
export function runs(text: string): Run[] {
    return text
        .split(',')
        .map((piece) => /^(-?\d+)(?:-(-?\d+))?(?:x(\d+))?$/.exec(piece.trim()))
        .filter((found) => found !== null)
        .map((found) => [Number(found[1]), Number(found[2] ?? found[1]), Number(found[3] ?? 1)]);
}

export function has(set: Run[], frame: number): boolean {
    return set.some(([first, last, step]) => frame >= first && frame <= last && (frame - first) % step === 0);
}

/** Whether any frame from $from to $to is in the set. */
export function touches(set: Run[], from: number, to: number): boolean {
    return set.some(([first, last, step]) => {
        const start = Math.max(from, first);
        const next = first + Math.ceil((start - first) / step) * step;

        return next <= Math.min(to, last);
    });
}

export function span(...sets: Run[][]): [number, number] | null {
    const ends = sets.flat();
    if (ends.length === 0) {
        return null;
    }

    return [Math.min(...ends.map((run) => run[0])), Math.max(...ends.map((run) => run[1]))];
}

/** Whether frames that are to be rendered were ever there: all, none, or some of them. */
export function rendered(sequence: { rerender: string; missing: string }): 'all' | 'none' | 'some' {
    const missing = runs(sequence.missing);
    const wanted = runs(sequence.rerender);
    const within = (frames: (run: Run) => boolean): Run[] => wanted.filter(frames);
    // runs without a step are compared whole, however long they are
    const lacks = ([first, last, step]: Run): boolean =>
        step === 1 ? touches(missing, first, last) : range(first, last, step).some((frame) => has(missing, frame));
    const lacksAll = ([first, last, step]: Run): boolean =>
        missing.some((hole) => hole[2] === 1 && hole[0] <= first && last <= hole[1]) ||
        range(first, last, step).every((frame) => has(missing, frame));
    if (within(lacks).length === 0) {
        return 'all';
    }

    return within(lacksAll).length === wanted.length ? 'none' : 'some';
}

function range(first: number, last: number, step: number): number[] {
    return Array.from(
        { length: Math.min(10_000, Math.floor((last - first) / step) + 1) },
        (_, at) => first + at * step,
    );
}

/** A count in words: “1 file”, “3 files”. */
export function counted(count: number, one: string, many = `${one}s`): string {
    return `${count.toLocaleString('en')} ${count === 1 ? one : many}`;
}

/** Bytes with three figures, decimal prefixes. */
export function bytes(size: number): string {
    const units = ['B', 'KB', 'MB', 'GB', 'TB'];
    let at = 0;
    while (size >= 999.5 && at < units.length - 1) {
        size /= 1000;
        at++;
    }

    return `${at === 0 || size >= 99.95 ? Math.round(size) : Number(size.toPrecision(3))} ${units[at] ?? ''}`;
}
