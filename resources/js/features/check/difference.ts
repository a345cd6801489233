import { t } from '@lingui/core/macro';
/** A found value in pieces, those that differ from what is asked picked out. */
export interface Piece {
    text: string;
    differs: boolean;
}

const WORDS = /(\d+|[A-Za-z]+|[^A-Za-z0-9]+)/g;

export function pickOut(asked: string, found: string): Piece[] {
    const a = asked.match(WORDS) ?? [];
    const b = found.match(WORDS) ?? [];
    if (a.length === b.length) {
        return b.map((text, at) => ({ text, differs: text !== a[at] }));
    }
    // what stands at both ends alike is not what differs
    const head = alikeFrom(a, b);
    const tail = alikeFrom(a.slice(head).reverse(), b.slice(head).reverse());
    const middle = b.slice(head, b.length - tail).join('');
    // where something is missing, nothing that stands there is wrong: all of it is shown as another
    const pieces: Piece[] =
        middle === ''
            ? [{ text: found, differs: true }]
            : [
                  { text: b.slice(0, head).join(''), differs: false },
                  { text: middle, differs: true },
                  { text: b.slice(b.length - tail).join(''), differs: false },
              ];

    return pieces.filter((piece) => piece.text !== '');
}

/** How many words at the beginning are the same. */
function alikeFrom(a: string[], b: string[]): number {
    const first = b.findIndex((word, at) => word !== a[at]);

    return first === -1 ? b.length : first;
}

/** How a wrong size stands to the asked one, where a word says it. */
export function inWords(asked: string, found: string): string | null {
    const size = /^(\d+)x(\d+)$/;
    const a = size.exec(asked);
    const b = size.exec(found);
    if (a === null || b === null) {
        return null;
    }
    const across = Number(b[1]) / Number(a[1]);
    const down = Number(b[2]) / Number(a[2]);
    if (a[1] === b[2] && a[2] === b[1]) {
        return t`sides exchanged`;
    }
    for (const [ratio, word] of [
        [0.5, 'half'],
        [0.25, t`a quarter`],
        [0.75, t`three quarters`],
        [2, 'double'],
    ] as const) {
        if (Math.abs(across - ratio) < 0.003 && Math.abs(down - ratio) < 0.003) {
            return word;
        }
    }

    return null;
}
