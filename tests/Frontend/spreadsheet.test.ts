import { expect, test } from 'vitest';
import { asCsv } from '../../resources/js/lib/spreadsheet';

test('cells as separated values', () => {
    expect(
        asCsv([
            ['shot', 'fps'],
            ['a, b', '2"4'],
            ['line\nbreak', ''],
        ]),
    ).toBe('shot,fps\r\n"a, b","2""4"\r\n"line\nbreak",');
    expect(asCsv([])).toBe('');
});
