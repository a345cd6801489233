import { mkdtempSync, readdirSync, readFileSync, truncateSync, writeFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { accessible, home, open, place, production, signIn } from './book';
import { chooseFrames } from './disk';

/** Frames of the demo, as they lie on somebody's own disk: the last of them cut short. */
function ownFrames(): string {
    const from = join(home(), 'intake/tide_clock/TC_010/v003');
    const folder = mkdtempSync(join(tmpdir(), 'own-'));
    for (const name of readdirSync(from)) {
        writeFileSync(join(folder, name), readFileSync(join(from, name)));
    }
    truncateSync(join(folder, 'TC_010_light_v003.1096.exr'), 9000);

    return folder;
}

test('a folder of this machine is checked where it lies, and an archive is handed in', async ({ page }) => {
    const folder = ownFrames();
    const sent: number[] = [];
    page.context().on('request', (request) => {
        if (request.url().endsWith('/slices')) {
            sent.push(request.postDataBuffer()?.length ?? 0);
        }
    });
    await signIn(page, 'ansel@harbour.example');
    await production(page, 'The Tide Clock');
    await open(page, 'TC_010');
    await page.getByRole('button', { name: 'Another folder' }).click();
    await accessible(page, 'ways to bring files');
    await page.locator('input[webkitdirectory]').setInputFiles(folder);
    await expect(page.getByRole('main')).toContainText('on a disk of their own', { timeout: 60_000 });
    await expect(page.getByRole('main')).toContainText('1096');
    await expect(page.getByRole('main')).toContainText('To render again:');
    await expect(page.getByRole('main')).toContainText('this browser does not draw it');
    // of seventeen megabytes
    expect(sent.reduce((sum, bytes) => sum + bytes, 0)).toBeLessThan(1_500_000);

    const zip = `${folder}.zip`;
    const pack =
        '$z = new ZipArchive; $z->open($argv[1], 1);' +
        'foreach (glob("$argv[2]/*") as $f) { $z->addFile($f, "v003/".basename($f)); } $z->close();';
    execFileSync('php', ['-r', pack, zip, folder]);
    await page.getByRole('button', { name: 'Another folder' }).click();
    await page.locator('input[accept*=zip]').setInputFiles(zip);
    await expect(page.getByRole('main')).toContainText('handed in', { timeout: 60_000 });
    await expect(page.getByRole('main')).toContainText('To render again:');
    await expect(page.getByRole('img', { name: /^Frame \d+/ }).first()).toBeVisible();

    // as it was, for whoever comes next
    await page.getByRole('button', { name: 'Another folder' }).click();
    await page.getByRole('button', { name: 'v003/' }).click();
    await page.getByRole('button', { name: 'Check this folder' }).click();
    await expect(page.getByRole('main')).toContainText('It balances', { timeout: 60_000 });
});

const namesThere = (page: Page): Promise<string[]> =>
    page.evaluate(async () => {
        const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('titles');
        const names: string[] = [];
        for await (const entry of folder.values()) {
            names.push(entry.name);
        }

        return names.sort();
    });

test('names of a folder of this machine are put right there, and back', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_040');
    await chooseFrames(page, 'tide_clock/TC_040/v003', 'titles');
    await page.getByRole('button', { name: 'Another folder' }).click();
    await page.getByRole('button', { name: 'Choose a folder' }).click();
    const main = page.getByRole('main');
    await expect(main).toContainText('on a disk of their own', { timeout: 60_000 });
    // drawn by the browser itself
    const picture = page.getByRole('img', { name: /^Frame 1/ }).first();
    await expect(picture).toHaveAttribute('src', /^blob:/);
    const before = await namesThere(page);

    const machine = page.getByRole('region', { name: 'Names and places on this machine' });
    await machine.getByRole('button', { name: 'Rename on this machine' }).click();
    await accessible(page, 'what is to be renamed on this machine');
    await machine.getByRole('button', { name: 'Do it to 72 files of titles' }).click();
    await expect(main).toContainText('It balances', { timeout: 60_000 });
    expect(await namesThere(page)).toContain('TC_040_titles_v003.0001.png');

    await machine.getByRole('button', { name: 'Undo a renaming on this machine' }).click();
    await machine.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(main).toContainText('Names that do not fit', { timeout: 60_000 });
    expect(await namesThere(page)).toEqual(before);

    // as it was, for whoever comes next
    await page.getByRole('button', { name: 'Another folder' }).click();
    await page.getByRole('button', { name: 'v003/' }).click();
    await page.getByRole('button', { name: 'Check this folder' }).click();
    await expect(main).not.toContainText('on a disk of their own', { timeout: 60_000 });
});

test('somebody without a sign-in checks a folder by a link', async ({ page, browser }) => {
    const folder = join(home(), 'intake/tide_clock/TC_020/v003');
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_020', 'Specification');
    await page.getByRole('link', { name: 'Hand it out' }).click();
    await page.getByLabel(/check a folder of their own/).check();
    await page.getByRole('button', { name: 'Make a link' }).click();
    const path = await page
        .getByRole('link', { name: /check a folder, until/ })
        .first()
        .getAttribute('href');

    const guest = await (await browser.newContext()).newPage();
    await guest.goto(new URL(path ?? '', page.url()).href);
    await expect(guest.getByRole('heading', { level: 1 })).toContainText('TC_020');
    await accessible(guest, 'a folder by a link');
    await guest.locator('input[webkitdirectory]').setInputFiles(folder);
    await expect(guest.getByRole('heading', { name: 'Why' })).toBeVisible({ timeout: 60_000 });
    await expect(guest.getByRole('main')).toContainText('Render 1047-1096');
    await accessible(guest, 'what a folder came to');
    // an empty folder is told, and nothing else happens
    await guest.locator('input[webkitdirectory]').setInputFiles(mkdtempSync(join(tmpdir(), 'own-')));
    await guest.context().close();
});

test('one tree is looked through for all deliverables, and what is nobody’s is assigned', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await place(page, 'Delivered tree');
    await page.getByLabel('Intake').selectOption({ label: 'Deliveries' });
    await page.getByRole('button', { name: 'friday/' }).click();
    await page.getByRole('button', { name: 'Look through this tree' }).click();
    const main = page.getByRole('main');
    await expect(main).toContainText('10 in all', { timeout: 60_000 });
    await expect(main.getByRole('row', { name: /TC_060/ })).toContainText('8');
    const dailies = page.getByLabel('Whose is dailies/dailies_v003.####.png');
    await expect(main).toContainText('Nobody asked for');
    await accessible(page, 'a delivered tree');
    await dailies.selectOption({ label: 'TC_060, dome sky' });
    await expect(main).toContainText('Assigned by hand', { timeout: 60_000 });
    await dailies.selectOption({ label: 'nobody’s, so far' });
    await expect(main).toContainText('Nobody asked for', { timeout: 60_000 });
});
