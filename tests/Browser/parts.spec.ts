import { expect, test } from '@playwright/test';
import { accessible, open, production, signIn } from './book';

test('what is wrong in one pass is said of that pass, and stands on its line alone', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_070');
    const main = page.getByRole('main');
    const why = page.getByRole('complementary');
    await expect(main).toContainText('Pass foam: The render stopped after frame 1016: 8 frames are missing.');
    await expect(why).toContainText('Pass foam: The frames are 1024 × 429: 50 % of the 2048 × 858 asked');
    // each pass has its own strip, and its own pictures
    for (const pass of ['beauty', 'foam', 'depth']) {
        await expect(main.getByRole('heading', { name: pass, exact: true })).toBeVisible();
    }
    await expect(main.getByRole('img', { name: 'Frame 1016, foam' })).toBeVisible();
    await expect(main).toContainText('To render, some of them again:1001-1024');
    const resolution = main.getByRole('row', { name: /^Resolution/ });
    await expect(resolution).toContainText('1024x429 in foam');
    await expect(resolution.getByRole('link', { name: 'note 2' })).toBeVisible();
    // what foam alone is asked, the other passes are not
    await expect(main.getByRole('row', { name: /^Channels/ })).toContainText('of foam');
    await expect(why.getByText('Set the scale to 100 %; it is 50 % (pass foam).')).toBeVisible();
    const fixes = await why
        .getByRole('listitem')
        .filter({ has: page.getByRole('checkbox') })
        .allTextContents();
    expect(fixes.map((fix) => fix.split(' ')[0])).toEqual(['Set', 'Render']);
    await accessible(page, 'a delivery of several passes');
});

test('what one pass alone is asked is typed behind its name', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_070', 'Specification');
    const row = page.getByRole('row', { name: /^Passes/ });
    await expect(row).toContainText('Of foam:');
    await row.getByRole('button', { name: /Change/ }).click();
    const field = page.getByLabel('Passes', { exact: true });
    await expect(field).toHaveValue('beauty, foam (format.channels RGBA), depth');
    await field.fill('beauty, foam (channels RGBA; sky blue), depth');
    await expect(page.getByText('“sky blue” of foam begins with no requirement that is known here')).toBeVisible();
    await field.fill('beauty, foam (channels RGBA), depth (bit depth 32)');
    await expect(
        page.getByText('read as beauty, foam (format.channels RGBA), depth (format.bit_depth 32)'),
    ).toBeVisible();
    await page.keyboard.press('Escape');
});

test('something else is asked since: it is said wherever the check is shown, and is one press away', async ({
    page,
}) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_070', 'Specification');
    const change = async (range: string) => {
        await page
            .getByRole('button', { name: /^Frame range.*Change/ })
            .first()
            .click();
        await page.getByLabel('Frame range', { exact: true }).fill(range);
        await page.keyboard.press('Enter');
        await expect(page.getByRole('button', { name: new RegExp(`^Frame range: ${range}. Change`) })).toBeVisible();
    };
    await change('1001-1020');
    const index = page.getByRole('navigation', { name: 'Index of deliverables' });
    await expect(index.getByRole('link', { name: /TC_070/ })).toContainText('asked otherwise since');
    await page.getByRole('navigation', { name: 'Folios' }).getByText('Frames', { exact: true }).click();
    const told = page.getByRole('status').filter({ hasText: 'Something else is asked since this check' });
    await expect(told).toBeVisible();
    await accessible(page, 'a check that is out of date');
    await page.goto('/');
    await expect(page.getByRole('main').getByRole('row', { name: /TC_070/ })).toContainText('asked otherwise since');
    await page.getByRole('link', { name: 'The Tide Clock' }).click();
    await expect(page.getByRole('main').getByRole('row', { name: /TC_070/ })).toContainText('Asked otherwise since.');
    await page.getByRole('button', { name: 'Asked otherwise since 1' }).click();
    await expect(page.getByRole('row', { name: /TC_0[1-4]0/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'Check 1 again' }).click();
    await expect(page.getByText('1 deliverable was checked again')).toBeVisible();
    await expect(page.getByRole('button', { name: /^Check \d+ again/ })).toHaveCount(0);
    // and on its own page
    await open(page, 'TC_070', 'Specification');
    await change('1001-1024');
    await page.getByRole('navigation', { name: 'Folios' }).getByText('Frames', { exact: true }).click();
    await told.getByRole('button', { name: 'Check again' }).click();
    await expect(told).toHaveCount(0);
    await expect(index.getByRole('link', { name: /TC_070/ })).not.toContainText('asked otherwise since');
});

test('which part settings make is said, changed, and typed in one at a time', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await page.goto('/');
    await open(page, 'VANE_Sabela', 'Scene');
    const made = page.getByRole('group', { name: 'Which part these settings make' });
    await expect(made.getByRole('button', { name: 'frames', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByText('Not checked, the settings given make another part')).toBeVisible();
    await page.getByRole('button', { name: 'Paste text' }).click();
    await page.getByLabel(/^Settings as text/).fill('format = mp4\noutput = renders/sabela_vane_preview.mp4\n');
    await page.getByRole('button', { name: 'Check this' }).click();
    await expect(made.getByRole('button', { name: 'preview', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByText('It balances: every line that must agree does.')).toBeVisible();
    await made.getByRole('button', { name: 'frames', exact: true }).click();
    await expect(made).toContainText('as somebody said');
    await expect(made.getByRole('button', { name: 'frames', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await accessible(page, 'which part a scene makes');
    await made.getByRole('button', { name: 'let their format and name say it' }).click();
    await expect(made).toContainText('as their format and name say');
    await page.getByRole('link', { name: 'Type it in' }).click();
    const parts = page.getByRole('navigation', { name: 'Parts' });
    await expect(parts.getByRole('link', { name: 'frames' })).toHaveAttribute('aria-current', 'page');
    await expect(page.getByLabel('Resolution', { exact: true })).toBeVisible();
    await parts.getByRole('link', { name: 'preview' }).click();
    await expect(page.getByLabel('Resolution', { exact: true })).toHaveCount(0);
    await page.getByLabel('Format', { exact: true }).fill('mp4');
    await expect(page.getByRole('row', { name: /^Format/ }).getByRole('img', { name: 'equal' })).toBeVisible();
    await accessible(page, 'one part typed in');
});

test('an approved picture is uploaded beside the field, and asked by its frame', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_070', 'Specification');
    await page.getByLabel('Ask for more').fill('approved picture');
    await page.keyboard.press('Enter');
    const field = page.getByRole('textbox', { name: /approved picture/i }).last();
    await field.fill('frame 1004');
    await page.getByLabel(/^Upload an approved picture/).setInputFiles('docs/screenshots/board.png');
    await expect(field).toHaveValue(/^frame 1004: uploaded\/[0-9a-f]{16}\.png$/);
    await expect(page.getByText(/^read as frame 1004: uploaded/)).toBeVisible();
    await page.keyboard.press('Escape');
});
