import { describe, expect, test } from 'vitest';
import { arranged, type BoardFilter, type BoardRow } from '../../resources/js/features/board/board';

describe('a board', () => {
    const all: BoardFilter = { text: '', which: 'all', cause: null, specification: null };
    const row = (code: string, more: Partial<BoardRow> = {}): BoardRow => ({
        id: 1,
        code,
        title: '',
        owner: null,
        ownerId: null,
        specification: 'Lit frames',
        specificationId: 1,
        due: null,
        dueAt: null,
        verdict: null,
        holdsUp: null,
        marks: {},
        good: 0,
        all: 0,
        waived: 0,
        scene: true,
        files: false,
        checked: null,
        when: null,
        cause: null,
        causes: [],
        changed: null,
        stale: false,
        folio: 'frames',
        ...more,
    });
    const rows = [
        row('TC_10', { verdict: 'balanced', good: 8, all: 8, dueAt: 300, checked: 10, owner: 'Brida' }),
        row('TC_9', {
            verdict: 'unbalanced',
            good: 2,
            all: 8,
            dueAt: 200,
            checked: 30,
            owner: 'Ansel',
            causes: ['scale-below-full'],
            cause: 'half size',
            due: { at: '', words: '', late: true },
        }),
        row('TC_2', { specification: 'Titles' }),
        row('TC_1', { verdict: 'open', good: 4, all: 8, dueAt: 100, checked: 20, changed: 'is open now' }),
        row('TC_11', { verdict: 'unbalanced', good: 7, all: 8, owner: 'Ansel', causes: ['range-never-set'] }),
    ];
    const codes = (filter: Partial<BoardFilter>, by: Parameters<typeof arranged>[2] = 'code', down = false): string[] =>
        arranged(rows, { ...all, ...filter }, by, down).map((each) => each.code);

    test('in each order, of equals by their codes as people count', () => {
        expect(codes({})).toEqual(['TC_1', 'TC_2', 'TC_9', 'TC_10', 'TC_11']);
        expect(codes({}, 'trouble')).toEqual(['TC_9', 'TC_11', 'TC_1', 'TC_2', 'TC_10']);
        expect(codes({}, 'due')).toEqual(['TC_1', 'TC_9', 'TC_10', 'TC_2', 'TC_11']);
        expect(codes({}, 'owner')).toEqual(['TC_9', 'TC_11', 'TC_10', 'TC_1', 'TC_2']);
        expect(codes({}, 'checked')).toEqual(['TC_9', 'TC_1', 'TC_10', 'TC_2', 'TC_11']);
        expect(codes({}, 'balance')).toEqual(['TC_2', 'TC_9', 'TC_1', 'TC_11', 'TC_10']);
        expect(codes({}, 'balance', true)).toEqual(['TC_10', 'TC_11', 'TC_1', 'TC_9', 'TC_2']);
        // the rows that were given stay as they were
        expect(rows[0]?.code).toBe('TC_10');
    });

    test('only what is asked for', () => {
        expect(codes({ which: 'unbalanced' })).toEqual(['TC_9', 'TC_11']);
        expect(codes({ which: 'open' })).toEqual(['TC_1']);
        expect(codes({ which: 'balanced' })).toEqual(['TC_10']);
        expect(codes({ which: 'unchecked' })).toEqual(['TC_2']);
        expect(codes({ which: 'changed' })).toEqual(['TC_1']);
        expect(codes({ which: 'late' })).toEqual(['TC_9']);
        expect(codes({ cause: 'range-never-set' })).toEqual(['TC_11']);
        expect(codes({ specification: 'Titles' })).toEqual(['TC_2']);
        expect(codes({ text: ' HALF ' })).toEqual(['TC_9']);
        expect(codes({ text: 'ansel', which: 'unbalanced', cause: 'scale-below-full' })).toEqual(['TC_9']);
        expect(codes({ text: 'nobody' })).toEqual([]);
    });
});
