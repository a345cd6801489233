import { t } from '@lingui/core/macro';
import { tell } from '../../lib/ask';
import { to } from '../../lib/route';
import { asText } from '../../lib/spreadsheet';
import type { BroughtFile } from '../../types/views';
import type { Thing } from './things';

/** Bytes of a beginning that are sent of a text, and of anything else. */
const TEXT = 262_144;
const HEAD = 4096;

/** Bytes of an end: what some writers note there, and the directory of an archive. */
const TAIL = 1024;
const DIRECTORY = 1_500_000;

/** Sent in one go. */
const AT_ONCE = 40;
const MOST_BYTES = 3_000_000;

interface Ends {
    name: string;
    size: number;
    head: string;
    tail: string;
}

async function base64(part: Blob): Promise<string> {
    const url = await new Promise<string>((done, failed) => {
        const reader = new FileReader();
        reader.onload = () => done(typeof reader.result === 'string' ? reader.result : '');
        reader.onerror = () => failed(new Error(t`A file could not be read. Is it still there?`));
        reader.readAsDataURL(part);
    });

    return url.slice(url.indexOf(',') + 1);
}

function lengths(path: string): [head: number, tail: number] {
    if (/\.zip$/i.test(path)) {
        return [HEAD, DIRECTORY];
    }

    return /\.(txt|csv|tsv|json|otio|log|out|usda?|ini|cfg|ya?ml|md5|sha\w*|mhl)$/i.test(path)
        ? [TEXT, 0]
        : [HEAD, TAIL];
}

async function ends({ first }: Thing): Promise<Ends> {
    // the sheet of a workbook goes as text, under the workbook's name
    const file = /\.xlsx$/i.test(first.path) ? await asText(first.file).catch(() => first.file) : first.file;
    const [head, tail] = file === first.file ? lengths(first.path) : [TEXT, 0];

    return {
        name: first.path,
        size: file.size,
        head: await base64(file.slice(0, head)),
        tail: tail === 0 || file.size <= head ? '' : await base64(file.slice(Math.max(0, file.size - tail))),
    };
}

/** What each thing is, as the server knows it by its ends. */
export async function look(
    production: number,
    all: Thing[],
    onProgress: (done: number) => void,
): Promise<BroughtFile[]> {
    const found: BroughtFile[] = [];
    let some: Ends[] = [];
    const send = async () => {
        const answer = await tell<{ files: BroughtFile[] }>(to('bring.look', { production }), { files: some });
        found.push(...answer.files);
        some = [];
        onProgress(found.length);
    };
    for (const thing of all) {
        some.push(await ends(thing));
        const bytes = some.reduce((sum, { head, tail }) => sum + head.length + tail.length, 0);
        if (some.length >= AT_ONCE || bytes > MOST_BYTES) {
            await send();
        }
    }
    if (some.length > 0) {
        await send();
    }

    return found;
}
