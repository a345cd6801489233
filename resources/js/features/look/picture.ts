import { to } from '../../lib/route';

/** Whose picture it is: a frame of a check, or the one that was approved for it. */
export interface Shown {
    check: number;
    part: string;
    pass: string | null;
    frame: number;
    layer: string;
    approved?: boolean;
}

/** Where a picture comes from. */
export function pictureOf({ check, part, pass, frame, layer, approved = false }: Shown, large = false): string {
    return to(
        'check.picture',
        { check, part, frame },
        {
            ...(pass === null ? {} : { pass }),
            ...(layer === '' ? {} : { layer }),
            ...(large ? { size: 'large' } : {}),
            ...(approved ? { of: 'approved' } : {}),
        },
    );
}
