import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { accessible, checkAgain, home, open, production, signIn } from './book';
import { chooseFrames } from './disk';

test('a check is signed off, its files verified, a byte altered, and verified again', async ({ page, browser }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_STILL', 'Frames');
    await checkAgain(page);
    await open(page, 'TC_STILL', 'Submission');
    const main = page.getByRole('main');
    await expect(main).toContainText('Number 2, signed by Odile Marrow');
    const form = page.getByRole('form', { name: 'Sign off' });
    // what no file tells is answered for before anything can be signed
    await expect(form.getByRole('button', { name: 'Sign off anew' })).toBeDisabled();
    await form.getByLabel('What was done instead').fill('The saved scene was opened.');
    await form.getByLabel('Note').fill('Third time <b>lucky</b>.');
    await form.getByRole('checkbox', { name: 'MD5' }).check();
    await accessible(page, 'signing off');
    await form.getByRole('button', { name: 'Sign off anew' }).press('Enter');
    await expect(main).toContainText('Number 3, signed by Odile Marrow', { timeout: 60_000 });
    await expect(main).toContainText('Third time <b>lucky</b>.');
    await expect(main).toContainText('Number 2, replaced by a later one');
    await expect(main).toContainText('Each entry carries the sum of the one before; nothing in it was changed.');
    await expect(form).toBeHidden();

    const again = page.getByRole('button', { name: 'Look at its files again' });
    await again.click();
    await expect(main).toContainText('1 file is as it was signed.', { timeout: 60_000 });
    const record = await page.request.get(
        (await page.getByRole('link', { name: 'JSON' }).first().getAttribute('href')) ?? '',
    );
    const path = String(((await record.json()) as { files: { path: string }[] }).files[0]?.path);
    const file = `${home()}/intake/tide_clock/TC_STILL/v003/${path}`;
    const bytes = readFileSync(file);
    bytes[bytes.length - 30] = (bytes[bytes.length - 30] ?? 0) ^ 1;
    writeFileSync(file, bytes);
    await again.click();
    await expect(main).toContainText(`Changed: ${path}.`, { timeout: 60_000 });
    await accessible(page, 'a submission whose file was changed');
    // as it was, for whoever comes next
    bytes[bytes.length - 30] = (bytes[bytes.length - 30] ?? 0) ^ 1;
    writeFileSync(file, bytes);

    // somebody without a sign-in reads the record by a link, until it is taken back
    await page.getByRole('button', { name: 'Make a link' }).click();
    const link = page.getByRole('link', { name: /open until/ });
    const visitor = await (await browser.newContext()).newPage();
    const address = new URL((await link.getAttribute('href')) ?? '', page.url()).href;
    await visitor.goto(address);
    await expect(visitor.getByRole('heading', { level: 1 })).toHaveText('Submission TC_STILL, number 3');
    await accessible(visitor, 'a record');
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(link).toBeHidden();
    await visitor.goto(address);
    await expect(visitor.getByRole('main')).toContainText('It was taken back.');

    await page.getByRole('button', { name: 'Withdraw', exact: true }).click();
    await page.getByLabel('Why it is withdrawn').fill('A byte fell over.');
    await page.getByRole('button', { name: 'Withdraw it' }).press('Enter');
    await expect(page.getByRole('status')).toHaveText('The submission 3 is withdrawn.');
    await expect(main).toContainText('A byte fell over.');
});

test('files of this machine are signed where they lie, and looked at again', async ({ page }) => {
    const sent: string[] = [];
    page.context().on('request', (request) => {
        if (request.method() === 'POST' && request.url().endsWith('/sums')) {
            sent.push(request.postData() ?? '');
        }
    });
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_STILL', 'Frames');
    await chooseFrames(page, 'tide_clock/TC_STILL/v003', 'poster');
    await page.getByRole('button', { name: 'Another folder' }).click();
    await page.getByRole('button', { name: 'Choose a folder' }).click();
    const main = page.getByRole('main');
    await expect(main).toContainText('on a disk of their own', { timeout: 60_000 });
    await open(page, 'TC_STILL', 'Submission');
    const form = page.getByRole('form', { name: 'Sign off' });
    await expect(form).toContainText('This browser reads them whole there');
    await expect(page.getByRole('region', { name: 'Since number 3, which was withdrawn' })).toContainText(
        'Came again:',
    );
    // what was done instead the last time is at hand
    await expect(form).toContainText('In number 3: “The saved scene was opened.”');
    await form.getByRole('button', { name: 'Write the same' }).press('Enter');
    await expect(form.getByLabel('What was done instead')).toHaveValue('The saved scene was opened.');
    await form.getByRole('checkbox', { name: 'xxHash 128' }).check();
    await accessible(page, 'signing files of this machine');
    await form.getByRole('button', { name: /^Sign off/ }).click();
    await expect(main).toContainText('Number 4, signed by Odile Marrow', { timeout: 60_000 });
    await expect(main).toContainText('Its files stay on the machine on which they were signed.');
    await expect(main).toContainText('Since number 3');
    // of half a megabyte nothing but its sums went over
    expect(sent.join('').length).toBeLessThan(2000);
    expect(sent.join('')).toContain('xxh128');

    await page.getByRole('button', { name: 'Look at its files again' }).click();
    await expect(main).toContainText('1 file is as it was signed.', { timeout: 60_000 });
    await page.evaluate(async () => {
        const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('poster');
        for await (const entry of folder.values()) {
            const file = await folder.getFileHandle(entry.name);
            const out = await file.createWritable({ keepExistingData: true });
            await out.write({ type: 'write', position: 1000, data: new Uint8Array([1, 2, 3]) });
            await out.close();
        }
    });
    await page.getByRole('button', { name: 'Look at its files again' }).click();
    await expect(main).toContainText(/Changed: .*\.tiff?\./, { timeout: 60_000 });

    // whoever loads the page anew has to say once more where they are
    await page.reload();
    await page.evaluate(async () => {
        const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('poster');
        Object.assign(window, { showDirectoryPicker: () => Promise.resolve(folder) });
    });
    await page.getByRole('button', { name: 'Choose the folder, and look at its files again' }).press('Enter');
    await expect(main).toContainText(/Changed: .*\.tiff?\./, { timeout: 60_000 });
    await accessible(page, 'a submission of files of this machine');
});

test('an artist reads what stands in the way, and signs nothing', async ({ page }) => {
    await signIn(page, 'ansel@harbour.example');
    await production(page, 'The Tide Clock');
    await open(page, 'TC_020', 'Submission');
    await expect(page.getByRole('region', { name: 'What stands in the way' })).toContainText('asked 1001-1096');
    await expect(page.getByRole('button', { name: 'Sign off' })).toBeHidden();
});
