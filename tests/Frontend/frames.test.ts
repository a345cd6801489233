import { describe, expect, test } from 'vitest';
import { bytes, counted, has, rendered, runs, span, touches } from '../../resources/js/lib/frames';

describe('frames', () => {
    test('ranges are read as the server writes them', () => {
        expect(runs('1-10,15,20-30x2')).toEqual([
            [1, 10, 1],
            [15, 15, 1],
            [20, 30, 2],
        ]);
        expect(runs('-5-5')).toEqual([[-5, 5, 1]]);
        expect(runs('-10--5x5')).toEqual([[-10, -5, 5]]);
        expect(runs('')).toEqual([]);
    });

    test('what is in a set, and what touches it', () => {
        const set = runs('1-9x4,20');
        expect([0, 1, 2, 5, 9, 10, 13, 20].filter((frame) => has(set, frame))).toEqual([1, 5, 9, 20]);
        expect(touches(set, 2, 4)).toBe(false);
        expect(touches(set, 2, 5)).toBe(true);
        expect(touches(set, -10, 0)).toBe(false);
        expect(touches(set, 10, 19)).toBe(false);
        expect(touches(set, 10, 99)).toBe(true);
        for (let from = -2; from < 24; from++) {
            for (let to = from; to < 24; to++) {
                const any = Array.from({ length: to - from + 1 }, (_, n) => from + n).some((frame) => has(set, frame));
                expect(touches(set, from, to), `${from} to ${to}`).toBe(any);
            }
        }
    });

    test('from the first to the last of several', () => {
        expect(span(runs('1001-1096'), runs('990,1100'))).toEqual([990, 1100]);
        expect(span([], [])).toBeNull();
    });

    test('bytes in three figures', () => {
        expect(
            [0, 999, 1000, 1234, 14_057_472, 99_950_000, 663_552_000, 999_600_000, 4_048_551_936, 2e15].map(bytes),
        ).toEqual(['0 B', '999 B', '1 KB', '1.23 KB', '14.1 MB', '100 MB', '664 MB', '1 GB', '4.05 GB', '2000 TB']);
    });
});

describe('frames to render', () => {
    const is = (rerender: string, missing: string) => rendered({ rerender, missing });

    test('are told apart by whether they were ever there', () => {
        expect(is('1-10', '')).toBe('all');
        expect(is('1-4', '7-9')).toBe('all');
        expect(is('7-9', '7-9')).toBe('none');
        expect(is('7-8', '1-20')).toBe('none');
        expect(is('1-9x2', '1-10')).toBe('none');
        expect(is('1-9x2', '1-9x2')).toBe('none');
        expect(is('1-10', '7-10')).toBe('some');
        expect(is('1-3,8', '8')).toBe('some');
        expect(is('1-9x2', '2-8x2')).toBe('all');
        expect(is('1-9x2', '3-7x2')).toBe('some');
        expect(is('-5--3', '-5--3')).toBe('none');
        expect(is('1-1000000', '1-1000000')).toBe('none');
    });

    test('counts are words of one or many', () => {
        expect([counted(1, 'file'), counted(0, 'file'), counted(1250, 'file'), counted(2, 'match', 'matches')]).toEqual(
            ['1 file', '0 files', '1,250 files', '2 matches'],
        );
    });
});
