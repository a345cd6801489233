import { expect, test } from '@playwright/test';
import { open, production, signIn } from './book';

test('on paper a board and a ledger stand whole and by day, with nothing to press', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await page.emulateMedia({ media: 'print' });
    const line = page.getByRole('row', { name: /TC_040/ });
    await expect(line.getByText('ferry titles')).toBeVisible();
    await expect(line.getByText('Brida Coil')).toBeVisible();
    // when it is due, not how long that is from now
    await expect(line.getByText(/^\w+day \d+ \w+( \d{4})?, \d\d:\d\d$/)).toBeVisible();
    await expect(line.getByText(/^in \d+/)).toBeHidden();
    await expect(page.getByRole('button', { name: 'Write to the owners' })).toBeHidden();
    await expect(page.getByText(new RegExp(`^${page.url()}$`))).toBeVisible();
    const heads = page.getByRole('main').locator('thead').first();
    expect(await heads.evaluate((head) => getComputedStyle(head).display)).toBe('table-header-group');
    // nothing stands beside the sheet of paper
    await page.setViewportSize({ width: 718, height: 1000 });
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(over).toBeLessThanOrEqual(1);

    await page.emulateMedia({ media: 'screen' });
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.getByRole('button', { name: 'Night' }).click();
    await open(page, 'TC_040');
    await page.evaluate(() =>
        window.addEventListener('beforeprint', () => {
            document.title = `printed by ${document.documentElement.dataset.theme ?? ''}`;
        }),
    );
    expect((await page.pdf({ format: 'A4' })).byteLength).toBeGreaterThan(10_000);
    await expect(page).toHaveTitle('printed by paper');
    expect(await page.evaluate(() => document.documentElement.dataset.theme)).toBe('night');
    await page.emulateMedia({ media: 'print' });
    const margin = page.getByRole('complementary', { name: 'Notes in the margin' });
    await expect(margin.getByText('The frame number has 3 digits')).toBeVisible();
    await expect(margin.getByText(/^Rename 72 files/)).toBeVisible();
    await expect(margin.getByText('Report:')).toBeHidden();
    await expect(page.getByRole('navigation', { name: 'Index of deliverables' })).toBeHidden();
});
