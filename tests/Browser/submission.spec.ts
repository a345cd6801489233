import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { accessible, home, open, production, signIn } from './book';

test('a check is signed off, its files verified, a byte altered, and verified again', async ({ page, browser }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_STILL', 'Frames');
    const checked = page.waitForResponse((response) => response.request().method() === 'POST');
    await page.getByRole('button', { name: 'Check again' }).first().click();
    await checked;
    await page.waitForLoadState('networkidle');
    await expect(page.getByRole('region', { name: 'Check under way' })).toBeHidden({ timeout: 60_000 });
    await open(page, 'TC_STILL', 'Submission');
    const main = page.getByRole('main');
    await expect(main).toContainText('Number 2, signed by Odile Marrow');
    const form = page.getByRole('form', { name: 'Sign off' });
    // what no file tells is answered for before anything can be signed
    await expect(form.getByRole('button', { name: 'Sign off anew' })).toBeDisabled();
    await form.getByLabel('What was done instead').fill('The saved scene was opened.');
    await form.getByLabel('Note').fill('Third time <b>lucky</b>.');
    await form.getByRole('checkbox', { name: 'MD5' }).check();
    await accessible(page, 'signing off', 'any');
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
    await accessible(page, 'a submission whose file was changed', 'any');

    // somebody without a sign-in reads the record by a link, until it is taken back
    await page.getByRole('button', { name: 'Make a link' }).click();
    const link = page.getByRole('link', { name: /open until/ });
    const visitor = await (await browser.newContext()).newPage();
    const address = new URL((await link.getAttribute('href')) ?? '', page.url()).href;
    await visitor.goto(address);
    await expect(visitor.getByRole('heading', { level: 1 })).toHaveText('Submission TC_STILL, number 3');
    await accessible(visitor, 'a record', 'any');
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

test('an artist reads what stands in the way, and signs nothing', async ({ page }) => {
    await signIn(page, 'ansel@harbour.example');
    await production(page, 'The Tide Clock');
    await open(page, 'TC_020', 'Submission');
    await expect(page.getByRole('region', { name: 'What stands in the way' })).toContainText('asked 1001-1096');
    await expect(page.getByRole('button', { name: 'Sign off' })).toBeHidden();
});
