import type { Dropped } from '../../lib/dropped';

/** One thing of a drop: a file, or the pictures that share a folder, a name and an ending. */
export interface Thing {
    label: string;
    files: Dropped[];
    first: Dropped;
}

/** Endings of what is delivered; what it truly is, the server says by its bytes. */
const MEDIA = /\.(png|jpe?g|jpe|tiff?|exr|sxr|tga|dpx|bmp|webp|mp4|m4v|mov|qt|avi|mkv|webm|mxf|wav)$/i;

export const MOST_THINGS = 300;

const NUMBER = /-?\d+(?=\.[A-Za-z0-9]+$)/;

function keyOf({ path }: Dropped): string {
    return MEDIA.test(path) ? path.replace(NUMBER, '#') : path;
}

/** Files that belong together by their names, in the order in which they came. */
export function things(files: Dropped[]): Thing[] {
    const found = new Map<string, Thing>();
    for (const file of files) {
        const key = keyOf(file);
        const known = found.get(key);
        if (known === undefined) {
            found.set(key, { label: file.path, files: [file], first: file });
        } else {
            known.files.push(file);
            known.label = key;
        }
    }

    return [...found.values()];
}

/** The folder above everything of a path; none: it lay beside the others. */
export const topFolder = (path: string): string => (path.includes('/') ? (path.split('/')[0] ?? '') : '');
