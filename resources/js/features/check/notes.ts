import type { CheckDocument, Entry } from '../../types/views';

export const lineKey = (entry: Entry): string => `${entry.part}/${entry.pass ?? ''}/${entry.id}`;

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

/** The verdict as it would be said: the causes that explain most, at most two of them. */
export function verdictInWords(document: CheckDocument): string {
    const says = document.causes.slice(0, 2).map((cause) => cause.says);
    const more = document.causes.length - says.length;
    if (says.length > 0) {
        return `${says.join(' ')}${more > 0 ? ` And ${more} more ${more === 1 ? 'cause' : 'causes'}.` : ''}`;
    }

    return document.verdict === 'balanced'
        ? 'It balances: every line that must agree does.'
        : 'Nothing disagrees, and something that must be known could not be read.';
}
