import { expect, test } from '@playwright/test';
import { accessible, open, production, signIn } from './book';

test('names are put right from the page, and undone as one', async ({ page }) => {
    await signIn(page, 'brida@harbour.example');
    await production(page, 'The Tide Clock');
    await open(page, 'TC_040');
    await page.getByRole('button', { name: 'Rename, move, set aside…' }).click();
    const margin = page.getByRole('complementary', { name: 'Notes in the margin' });
    await expect(margin).toContainText('TC_040-titles_v003');
    await expect(margin).toContainText('No file is written over or deleted.');
    await accessible(page, 'files that are to be renamed');
    await margin.getByRole('button', { name: 'Do it to 72 files' }).click();
    await expect(page.getByRole('main')).toContainText('It balances', { timeout: 60_000 });
    await expect(margin).toContainText('72 files renamed, moved or set aside');
    await expect(page.getByRole('button', { name: 'Rename, move, set aside…' })).toBeHidden();
    await margin.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('main')).not.toContainText('It balances', { timeout: 60_000 });
    await expect(page.getByRole('button', { name: 'Rename, move, set aside…' })).toBeVisible({ timeout: 60_000 });
});

test('the strip goes from trouble to trouble, closer, and shows a frame, by keyboard', async ({ page }) => {
    // pictures are unpacked after everything else of the demo was looked at
    test.setTimeout(240_000);
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_050');
    await expect(page.getByRole('main')).toContainText('1005-1008 are black', { timeout: 120_000 });
    const beauty = page.getByRole('figure', { name: /^Frames \d+ to \d+ of beauty/ });
    const strip = beauty.getByRole('slider', { name: 'Frame' });
    await expect(beauty.getByRole('list', { name: 'Legend' })).toHaveText('whole, and not as askedwhole');
    await strip.focus();
    await page.keyboard.press('.');
    await page.keyboard.press('.');
    await expect(strip).toHaveAttribute('aria-valuetext', '1014: whole, and not as asked');
    await page.keyboard.press('+');
    await expect(beauty).toHaveAccessibleName('Frames 1008 to 1019 of beauty');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('img', { name: 'Frame 1015, beauty' })).toBeVisible();
    await beauty.getByRole('button', { name: 'Trouble before' }).click();
    await expect(strip).toHaveAttribute('aria-valuetext', '1014: whole, and not as asked');
    await beauty.getByRole('button', { name: 'Trouble before' }).click();
    // it lies elsewhere, so the strip follows
    await expect(strip).toHaveAttribute('aria-valuetext', '1005: whole, and not as asked');
    await expect(beauty).toHaveAccessibleName('Frames 1001 to 1012 of beauty');
    await beauty.getByRole('button', { name: 'All frames' }).click();
    await expect(beauty).toHaveAccessibleName('Frames 1001 to 1024 of beauty');
    await accessible(page, 'strips of passes');
});

test('a still is seen', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_STILL');
    const picture = page.getByRole('img', { name: 'The picture' });
    await expect(picture).toBeVisible();
    await expect
        .poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth), { timeout: 30_000 })
        .toBeGreaterThan(100);
});
