import type { AskedLine, Layer } from '../../types/book';

/** Which layer says what, in words. */

export const SET_BY: Record<Layer, string> = {
    house: 'house',
    specification: 'this specification',
    deliverable: 'this deliverable',
};

const ORDER: Layer[] = ['house', 'specification', 'deliverable'];

/** What a line would be without the layer that set it; null where nothing lies below. */
export function below(line: AskedLine): { by: Layer; value: string | null } | null {
    const lower = ORDER.slice(0, ORDER.indexOf(line.setBy)).filter((layer) => layer in line.layers);
    const by = lower.at(-1);

    return by === undefined ? null : { by, value: line.layers[by] ?? null };
}
