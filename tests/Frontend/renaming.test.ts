import { describe, expect, it } from 'vitest';
import { carryOut, goOn, journalOf, undo, type Planned } from '../../resources/js/features/own/renaming';

class Killed extends Error {}

/** A disk whose every change counts; from some change on, everything fails, as where a page is closed midway. */
class Disk {
    files = new Map<string, string>();
    changes = 0;
    dies = Infinity;

    constructor(
        files: Record<string, string>,
        readonly canMove: boolean,
    ) {
        this.files = new Map(Object.entries(files));
    }

    change(): void {
        if (++this.changes > this.dies) {
            throw new Killed();
        }
    }

    root(): FileSystemDirectoryHandle {
        return new Folder(this, '') as unknown as FileSystemDirectoryHandle;
    }

    /** all but what the renaming itself keeps */
    seen(): Record<string, string> {
        return Object.fromEntries([...this.files].filter(([path]) => path !== '_set-aside/moves.json').sort());
    }
}

class Folder {
    readonly kind = 'directory';

    constructor(
        readonly disk: Disk,
        readonly path: string,
    ) {}

    private below(name: string): string {
        return this.path === '' ? name : `${this.path}/${name}`;
    }

    private holds(path: string): boolean {
        return [...this.disk.files.keys()].some((each) => each.startsWith(`${path}/`));
    }

    getDirectoryHandle(name: string, { create = false } = {}): Promise<Folder> {
        const path = this.below(name);

        return create || this.holds(path) ? Promise.resolve(new Folder(this.disk, path)) : Promise.reject(new Error());
    }

    getFileHandle(name: string, { create = false } = {}): Promise<Entry> {
        const path = this.below(name);
        if (!this.disk.files.has(path)) {
            if (!create) {
                return Promise.reject(new Error());
            }
            this.disk.change();
            this.disk.files.set(path, '');
        }

        return Promise.resolve(new Entry(this.disk, path));
    }

    removeEntry(name: string, { recursive = false } = {}): Promise<void> {
        const path = this.below(name);
        if (!this.disk.files.has(path) && (!this.holds(path) || !recursive)) {
            return Promise.reject(new Error());
        }
        this.disk.change();
        for (const each of [...this.disk.files.keys()]) {
            if (each === path || each.startsWith(`${path}/`)) {
                this.disk.files.delete(each);
            }
        }

        return Promise.resolve();
    }
}

class Entry {
    readonly kind = 'file';
    readonly move?: (to: Folder, name: string) => Promise<void>;

    constructor(
        readonly disk: Disk,
        readonly path: string,
    ) {
        if (disk.canMove) {
            this.move = (to, name) => {
                disk.change();
                disk.files.set(to.path === '' ? name : `${to.path}/${name}`, disk.files.get(path) ?? '');
                disk.files.delete(path);

                return Promise.resolve();
            };
        }
    }

    getFile(): Promise<File> {
        return Promise.resolve(new File([this.disk.files.get(this.path) ?? ''], this.path, { lastModified: 5000 }));
    }

    /** what is written takes its place only when it is closed */
    createWritable(): Promise<WritableStream<Uint8Array | string>> {
        let text = '';
        const put = () => {
            this.disk.change();
            this.disk.files.set(this.path, text);
        };
        const add = (more: Uint8Array | string) => {
            text += typeof more === 'string' ? more : new TextDecoder().decode(more);
        };
        const stream = new WritableStream<Uint8Array | string>({ write: add, close: put });

        return Promise.resolve(
            Object.assign(stream, {
                write: (more: string) => {
                    add(more);

                    return Promise.resolve();
                },
                close: () => {
                    put();

                    return Promise.resolve();
                },
            }),
        );
    }
}

const before = { 'a.1.png': 'one', 'a.2.png': 'two!', 'a.3.png': 'three', 'B.png': 'bee', 'other.txt': 'x' };

