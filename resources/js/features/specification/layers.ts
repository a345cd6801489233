import { t } from '@lingui/core/macro';
import type { AskedLine, SetBy } from '../../types/views';

/** Which layer says what, in words. */

export const SET_BY: Record<SetBy, string> = {
    house: 'house',
    specification: t`this specification`,
    deliverable: t`this deliverable`,
};

/** Whose it is, behind “of”. */
export const OF_LAYER: Record<SetBy, string> = {
    house: t`the house`,
    specification: t`its specification`,
    deliverable: t`its specification`,
};

const ORDER: SetBy[] = ['house', 'specification', 'deliverable'];

/** What a line would be without the layer that set it; null where nothing lies below. */
export function below(line: AskedLine): { by: SetBy; value: string | null } | null {
    const lower = ORDER.slice(0, ORDER.indexOf(line.setBy)).filter((layer) => layer in line.layers);
    const by = lower.at(-1);

    return by === undefined ? null : { by, value: line.layers[by] ?? null };
}
