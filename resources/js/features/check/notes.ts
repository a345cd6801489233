import type { CheckDocument, Entry } from '../../types/views';

export const lineKey = (entry: Entry): string => `${entry.part}/${entry.pass ?? ''}/${entry.id}`;

/** By which a line is found in an address. */
export const lineId = (part: string, pass: string | undefined, id: string): string =>
    `line-${[part, pass ?? '', id].map((piece) => piece.replace(/[^A-Za-z0-9_.-]/g, '_')).join('-')}`;

/**
 * Which notes speak of which line. A line of one pass has the notes of that pass and those of all; one of all passes
 * has all of them.
 */
export function notesOf(document: CheckDocument): Map<string, number[]> {
    const notes = new Map<string, number[]>();
    const ownLines = new Set(document.entries.filter((entry) => entry.pass !== undefined).map(lineKey));
    for (const entry of document.entries) {
        const own = document.causes.flatMap((cause, at) => {
            const elsewhere =
                cause.pass !== undefined &&
                (entry.pass === undefined
                    ? ownLines.has(`${cause.part}/${cause.pass}/${entry.id}`)
                    : entry.pass !== cause.pass);

            return cause.part === entry.part && cause.explains.includes(entry.id) && !elsewhere ? [at + 1] : [];
        });
        notes.set(lineKey(entry), own);
    }

    return notes;
}
