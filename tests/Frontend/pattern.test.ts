import { describe, expect, test } from 'vitest';
import { blocks, isNumber, joined, moved, PIECES, written } from '../../resources/js/features/specification/pattern';

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

describe('a pattern as blocks', () => {
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
