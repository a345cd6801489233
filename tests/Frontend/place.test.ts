import { describe, expect, it } from 'vitest';
import { frameOf, pictureAt, pictureOf, timeOf } from '../../resources/js/features/movie/place';
import { rateOf, timecodeOf } from '../../resources/js/lib/timecode';
import type { Movie } from '../../resources/js/types/views';

const rate = (text: string) => rateOf(text) ?? expect.fail(text);

describe('the picture that a player shows', () => {
    it('is known by its time, at any rate', () => {
        for (const text of ['24', '24000/1001', '25', '60000/1001']) {
            for (const picture of [0, 1, 47, 9999, 107_892]) {
                expect(pictureAt(timeOf(picture, rate(text)), rate(text))).toBe(picture);
                expect(pictureAt((picture * rate(text).under) / rate(text).over, rate(text))).toBe(picture);
            }
        }
        expect(rateOf(null)).toBeNull();
        expect(rateOf('x')).toBeNull();
    });

    it('is called by the frame it was made from', () => {
        const movie = (frames: string | null) => ({ against: frames === null ? null : { frames } }) as unknown as Movie;
        expect(frameOf(movie('1001-1096'), 0)).toBe(1001);
        expect(frameOf(movie('1001-1010,1015-1020'), 12)).toBe(1017);
        expect(frameOf(movie('1-9x2'), 3)).toBe(7);
        expect(frameOf(movie(null), 3)).toBe(4);
        expect(pictureOf(movie('1001-1010,1015-1020'), 1017)).toBe(12);
        expect(pictureOf(movie('1-9x2'), 7)).toBe(3);
        expect(pictureOf(movie('1-9x2'), 8)).toBeNull();
    });

    it('has the time address that follows from the first', () => {
        expect(timecodeOf('01:00:00:00', 25, rate('24'))).toBe('01:00:01:01');
        expect(timecodeOf('23:59:59:23', 1, rate('24'))).toBe('00:00:00:00');
        // numbers are left out at each minute but the tenth
        expect(timecodeOf('00:00:59;29', 1, rate('30000/1001'))).toBe('00:01:00;02');
        expect(timecodeOf('00:09:59;29', 1, rate('30000/1001'))).toBe('00:10:00;00');
        expect(timecodeOf('00:00:00;00', 17_982, rate('30000/1001'))).toBe('00:10:00;00');
        expect(timecodeOf('00:00:59;59', 1, rate('60000/1001'))).toBe('00:01:00;04');
        expect(timecodeOf('soon', 1, rate('24'))).toBeNull();
    });
});
