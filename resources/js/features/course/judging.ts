import type { AssignmentForm } from '../../types/views';

/** The form as it is typed: numbers are texts until they are sent. */
export interface Judging {
    due: string;
    anonymous: boolean;
    attempts: string;
    counts: AssignmentForm['counts'];
    needed: AssignmentForm['needed'];
    share: AssignmentForm['share'];
    grace: string;
    percent: string;
    most: string;
    closes: string;
    bonus: string;
    groups: Record<string, string>;
    lines: Record<string, string>;
}

const text = (number: number | null): string => (number === null ? '' : String(number));

export function typed(form: AssignmentForm): Judging {
    return {
        due: form.due,
        anonymous: form.anonymous,
        attempts: text(form.attempts),
        counts: form.counts,
        needed: form.needed,
        share: form.share,
        grace: String(form.grace),
        percent: form.percent,
        most: form.most,
        closes: text(form.closes),
        bonus: form.bonus,
        groups: Object.fromEntries(form.groups.map(({ name, points }) => [name, points])),
        lines: Object.fromEntries(form.lines.map(({ id, points }) => [id, points])),
    };
}

/** A whole number, or the text itself, so that the server says what is wrong with it. */
const whole = (value: string): number | string | null => {
    const plain = value.trim();
    if (plain === '') {
        return null;
    }

    return /^\d{1,6}$/.test(plain) ? Number(plain) : plain;
};

const given = (points: Record<string, string>): Record<string, string> =>
    Object.fromEntries(Object.entries(points).filter(([, value]) => value.trim() !== ''));

/** As the server takes it. */
export function sent(form: Judging) {
    return {
        due: form.due === '' ? null : form.due,
        anonymous: form.anonymous,
        rules: {
            attempts: whole(form.attempts),
            counts: form.counts,
            needed: form.needed,
            late: {
                grace: whole(form.grace) ?? 0,
                percent: form.percent.trim() === '' ? '0' : form.percent,
                most: form.most.trim() === '' ? '100' : form.most,
                closes: whole(form.closes),
            },
            points: {
                groups: given(form.groups),
                lines: given(form.lines),
                share: form.share,
                bonus: form.bonus.trim() === '' ? '0' : form.bonus,
            },
        },
    };
}
