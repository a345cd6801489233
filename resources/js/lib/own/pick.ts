import { filesOfDrop } from '../dropped';
import type { Source } from '../ownDisk';

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

/** What was dropped: one folder, or several files and folders beside each other; or an archive, which is none. */
export async function ofDrop(items: DataTransferItemList): Promise<Picked | 'archive' | null> {
    const { files, folder } = await filesOfDrop(items);
    const [lone, ...others] = files;
    if (folder === null && lone !== undefined && others.length === 0 && /\.zip$/i.test(lone.path)) {
        return 'archive';
    }

    return files.length === 0
        ? null
        : {
              folder: folder ?? '',
              source: {
                  kind: 'files',
                  files: folder === null ? files : files.map(({ path, file }) => ({ path: below(path), file })),
              },
          };
}

/** The path below the folder that was chosen, whose name stands before it. */
export function below(relative: string): string {
    const at = relative.indexOf('/');

    return at === -1 ? relative : relative.slice(at + 1);
}
