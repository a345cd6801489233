import { expect, test } from '@playwright/test';
import { arranged, type BoardFilter, type BoardRow } from '../../resources/js/features/board/board';
import { inWords, pickOut } from '../../resources/js/features/check/difference';
import { bytes, counted, has, rendered, runs, span, touches } from '../../resources/js/lib/frames';
import { below } from '../../resources/js/features/specification/layers';
import { notesOf, verdictInWords } from '../../resources/js/features/check/notes';
import { blocks, isNumber, joined, moved, PIECES, written } from '../../resources/js/features/specification/pattern';
import { spokenTime } from '../../resources/js/lib/spoken';
import { asCsv } from '../../resources/js/lib/spreadsheet';
import type { AskedLine, CheckDocument } from '../../resources/js/types/views';

/** What the pages reckon themselves, without a page. */

const PATTERNS = [
    '{shot}_{task}_v{version:3}.{frame:4}.{ext}',
    '{shot}.{frame}.{ext}',
    'plain text',
    '',
    '{{braces}}_{shot}',
    '{date:yymmdd}_{resolution:lines}',
    '{pass}{pass}',
    'ä_{shot}_ö',
    '{a thing of ours}.{ext}',
];

test.describe('a pattern as blocks', () => {
    for (const pattern of PATTERNS) {
        test(`“${pattern}” is the same when written again`, () => {
            expect(written(blocks(pattern))).toBe(pattern);
        });
    }

    test('pieces and the text between them', () => {
        expect(blocks('{shot}_v{version:3}.{ext}')).toEqual([
            { kind: 'piece', name: 'shot', after: '' },
            { kind: 'text', text: '_v' },
            { kind: 'piece', name: 'version', after: '3' },
            { kind: 'text', text: '.' },
            { kind: 'piece', name: 'ext', after: '' },
        ]);
        expect(blocks('{ Shot }{FRAME: 4 }')).toEqual([
            { kind: 'piece', name: 'shot', after: '' },
            { kind: 'piece', name: 'frame', after: '4' },
        ]);
    });

    test('nothing typed is lost, closed or not', () => {
        for (const [typed, text] of [
            ['{shot', '{shot'],
            ['shot}', 'shot}'],
            ['{', '{'],
            ['{}', '{}'],
            ['{1x}', '{1x}'],
            ['a{b{c}d', 'a{b'],
        ] as const) {
            const first = blocks(typed)[0];
            expect(first?.kind === 'text' ? first.text : first?.name, typed).toBe(text);
        }
        expect(blocks('{{shot}}')).toEqual([{ kind: 'text', text: '{shot}' }]);
    });

    test('blocks move, and stay where there is no further', () => {
        const list = blocks('{shot}_{pass}');
        expect(written(moved(list, 2, 0))).toBe('{pass}{shot}_');
        expect(written(moved(list, 0, 2))).toBe('_{pass}{shot}');
        expect(moved(list, 0, -1)).toBe(list);
        expect(moved(list, 2, 3)).toBe(list);
        expect(moved(list, 9, 0)).toBe(list);
    });

    test('text beside text is one', () => {
        expect(
            joined([
                { kind: 'text', text: 'a' },
                { kind: 'text', text: '' },
                { kind: 'text', text: 'b' },
                { kind: 'piece', name: 'shot', after: '' },
                { kind: 'text', text: '' },
            ]),
        ).toEqual([
            { kind: 'text', text: 'ab' },
            { kind: 'piece', name: 'shot', after: '' },
        ]);
    });

    test('what can be filled with zeros', () => {
        const numbers = PIECES.filter((piece) => isNumber({ kind: 'piece', ...piece })).map((piece) => piece.name);
        expect(numbers).toEqual(['version', 'frame']);
        expect(isNumber({ kind: 'piece', name: 'date', after: 'yymmdd' })).toBe(false);
        expect(isNumber({ kind: 'text', text: '4' })).toBe(false);
    });
});

test.describe('what differs', () => {
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

test.describe('frames', () => {
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

test.describe('words beside lines', () => {
    const line = (setBy: AskedLine['setBy'], layers: AskedLine['layers']) => ({ setBy, layers }) as AskedLine;

    test('what lies below the layer that set a line', () => {
        expect(below(line('deliverable', { house: '24', specification: '25', deliverable: '30' }))).toEqual({
            by: 'specification',
            value: '25',
        });
        expect(below(line('deliverable', { house: '24', deliverable: '30' }))).toEqual({ by: 'house', value: '24' });
        expect(below(line('specification', { specification: '25' }))).toBeNull();
        // asked no more by the specification, and asked again
        expect(below(line('deliverable', { house: '24', specification: null, deliverable: '30' }))).toEqual({
            by: 'specification',
            value: null,
        });
        expect(below(line('house', { house: '24' }))).toBeNull();
    });

    test('each line knows the notes that speak of it', () => {
        const entries = [
            { part: 'frames', id: 'a' },
            { part: 'frames', id: 'b' },
            { part: 'frames', id: 'c', pass: 'mist' },
            { part: 'frames', id: 'c', pass: 'shadow' },
            { part: 'frames', id: 'c' },
            { part: 'movie', id: 'a' },
            { part: 'movie', id: 'b' },
        ];
        const document = {
            verdict: 'unbalanced',
            entries,
            causes: [
                { part: 'frames', says: 'One.', explains: ['a', 'b'] },
                { part: 'frames', says: 'Two.', explains: ['b', 'c'], pass: 'mist' },
                { part: 'movie', says: 'Three.', explains: ['a'] },
                { part: 'frames', says: 'Four.', explains: ['c'] },
            ],
        } as unknown as CheckDocument;
        // what is said of one pass stands on its line and on no other's; where a pass has no line of its own, on that
        // of all
        expect([...notesOf(document)]).toEqual([
            ['frames//a', [1]],
            ['frames//b', [1, 2]],
            ['frames/mist/c', [2, 4]],
            ['frames/shadow/c', [4]],
            ['frames//c', [4]],
            ['movie//a', [3]],
            ['movie//b', []],
        ]);
        document.causes = document.causes.slice(0, 3);
        expect(verdictInWords(document)).toBe('One. Two. And 1 more cause.');
        expect(verdictInWords({ verdict: 'balanced', causes: [] } as unknown as CheckDocument)).toMatch(/^It balances/);
        expect(verdictInWords({ verdict: 'open', causes: [] } as unknown as CheckDocument)).toMatch(
            /could not be read/,
        );
    });
});

test.describe('frames to render', () => {
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

test.describe('a board', () => {
    const all: BoardFilter = { text: '', which: 'all', cause: null, specification: null };
    const row = (code: string, more: Partial<BoardRow> = {}): BoardRow => ({
        id: 1,
        code,
        title: '',
        owner: null,
        specification: 'Lit frames',
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
