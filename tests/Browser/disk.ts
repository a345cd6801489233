import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { home } from './book';

/** The browser's own folder for a page, filled with the demo's frames, stands in for one that somebody chooses. */
export async function chooseFrames(page: Page, below: string, name: string): Promise<void> {
    const from = join(home(), 'intake', below);
    const files = readdirSync(from).map((name) => [name, readFileSync(join(from, name)).toString('base64')]);
    const fill = async ({ all, called }: { all: string[][]; called: string }) => {
        const root = await navigator.storage.getDirectory();
        const folder = await root.getDirectoryHandle(called, { create: true });
        for (const [name, text] of all) {
            const out = await (await folder.getFileHandle(name ?? '', { create: true })).createWritable();
            await out.write(Uint8Array.from(atob(text ?? ''), (c) => c.charCodeAt(0)));
            await out.close();
        }
        Object.assign(window, { showDirectoryPicker: () => Promise.resolve(folder) });
    };
    await page.evaluate(fill, { all: files, called: name });
}
