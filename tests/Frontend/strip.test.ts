import { describe, expect, it } from 'vitest';
import { closer, following, frameByKey, further, stripOf, type Strip } from '../../resources/js/features/check/strip';
import type { Sequence } from '../../resources/js/types/views';

const sequence = {
    part: 'frames',
    pass: null,
    expected: '1-100',
    present: '1-39,41-90',
    damaged: '60',
    missing: '40,91-100',
    extra: '',
    rerender: '',
} as unknown as Sequence;

function drawn(view: [number, number] | null = null): Strip {
    const strip = stripOf(sequence, '20-22', view);
    if (strip === null) {
        throw new Error('no strip');
    }

    return strip;
}

describe('the frame strip', () => {
    it('goes from trouble to trouble, whichever part is shown', () => {
        for (const strip of [drawn(), drawn([30, 37])]) {
            expect([0, 20, 40, 60, 91].map((from) => strip.trouble(from, false))).toEqual([20, 40, 60, 91, null]);
            expect([100, 91, 20].map((from) => strip.trouble(from, true))).toEqual([91, 60, null]);
        }
        expect(frameByKey(drawn(), '.', 41)).toBe(60);
        expect(frameByKey(drawn(), ',', 41)).toBe(40);
    });

    it('goes closer around a frame, and further until all is shown', () => {
        let strip = drawn();
        const views: ([number, number] | null)[] = [];
        for (let times = 0; times < 5; times++) {
            strip = drawn(closer(strip, 98));
            views.push([strip.first, strip.last]);
        }
        expect(views).toEqual([
            [51, 100],
            [76, 100],
            [88, 100],
            [93, 100],
            [93, 100],
        ]);
        expect(further(strip, 98)).toEqual([85, 100]);
        expect(further(drawn([1, 50]), 1)).toBeNull();
    });

    it('follows a frame that is not on it, and stays where it is', () => {
        expect(following(drawn([11, 20]), 60)).toEqual([55, 64]);
        expect(following(drawn([11, 20]), 100)).toEqual([91, 100]);
        expect(following(drawn([11, 20]), 15)).toEqual([11, 20]);
    });

    it('says what is on it, worst first, and which frames can be seen', () => {
        expect(drawn().states).toEqual(['cut', 'missing', 'wrong', 'whole']);
        expect(drawn([1, 10]).states).toEqual(['whole']);
        expect(drawn([20, 22]).states).toEqual(['wrong']);
        expect([39, 40, 60].map((frame) => drawn().hasFile(frame))).toEqual([true, false, false]);
    });
});