/** Numbers that shift into each other, a case, a folder, something set aside. */
const moves: Planned[] = [
    ['a.1.png', 'a.2.png', 3, 5],
    ['a.2.png', 'a.3.png', 4, 5],
    ['a.3.png', '_set-aside/now/a.3.png', 5, 5],
    ['B.png', 'b.png', 3, 5],
];
const after = {
    '_set-aside/now/a.3.png': 'three',
    'a.2.png': 'one',
    'a.3.png': 'two!',
    'b.png': 'bee',
    'other.txt': 'x',
};
const quietly = () => undefined;

describe.each([
    ['a browser that moves', true],
    ['a browser that has to copy', false],
])('renaming by %s', (_, canMove) => {
    it('brings every file to its place, and back', async () => {
        const disk = new Disk(before, canMove);
        const steps: string[] = [];
        await carryOut(disk.root(), moves, 'then', (done, all) => steps.push(`${done}/${all}`));
        expect(disk.seen()).toEqual(after);
        expect(steps.at(-1)).toBe('7/7');

        const journal = await journalOf(disk.root());
        expect(journal?.phase).toBe('done');
        await undo(disk.root(), journal ?? expect.fail(), quietly);
        expect(disk.seen()).toEqual(before);
        expect(await journalOf(disk.root())).toBeNull();
    });

    it('loses nothing wherever it is broken off, and goes on or goes back', async () => {
        for (let dies = 0; dies < 200; dies++) {
            const disk = new Disk(before, canMove);
            disk.dies = dies;
            const ended = await carryOut(disk.root(), moves, 'then', quietly).then(
                () => true,
                () => false,
            );
            disk.dies = Infinity;
            for (const content of Object.values(before)) {
                expect([...disk.files.values()]).toContain(content);
            }
            const journal = await journalOf(disk.root());
            if (journal !== null) {
                const copy = new Disk(Object.fromEntries(disk.files), canMove);
                await goOn(copy.root(), journal, quietly);
                expect(copy.seen()).toEqual(after);
                await undo(disk.root(), journal, quietly);
            }
            expect(Object.fromEntries(Object.entries(disk.seen()).filter(([, text]) => text !== ''))).toEqual(before);
            if (ended) {
                expect(dies).toBeGreaterThan(7);

                return;
            }
        }
        expect.fail('it never came to its end');
    });

    it('goes back even where the way back was broken off', async () => {
        for (let dies = 0; dies < 200; dies++) {
            const disk = new Disk(before, canMove);
            await carryOut(disk.root(), moves, 'then', quietly);
            disk.changes = 0;
            disk.dies = dies;
            const ended = await undo(disk.root(), (await journalOf(disk.root())) ?? expect.fail(), quietly).then(
                () => true,
                () => false,
            );
            disk.dies = Infinity;
            const left = await journalOf(disk.root());
            if (left !== null) {
                await (left.undoes ? goOn(disk.root(), left, quietly) : undo(disk.root(), left, quietly));
            }
            expect(disk.seen()).toEqual(before);
            if (ended) {
                return;
            }
        }
        expect.fail('it never came to its end');
    });

    it('touches nothing where a file is another by now, is gone, or stands in the way', async () => {
        const planned: Planned[] = [['a.1.png', 'c.png', 3, 5]];
        for (const [files, says] of [
            [{ ...before, 'a.1.png': 'once' }, /changed since/],
            [{ 'a.2.png': 'two!' }, /not in this folder/],
            [{ ...before, 'c.png': 'here' }, /already a file c\.png/],
        ] as const) {
            const disk = new Disk(files, canMove);
            await expect(carryOut(disk.root(), planned, 'then', quietly)).rejects.toThrow(says);
            expect(disk.seen()).toEqual(files);
            expect(disk.changes).toBe(0);
        }
    });

    it('stops where something has come to stand in the way midway, and writes nothing over', async () => {
        const disk = new Disk(before, canMove);
        const planned: Planned[] = [
            ['a.1.png', 'c.png', 3, 5],
            ['a.2.png', 'd.png', 4, 5],
        ];
        const late = (done: number) => (done === 1 ? disk.files.set('d.png', 'somebody else’s') : undefined);
        await expect(carryOut(disk.root(), planned, 'then', late)).rejects.toThrow(/already a file d\.png/);
        expect(disk.files.get('d.png')).toBe('somebody else’s');
        expect(disk.files.get('a.2.png')).toBe('two!');
    });
});
