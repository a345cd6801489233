import { describe, expect, test } from 'vitest';
import { notesOf } from '../../resources/js/features/check/notes';
import { verdictInWords } from '../../resources/js/lib/verdict';
import { below } from '../../resources/js/features/specification/layers';
import type { AskedLine, CheckDocument } from '../../resources/js/types/views';

describe('words beside lines', () => {
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
