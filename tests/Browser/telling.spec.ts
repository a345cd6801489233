import { expect, test } from '@playwright/test';
import { accessible, open, production, signIn } from './book';

test('an artist has one page: what is asked, what is next, where it goes', async ({ page }) => {
    await signIn(page, 'ansel@harbour.example');
    const shot = page.getByRole('listitem', { name: 'TC_020' });
    await expect(shot).toContainText('96 frames, 1001 to 1096, at 24 a second');
    await expect(shot).toContainText('The render stopped after frame 1046');
    await expect(shot).toContainText('tide_clock/TC_020');
    await accessible(page, 'what an artist owes');
    await shot.getByRole('link', { name: 'Check my files' }).click();
    const heading = page.getByRole('heading', { level: 1 });
    await expect(heading).toContainText('TC_020');
    // what was pressed is gone: whoever hears the page hears its heading
    await expect(heading).toBeFocused();
    await page.getByRole('link', { name: 'About render stopped' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('What can have gone wrong');
    await expect(page.locator('#render-stopped')).toContainText('Found now in');
    await accessible(page, 'the causes');
});

test('a check that ends is told where one is: in words, in the title, without moving the focus', async ({ page }) => {
    await signIn(page, 'brida@harbour.example');
    await open(page, 'TC_STILL', 'Frames');
    await page.waitForResponse((answer) => answer.url().includes('/news'));
    const find = page.getByRole('searchbox', { name: 'Find in the index' });
    await find.focus();
    // as from another window of the same person
    await page.evaluate(async () => {
        const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
        const again = [...document.querySelectorAll('a')].find((link) => /report\.json/.test(link.href))?.href;
        const url = again?.replace(/report\.json.*$/, 'again') ?? '';
        await fetch(url, { method: 'POST', headers: { 'X-XSRF-TOKEN': token }, redirect: 'manual' });
    });
    await expect(page.locator('[data-news]')).toContainText('TC_STILL: balances', { timeout: 40_000 });
    await expect(find).toBeFocused();
    await expect(page.getByRole('link', { name: /^Notices \d/ })).toBeVisible();
    await page.getByRole('link', { name: /^Notices/ }).click();
    await expect(page.getByRole('listitem').first()).toContainText('TC_STILL: balances');
    await page.getByRole('button', { name: 'I have read them' }).click();
    await expect(page.getByRole('link', { name: 'Notices', exact: true })).toBeVisible();
    await page.getByRole('checkbox', { name: 'a check that I began has ended: in the page' }).uncheck();
    await expect(page.getByRole('status')).toHaveText('Saved.');
    await page.reload();
    const wish = page.getByRole('checkbox', { name: 'a check that I began has ended: in the page' });
    await expect(wish).not.toBeChecked();
    await wish.check();
    await expect(page.getByRole('status')).toHaveText('Saved.');
    await accessible(page, 'notices');
});

test('one-time codes are begun, asked for, and ended', async ({ page, context }) => {
    await signIn(page, 'juna@practice.example');
    await page.goto('/tokens');
    await page.getByRole('button', { name: 'Ask me for a code too' }).click();
    await expect(page.getByRole('img', { name: 'The same as a QR code' })).toBeVisible();
    await accessible(page, 'beginning one-time codes');
    const codeOf = async (secret: string): Promise<string> =>
        page.evaluate(async (base32) => {
            const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';
            const bits = Array.from(base32, (each) => letters.indexOf(each).toString(2).padStart(5, '0')).join('');
            const bytes = Uint8Array.from(bits.match(/.{8}/g) ?? [], (each) => parseInt(each, 2));
            const key = await crypto.subtle.importKey('raw', bytes, { name: 'HMAC', hash: 'SHA-1' }, false, ['sign']);
            const step = new DataView(new ArrayBuffer(8));
            step.setBigUint64(0, BigInt(Math.floor(Date.now() / 30_000)));
            const hash = new DataView(await crypto.subtle.sign('HMAC', key, step.buffer));
            const number = hash.getUint32(hash.getUint8(19) & 15) & 0x7fffffff;

            return String(number % 1_000_000).padStart(6, '0');
        }, secret);
    const shown = await page.locator('p.mono', { hasText: /^([A-Z2-7]{4} ){7}[A-Z2-7]{4}$/ }).textContent();
    const secret = shown?.replaceAll(' ', '') ?? '';
    await page.getByLabel('The code it shows').fill(await codeOf(secret));
    await page.getByRole('button', { name: 'Begin', exact: true }).click();
    const recovery = page.getByRole('region', { name: 'Recovery codes' });
    await expect(recovery.getByRole('listitem')).toHaveCount(10);
    const [first] = await recovery.getByRole('listitem').allTextContents();
    await context.clearCookies();
    await page.goto('/sign-in');
    await page.getByLabel('Address').fill('juna@practice.example');
    await page.getByLabel('Password').fill('tide-clock');
    await page.getByRole('button', { name: 'Sign in' }).click();
    const field = page.getByLabel('The six digits your telephone shows now');
    await accessible(page, 'asking for a code');
    await field.fill('000000');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('That code does not hold now.');
    await field.fill(first ?? '');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL(/productions/);
    await page.goto('/tokens');
    await page.getByLabel('Your password', { exact: true }).last().fill('tide-clock');
    await page.getByRole('button', { name: 'Stop asking for a code' }).click();
    await expect(page.getByRole('status')).toHaveText('You are no longer asked for a code.');
});

test('programs elsewhere are told by an address that is refused where it leads inside', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await page.goto('/productions/1/settings');
    await page.getByRole('textbox', { name: 'Address' }).fill('https://127.0.0.1/ledger');
    await page.getByRole('textbox', { name: 'Address' }).press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'leads into this network' })).toBeVisible();
    await accessible(page, 'settings');
});
