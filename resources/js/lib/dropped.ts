/** What was dropped or chosen, as files with the folders above them. */

export interface Dropped {
    path: string;
    file: File;
}

async function walk(entry: FileSystemEntry, path: string, into: Dropped[]): Promise<void> {
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
            await walk(each, `${path}${entry.name}/`, into);
        }
    }
}

/** All files of a drop; the lone folder, where it is one. */
export async function filesOfDrop(items: DataTransferItemList): Promise<{ files: Dropped[]; folder: string | null }> {
    // after the first pause the list is empty
    const entries = [...items].flatMap((item) => item.webkitGetAsEntry() ?? []);
    const lone = entries.length === 1 ? entries[0] : undefined;
    const files: Dropped[] = [];
    for (const entry of entries) {
        await walk(entry, '', files);
    }

    return { files, folder: lone?.isDirectory === true ? lone.name : null };
}

/** Of a field for files or folders. */
export const filesOfField = (list: FileList): Dropped[] =>
    [...list].map((file) => ({ path: file.webkitRelativePath || file.name, file }));
