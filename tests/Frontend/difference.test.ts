import { describe, expect, test } from 'vitest';
import { inWords, pickOut } from '../../resources/js/features/check/difference';

describe('what differs', () => {
    for (const [asked, found, marked] of [
        ['1920x1080', '1920x1081', ['1081']],
        ['1920x1080', '1920x1080', []],
        ['zip | zips', 'zip | piz', ['piz']],
        ['TC_010_light_v003', 'TC_010_lihgt_v003', ['lihgt']],
        ['1001-1096', '1001-1046', ['1046']],
        ['1001-1096', '1001-1040,1050', ['1040,1050']],
        ['RGBA', 'RGB', ['RGB']],
        ['24', '', []],
        ['1-9x2', '1-9', ['1-9']],
    ] as const) {
        test(`${found === '' ? 'nothing' : found} for ${asked}`, () => {
            const pieces = pickOut(asked, found);
            expect(pieces.map((piece) => piece.text).join('')).toBe(found);
            expect(pieces.filter((piece) => piece.differs).map((piece) => piece.text)).toEqual(marked);
        });
    }

    test('sizes in words', () => {
        expect(inWords('1920x1080', '960x540')).toBe('half');
        expect(inWords('1920x1080', '480x270')).toBe('a quarter');
        expect(inWords('2048x858', '1536x643')).toBe('three quarters');
        expect(inWords('1920x1080', '1080x1920')).toBe('sides exchanged');
        expect(inWords('960x540', '1920x1080')).toBe('double');
        expect(inWords('1920x1080', '1280x720')).toBeNull();
        expect(inWords('1920x1080', '960x1080')).toBeNull();
        expect(inWords('24', '25')).toBeNull();
    });
});
