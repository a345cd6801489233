import { expect, test } from 'vitest';
import { spokenTime } from '../../resources/js/lib/spoken';

test('times as they are said', () => {
    expect([0, 59.4, 60, 61, 3599.6, 3600, 90061].map(spokenTime)).toEqual([
        '0 s',
        '59 s',
        '1 min',
        '1 min 1 s',
        '1 h',
        '1 h',
        '25 h 1 min',
    ]);
});
