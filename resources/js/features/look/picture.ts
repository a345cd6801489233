import { to } from '../../lib/route';

/** Whose picture it is: a frame of a check, or the one that was approved for it. */
export interface Shown {
    check: number;
    part: string;
    pass: string | null;
    frame: number;
    layer: string;
    approved?: boolean;
    /** of an earlier check: it is shown as it was seen, though its file may be another by now */
    earlier?: boolean;
}

/** Where a picture comes from. */
export function pictureOf(shown: Shown, large = false): string {
    const { check, part, pass, frame, layer, approved = false, earlier = false } = shown;

    return to(
        'check.picture',
        { check, part, frame },
        {
            ...(pass === null ? {} : { pass }),
            ...(layer === '' ? {} : { layer }),
            ...(large ? { size: 'large' } : {}),
            ...(approved ? { of: 'approved' } : {}),
            ...(earlier ? { even: 'gone' } : {}),
        },
    );
}
