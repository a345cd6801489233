/** Files of this machine that were chosen to be looked at: the browser alone can reach them, while the page is open. */

/** Where the files are: a folder that can be walked, or files that were listed already. */
export type Source =
    { kind: 'folder'; handle: FileSystemDirectoryHandle } | { kind: 'files'; files: { path: string; file: File }[] };

type Picker = (wish: { mode: 'read' | 'readwrite' }) => Promise<FileSystemDirectoryHandle>;

/** Sources are held by the checks that were made of them; so many of the newest. */
const MOST_HELD = 8;

const held = new Map<number, Source>();

export function hold(check: number, source: Source): void {
    held.delete(check);
    held.set(check, source);
    for (const oldest of [...held.keys()].slice(0, -MOST_HELD)) {
        held.delete(oldest);
    }
}

/** Null where the page was loaded anew since, or somebody else looked at them. */
export const heldBy = (check: number): Source | null => held.get(check) ?? null;

/** The browser's own dialog for folders; null where it has none, so that the field for files has to do. */
export function folderPicker(): Picker | null {
    const has = 'showDirectoryPicker' in window;

    return has ? (window as unknown as { showDirectoryPicker: Picker }).showDirectoryPicker.bind(window) : null;
}

/** A folder below another, by its path; made on the way where that is wished. */
export async function folderAt(
    root: FileSystemDirectoryHandle,
    path: string,
    create = false,
): Promise<FileSystemDirectoryHandle> {
    let folder = root;
    for (const name of path === '' ? [] : path.split('/')) {
        folder = await folder.getDirectoryHandle(name, { create });
    }

    return folder;
}

/** Parts a path into its folder and its name. */
export function parted(path: string): [folder: string, name: string] {
    const at = path.lastIndexOf('/');

    return at === -1 ? ['', path] : [path.slice(0, at), path.slice(at + 1)];
}

/** The file as it is now; null where there is none. */
export async function fileAt(source: Source, path: string): Promise<File | null> {
    if (source.kind === 'files') {
        return source.files.find((each) => each.path === path)?.file ?? null;
    }
    const [folder, name] = parted(path);
    try {
        return await (await (await folderAt(source.handle, folder)).getFileHandle(name)).getFile();
    } catch {
        return null;
    }
}

/** Whether it is the very file that was listed, as far as size and time tell. */
export const isAsListed = (file: File, size: number, modified: number): boolean =>
    file.size === size && Math.floor(file.lastModified / 1000) === modified;
