import { has, runs, type Run } from '../../lib/frames';

/** Frames that are shown of many: every n-th, and those in trouble. */
export interface Chosen {
    frame: number;
    isWrong: boolean;
}

/** So many pictures are on one page. */
export const MOST = 240;

export function count(set: Run[]): number {
    return set.reduce((sum, [first, last, step]) => sum + Math.floor((last - first) / step) + 1, 0);
}

/** The frame at a place, counted through all runs. */
export function at(set: Run[], place: number): number | null {
    let left = place;
    for (const [first, last, step] of set) {
        const many = Math.floor((last - first) / step) + 1;
        if (left < many) {
            return first + left * step;
        }
        left -= many;
    }

    return null;
}

/** Every how manieth frame fills a page of about so many. */
export const usualStep = (set: Run[], pictures = 48): number => Math.max(1, Math.ceil(count(set) / pictures));

/** Every n-th frame that is there, the last one too; never more than a page holds. */
export function everyNth(present: string, wrong: string, step: number): Chosen[] {
    const [there, bad] = [runs(present), runs(wrong)];
    const many = count(there);
    const chosen: Chosen[] = [];
    for (let place = 0; place < many && chosen.length < MOST; place += step) {
        const frame = at(there, place);
        if (frame !== null) {
            chosen.push({ frame, isWrong: has(bad, frame) });
        }
    }
    const last = at(there, many - 1);
    if (last !== null && chosen.length < MOST && chosen.at(-1)?.frame !== last) {
        chosen.push({ frame: last, isWrong: has(bad, last) });
    }

    return chosen;
}

/** The frame before one, of those that are there; null before the first. */
export function before(present: string, frame: number): number | null {
    const under = runs(present)
        .filter(([first]) => first < frame)
        .map(([first, last, step]) => first + Math.floor((Math.min(last, frame - 1) - first) / step) * step);

    return under.length === 0 ? null : Math.max(...under);
}

/** How far two pictures of the same size are apart: mean over all colour values, in thousandths of the whole range. */
export function meanDifference(a: Uint8ClampedArray, b: Uint8ClampedArray): number {
    let sum = 0;
    for (let i = 0; i < a.length; i += 4) {
        for (let c = 0; c < 3; c++) {
            sum += Math.abs((a[i + c] ?? 0) - (b[i + c] ?? 0));
        }
    }

    return a.length === 0 ? 0 : Math.round((1000 * sum) / ((a.length / 4) * 3 * 255));
}

/** Where two pictures differ, so that little is seen too: the absolute difference, times a factor. */
export function difference(a: ImageData, b: ImageData, times: number): ImageData {
    const drawn = new ImageData(a.width, a.height);
    for (let i = 0; i < drawn.data.length; i += 4) {
        for (let c = 0; c < 3; c++) {
            drawn.data[i + c] = Math.abs((a.data[i + c] ?? 0) - (b.data[i + c] ?? 0)) * times;
        }
        drawn.data[i + 3] = 255;
    }

    return drawn;
}
