import type { Source } from '../../lib/ownDisk';
import { below } from './messages';

/** A folder to be gone through, and how it is called. */
export interface Picked {
    source: Source;
    folder: string;
}

/** Of a field that takes folders. */
export function ofField(files: FileList): Picked | null {
    const all = [...files];
    const first = all[0];

    return first === undefined
        ? null
        : {
              folder: first.webkitRelativePath.split('/')[0] ?? '',
              source: {
                  kind: 'files',
                  files: all.map((file) => ({ path: below(file.webkitRelativePath || file.name), file })),
              },
          };
}

async function walkEntry(entry: FileSystemEntry, path: string, into: { path: string; file: File }[]): Promise<void> {
    if (entry.isFile) {
        const file = await new Promise<File>((done, failed) => (entry as FileSystemFileEntry).file(done, failed));
        into.push({ path: `${path}${entry.name}`, file });

        return;
    }
    const reader = (entry as FileSystemDirectoryEntry).createReader();
    // it gives some at a time, and none when it is through
    for (;;) {
        const some = await new Promise<FileSystemEntry[]>((done, failed) => reader.readEntries(done, failed));
        if (some.length === 0) {
            return;
        }
        for (const each of some) {
            await walkEntry(each, `${path}${entry.name}/`, into);
        }
    }
}

/** What was dropped: one folder, or several files and folders beside each other; or an archive, which is none. */
export async function ofDrop(items: DataTransferItemList): Promise<Picked | 'archive' | null> {
    // after the first pause the list is empty
    const entries = [...items].flatMap((item) => item.webkitGetAsEntry() ?? []);
    const lone = entries.length === 1 ? entries[0] : undefined;
    const files: { path: string; file: File }[] = [];
    for (const entry of entries) {
        await walkEntry(entry, '', files);
    }
    const isFolder = lone?.isDirectory === true;
    if (lone?.isFile === true && /\.zip$/i.test(lone.name)) {
        return 'archive';
    }

    return files.length === 0
        ? null
        : {
              folder: isFolder ? lone.name : '',
              source: {
                  kind: 'files',
                  files: isFolder ? files.map(({ path, file }) => ({ path: below(path), file })) : files,
              },
          };
}
