import { turned } from '../../resources/js/lib/sphere';
import { describe, expect, it } from 'vitest';
import { at, before, count, everyNth, meanDifference, MOST, usualStep } from '../../resources/js/features/look/look';
import { runs } from '../../resources/js/lib/frames';

describe('frames that are seen of many', () => {
    it('counts and finds them through gaps and steps', () => {
        const set = runs('1-5,10-20x5,30');
        expect(count(set)).toBe(9);
        expect([0, 4, 5, 7, 8, 9].map((place) => at(set, place))).toEqual([1, 5, 10, 20, 30, null]);
    });

    it('takes every n-th of those that are there, the last one too, and marks trouble', () => {
        expect(everyNth('1001-1010', '1004,1010', 3)).toEqual([
            { frame: 1001, isWrong: false },
            { frame: 1004, isWrong: true },
            { frame: 1007, isWrong: false },
            { frame: 1010, isWrong: true },
        ]);
        expect(everyNth('1-5', '', 3).map(({ frame }) => frame)).toEqual([1, 4, 5]);
        expect(everyNth('', '', 1)).toEqual([]);
    });

    it('never shows more than a page holds, however many there are', () => {
        expect(everyNth('1-1000000', '', 1)).toHaveLength(MOST);
        expect(usualStep(runs('1-1000000'))).toBe(20834);
        expect(usualStep(runs('1-10'))).toBe(1);
    });

    it('knows the frame before one, over a gap', () => {
        expect(before('1-5,10-20x5', 10)).toBe(5);
        expect(before('1-5,10-20x5', 19)).toBe(15);
        expect(before('1-5', 1)).toBeNull();
    });

    it('tells the mean difference of colours in thousandths, whatever the alpha is', () => {
        const of = (...values: number[]) => new Uint8ClampedArray(values);
        expect(meanDifference(of(0, 0, 0, 255), of(255, 255, 255, 0))).toBe(1000);
        expect(meanDifference(of(10, 20, 30, 255, 0, 0, 0, 0), of(10, 20, 30, 255, 51, 0, 0, 0))).toBe(33);
        expect(meanDifference(of(), of())).toBe(0);
    });
});

describe('a view all around', () => {
    it('goes round across, ends at the poles, and is never wider than it can show', () => {
        const aim = { across: 170, up: 80, open: 90 };
        expect(turned(aim, 20, 20, 20)).toEqual({ across: -170, up: 90, open: 90 });
        expect(turned({ ...aim, across: -179 }, -2, -200, -500)).toEqual({ across: 179, up: -90, open: 20 });
    });
});
