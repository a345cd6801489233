/** Files of the visitor's own disk, as a worker lists and reads them. */
import {
    createMD5,
    createSHA1,
    createSHA256,
    createSHA512,
    createXXHash128,
    createXXHash3,
    createXXHash64,
} from 'hash-wasm';
import type { Source } from '../ownDisk';

/** What is nobody's frame, and not worth a line. */
export const isOfSystem = (name: string): boolean =>
    name.startsWith('._') || ['.DS_Store', 'Thumbs.db', 'desktop.ini'].includes(name);

export interface Listed {
    path: string;
    size: number;
    time: number;
    open: () => Promise<File>;
}

/** Bytes that a checksum is worked out of at a time. */
const PIECE = 4 << 20;

const HASHES: Record<string, () => ReturnType<typeof createMD5>> = {
    md5: createMD5,
    sha1: createSHA1,
    sha256: createSHA256,
    sha512: createSHA512,
    xxh64: createXXHash64,
    xxh3: createXXHash3,
    xxh128: createXXHash128,
};

async function* walk(folder: FileSystemDirectoryHandle, path: string): AsyncGenerator<Listed> {
    for await (const entry of folder.values()) {
        if (isOfSystem(entry.name)) {
            continue;
        }
        if (entry.kind === 'directory') {
            yield* walk(entry, `${path}${entry.name}/`);
        } else {
            const handle = entry;
            const file = await handle.getFile();
            const { size, lastModified: time } = file;
            yield { path: `${path}${entry.name}`, size, time, open: () => handle.getFile() };
        }
    }
}

export async function* listed(source: Source): AsyncGenerator<Listed> {
    if (source.kind === 'folder') {
        yield* walk(source.handle, '');

        return;
    }
    for (const { path, file } of source.files) {
        if (!isOfSystem(file.name)) {
            yield { path, size: file.size, time: file.lastModified, open: () => Promise.resolve(file) };
        }
    }
}

/** A file as it was listed; another one by now is none. */
export async function opened(file: Listed | undefined): Promise<File | null> {
    if (file === undefined) {
        return null;
    }
    try {
        const now = await file.open();

        return now.size === file.size && now.lastModified === file.time ? now : null;
    } catch {
        return null;
    }
}

export async function read(file: File, offset: number, length: number): Promise<Uint8Array<ArrayBuffer> | null> {
    try {
        const bytes = new Uint8Array(await file.slice(offset, offset + length).arrayBuffer());

        return bytes.length === length ? bytes : null;
    } catch {
        return null;
    }
}

/**
 * Sums of a file, all of them by reading it once; null where it cannot be read, or there is no such sum.
 *
 * @param onBytes told how many more were read
 */
export async function hash(
    file: File,
    algorithms: string[],
    onBytes?: (bytes: number) => Promise<void>,
): Promise<Record<string, string> | null> {
    const hashers = new Map<string, Awaited<ReturnType<typeof createMD5>>>();
    for (const algorithm of algorithms) {
        const hasher = await HASHES[algorithm]?.();
        if (hasher === undefined) {
            return null;
        }
        hasher.init();
        hashers.set(algorithm, hasher);
    }
    for (let at = 0; at < file.size; at += PIECE) {
        const bytes = await read(file, at, Math.min(PIECE, file.size - at));
        if (bytes === null) {
            return null;
        }
        for (const hasher of hashers.values()) {
            hasher.update(bytes);
        }
        await onBytes?.(bytes.length);
    }

    return Object.fromEntries([...hashers].map(([algorithm, hasher]) => [algorithm, hasher.digest('hex')]));
}
