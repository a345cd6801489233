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

test('frames are seen as a contact sheet, printed, played, and laid beside each other', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_060');
    await page.getByRole('link', { name: /See them/ }).click();
    const main = page.getByRole('main');
    await expect(main.getByRole('button', { name: /^Frame \d+, not as asked: beside another/ })).toHaveCount(48);
    await accessible(page, 'a contact sheet');
    await page.getByLabel('Every how manieth frame').fill('12');
    await expect(main.getByRole('button', { name: /^Frame \d+/ })).toHaveCount(5);
    await page.evaluate(() => {
        window.print = () => document.body.setAttribute('data-printed', '');
    });
    await page.getByRole('button', { name: 'Print' }).click();
    await expect(page.locator('body')).toHaveAttribute('data-printed', '', { timeout: 60_000 });
    const pdf = await page.pdf({ format: 'A4' });
    // five pictures, and nothing of the index or the head
    expect((pdf.toString('latin1').match(/\/Subtype\s*\/Image/g) ?? []).length).toBeGreaterThanOrEqual(5);

    await page.getByRole('button', { name: 'Play', exact: true }).click();
    await expect(main).toContainText('24 frames a second', { timeout: 60_000 });
    await main.getByRole('button', { name: 'Play', exact: true }).last().click();
    await expect(main.getByRole('button', { name: 'Hold' })).toBeVisible();
    await expect(main.getByRole('img', { name: 'Frame 1', exact: true })).toBeHidden();
    await accessible(page, 'frames played');

    await page.getByRole('button', { name: 'Two frames' }).click();
    await page.getByLabel('frame', { exact: true }).fill('25');
    await page.keyboard.press('Enter');
    await expect(main).toContainText('frame 24, the one before');
    await expect(main).toContainText(/Mean difference of what is shown: 0\.\d %/);
    for (const way of ['wipe', 'flicker', 'difference']) {
        await page.getByLabel(way, { exact: true }).check();
        await expect(main).toContainText('Mean difference');
    }
    await expect(main.getByRole('img', { name: 'Where they differ' })).toBeVisible();
    await accessible(page, 'two frames');
});

test('two checks are laid beside each other', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_060');
    await page.getByRole('button', { name: 'Check again' }).click();
    await page
        .getByRole('link', { name: /^beside this one/ })
        .first()
        .click();
    const main = page.getByRole('main');
    await expect(main).toContainText('against that of');
    await expect(main).toContainText('unchanged1-48');
    await accessible(page, 'two checks');
});
