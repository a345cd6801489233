import { describe, expect, it } from 'vitest';
import { sent, typed } from '../../resources/js/features/course/judging';
import type { AssignmentForm } from '../../resources/js/types/views';

const form: AssignmentForm = {
    due: '2026-12-04T12:00',
    zone: 'Europe/Berlin',
    grace: 15,
    percent: '12.5',
    most: '50',
    closes: null,
    attempts: 3,
    counts: 'best',
    needed: 'files',
    share: 'part',
    bonus: '5',
    anonymous: true,
    groups: [
        { name: 'Picture', points: '20' },
        { name: '*', points: '80' },
    ],
    lines: [{ id: 'time.rate', points: '7' }],
    asked: [],
};

describe('how an assignment is judged', () => {
    it('is sent as it came where nothing was typed', () => {
        expect(sent(typed(form))).toEqual({
            due: '2026-12-04T12:00',
            anonymous: true,
            rules: {
                attempts: 3,
                counts: 'best',
                needed: 'files',
                late: { grace: 15, percent: '12.5', most: '50', closes: null },
                points: {
                    groups: { Picture: '20', '*': '80' },
                    lines: { 'time.rate': '7' },
                    share: 'part',
                    bonus: '5',
                },
            },
        });
    });

    it('leaves out what was emptied, and asks nothing of it', () => {
        const { rules, due } = sent({
            ...typed(form),
            due: '',
            attempts: ' ',
            grace: '',
            percent: '',
            most: ' ',
            closes: '',
            bonus: '',
            groups: { Picture: ' ', '*': '100' },
            lines: { 'time.rate': '' },
        });
        expect(due).toBeNull();
        expect(rules.attempts).toBeNull();
        expect(rules.late).toEqual({ grace: 0, percent: '0', most: '100', closes: null });
        expect(rules.points).toEqual({ groups: { '*': '100' }, lines: {}, share: 'part', bonus: '0' });
    });

    it('sends what is no number as it was typed, so that the server says what is wrong with it', () => {
        const { rules } = sent({ ...typed(form), attempts: 'two', closes: '7 days', grace: ' 10 ' });
        expect(rules.attempts).toBe('two');
        expect(rules.late.closes).toBe('7 days');
        expect(rules.late.grace).toBe(10);
    });
});
