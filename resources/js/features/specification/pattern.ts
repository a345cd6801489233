import { t } from '@lingui/core/macro';
import type { AskedPart } from '../../types/views';

/** A name pattern as blocks that can be moved; whether it can be used is the server's word. */

export type Block = { kind: 'text'; text: string } | { kind: 'piece'; name: string; after: string };

export interface KnownPiece {
    name: string;
    after: string;
    says: string;
}

export const PIECES: KnownPiece[] = [
    { name: 'production', after: '', says: t`code of the production` },
    { name: 'shot', after: '', says: t`code of the deliverable` },
    { name: 'task', after: '', says: 'task' },
    { name: 'part', after: '', says: t`part of the specification` },
    { name: 'pass', after: '', says: 'pass' },
    { name: 'camera', after: '', says: 'camera' },
    { name: 'version', after: '3', says: 'version' },
    { name: 'frame', after: '4', says: t`frame number` },
    { name: 'resolution', after: '', says: t`width x height` },
    { name: 'rate', after: '', says: t`frames a second` },
    { name: 'date', after: '', says: t`day it is delivered, 20261124` },
    { name: 'learner', after: '', says: t`whose work it is` },
    { name: 'ext', after: '', says: t`extension of the format` },
];

/** Pieces whose value comes from the frame, the pass or the format, not from a value given for it. */
const MADE = ['frame', 'pass', 'ext', 'first', 'last', 'width', 'height'];

export const SEPARATORS = ['_', '.', '-', '/'];

/** Pieces that are numbers and may be filled with zeros. */
export function isNumber(block: Block): boolean {
    return (
        block.kind === 'piece' &&
        (/^\d*$/.test(block.after) || block.after === '') &&
        ['frame', 'version', 'first', 'last', 'width', 'height', 'take'].includes(block.name)
    );
}

/** Text with a brace that is not closed stays text, so that nothing typed is lost. */
export function blocks(pattern: string): Block[] {
    const found: Block[] = [];
    let text = '';
    const close = () => {
        if (text !== '') {
            found.push({ kind: 'text', text });
            text = '';
        }
    };
    for (const part of pattern.split(/(\{\{|\}\}|\{[^{}]*\})/)) {
        const piece = /^\{\s*([A-Za-z][A-Za-z0-9_ ]*?)\s*(?::\s*([A-Za-z0-9]*))?\s*\}$/.exec(part);
        if (part === '{{' || part === '}}') {
            text += part.charAt(0);
        } else if (piece?.[1] !== undefined) {
            close();
            found.push({ kind: 'piece', name: piece[1].toLowerCase(), after: piece[2] ?? '' });
        } else {
            text += part;
        }
    }
    close();

    return found;
}

export function written(list: Block[]): string {
    return list.map(writtenBlock).join('');
}

function writtenBlock(block: Block): string {
    if (block.kind === 'text') {
        return block.text.replaceAll('{', '{{').replaceAll('}', '}}');
    }

    return block.after === '' ? `{${block.name}}` : `{${block.name}:${block.after}}`;
}

/** Text next to text is one text. */
export function joined(list: Block[]): Block[] {
    return list.reduce<Block[]>((done, block) => {
        const last = done[done.length - 1];
        if (block.kind === 'text' && block.text === '') {
            return done;
        }
        if (last?.kind === 'text' && block.kind === 'text') {
            return [...done.slice(0, -1), { kind: 'text', text: last.text + block.text }];
        }

        return [...done, block];
    }, []);
}

export function moved(list: Block[], from: number, to: number): Block[] {
    const block = list[from];
    if (block === undefined || to < 0 || to >= list.length) {
        return list;
    }
    const rest = list.filter((_, at) => at !== from);

    return [...rest.slice(0, to), block, ...rest.slice(to)];
}

/** The pieces that names and folders of a specification have, and that somebody gives a value. */
export function neededPieces(parts: AskedPart[]): string[] {
    const patterns = parts.flatMap((part) =>
        part.lines.filter((line) => line.id === 'naming.pattern' || line.id === 'naming.folder'),
    );

    return patterns
        .flatMap((line) => blocks(line.value))
        .flatMap((block) => (block.kind === 'piece' && !MADE.includes(block.name) ? [block.name] : []));
}
