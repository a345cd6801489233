import { expect, test } from '@playwright/test';
import { accessible, open, place, production, signIn } from './book';

test('a coordinator signs in and reads what holds TC_020 up', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await expect(page.getByRole('row', { name: /TC_020/ })).toContainText('50 frames to render');
    await open(page, 'TC_020');
    await expect(page.getByRole('complementary')).toContainText(
        'The render stopped after frame 1046: 1047 was cut off mid-write, 49 frames are missing.',
    );
    await expect(page.getByRole('main')).toContainText('1047-1096');
    const range = page.getByRole('row', { name: /^Frame range/ });
    await expect(range).toContainText('1001-1096');
    await expect(range.getByRole('img', { name: 'unequal' })).toBeVisible();
    await expect(page.getByRole('row', { name: /balance/ })).toContainText(/\d+ of \d+ balance/);
});

test('the range to render again can be copied', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_020');
    await page.getByRole('main').getByRole('button', { name: 'Copy the range' }).click();
    await expect(page.getByText('Copied')).toBeVisible();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('1047-1096');
});

test('names that do not fit are shown piece by piece', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_040');
    const names = page.getByRole('table', { name: /How TC_040-titles_v003.001.png reads/ });
    await expect(names.getByRole('row', { name: /found/ })).toContainText('001');
    await expect(page.getByRole('complementary')).toContainText(
        'Rename 72 files: TC_040-titles_v003.###.png to TC_040_titles_v003.####.png',
    );
});

test('only what does not balance can be shown, and balanced groups folded', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_030', 'Scene');
    await expect(page.getByRole('row', { name: /^Frame rate/ })).toBeVisible();
    await page.getByRole('button', { name: 'Time', exact: true }).click();
    await expect(page.getByRole('row', { name: /^Frame rate/ })).toBeHidden();
    await page.getByRole('button', { name: 'Only what does not balance' }).click();
    await expect(page.getByRole('row', { name: /^Pixel aspect/ })).toBeHidden();
    await expect(page.getByRole('row', { name: /^Resolution/ })).toContainText('1024x429');
    await expect(page.getByRole('complementary')).toContainText('a working view and no camera of the scene');
});

test('an artist sees only their own', async ({ page }) => {
    await signIn(page, 'ansel@harbour.example');
    const index = page.getByRole('navigation', { name: 'Index of deliverables' });
    await expect(index.getByText('TC_010')).toBeVisible();
    await expect(index.getByText('TC_030')).toBeHidden();
    await open(page, 'TC_010', 'Specification');
    await expect(page.getByText('Only a coordinator or an instructor changes what is asked.')).toBeVisible();
    await expect(page.getByLabel('Ask for more')).toBeHidden();
    await expect(page.getByRole('button', { name: /Resolution.*Change/ })).toBeHidden();
});

test('the frame strip reads a frame and selects a range by keyboard', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_020');
    const strip = page.getByRole('slider', { name: 'Frame' });
    await strip.focus();
    await page.keyboard.press('End');
    await expect(strip).toHaveAttribute('aria-valuetext', '1096: missing');
    await page.keyboard.press('Home');
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await expect(page.getByLabel('selected')).toHaveValue('1001-1003');
});

test('by keyboard alone: sign in, find, open, read, go round the regions', async ({ page }) => {
    await page.goto('/sign-in');
    await expect(page.getByLabel('Address')).toBeFocused();
    await page.keyboard.type('odile@harbour.example');
    await page.keyboard.press('Tab');
    await page.keyboard.type('tide-clock');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Productions' })).toBeVisible();
    await page.getByRole('link', { name: 'The Tide Clock' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: /The Tide Clock/ })).toBeVisible();
    await page.keyboard.press('/');
    await page.keyboard.type('lamp');
    const index = page.getByRole('navigation', { name: 'Index of deliverables' });
    await expect(index.getByRole('link', { name: /TC_010/ })).toBeHidden();
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('TC_020');
    await page.keyboard.press('1');
    await expect(page).toHaveURL(/specification$/);
    await page.keyboard.press('F6');
    const first = await page.evaluate(() => document.activeElement?.getAttribute('data-region'));
    await page.keyboard.press('F6');
    const second = await page.evaluate(() => document.activeElement?.getAttribute('data-region'));
    expect(first).not.toBeNull();
    expect(second).not.toBe(first);
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog')).toContainText('find in the index');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
});

test('no page and nothing opened on one is in the way of anybody', async ({ page }) => {
    test.setTimeout(300_000);
    await page.goto('/sign-in');
    await accessible(page, 'sign-in');
    await signIn(page);
    await accessible(page, 'productions');
    await production(page, 'The Tide Clock');
    await accessible(page, 'production');
    await open(page, 'TC_020', 'Frames');
    await accessible(page, 'frames');
    await open(page, 'TC_030', 'Scene');
    await accessible(page, 'scene');
    await open(page, 'TC_FOYER', 'Movie');
    await accessible(page, 'movie');
    await production(page, 'The Tide Clock');
    await place(page, 'Deliverables');
    await page.getByRole('link', { name: 'All movies' }).click();
    await expect(page.getByRole('row', { name: /TC_REEL/ })).toContainText('made from frames');
    await accessible(page, 'all movies');
    await open(page, 'TC_040', 'Frames');
    await page.getByRole('button', { name: 'Another folder' }).click();
    await accessible(page, 'names');
    await open(page, 'TC_010', 'Specification');
    await page.getByRole('button', { name: /^Frame rate.*Change/ }).click();
    await accessible(page, 'specification');
    await page.getByLabel('Ask for more').fill('time');
    await accessible(page, 'finder');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /^File names.*Change/ }).click();
    await accessible(page, 'name pattern');
    await page.getByRole('link', { name: 'Hand it out' }).click();
    await expect(page.getByRole('button', { name: 'Make a link' })).toBeVisible();
    await accessible(page, 'handing out');
    await page.goto('/specifications/1');
    await accessible(page, 'revisions');
    await place(page, 'House requirements');
    await expect(page.getByRole('heading', { name: 'Starting values' })).toBeVisible();
    await accessible(page, 'house');
    await place(page, 'Many together');
    await page.getByLabel('The requirement').fill('rate');
    await accessible(page, 'together');
    await place(page, 'From a list');
    await page.getByLabel('text pasted in').check();
    await page.getByLabel('The list').fill('shot,range\nTC_500,1-10\nno code!,1');
    await expect(page.getByRole('row', { name: /TC_500/ }).last()).toBeVisible();
    await accessible(page, 'list');
    await page.goto('/calculator');
    await expect(page.getByText('00:00:10:00')).toBeVisible();
    await accessible(page, 'calculator');
    await page.goBack();
    await page.getByRole('link', { name: 'Add a deliverable' }).click();
    await expect(page.getByRole('heading', { name: 'A new deliverable' })).toBeVisible();
    await accessible(page, 'new deliverable');
    await page.goto('/deliverables/99999/frames');
    await expect(page.getByRole('heading', { name: 'There is no such page.' })).toBeVisible();
    await accessible(page, 'fault');
});

test('a picture of all that is around is turned in, and its seam is looked at', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_060');
    await page.getByRole('link', { name: /See them/ }).click();
    await page.getByRole('button', { name: 'All around' }).click();
    const view = page.getByRole('img', { name: /The arrows turn the view/ });
    await view.press('ArrowRight');
    await expect(page.getByRole('main')).toContainText('looking 6° across and 0° up');
    await page.getByLabel('flat, its seam in the middle').check();
    await accessible(page, 'a picture all around');
    // of what is flat there is no such view
    await open(page, 'TC_010');
    await page
        .getByRole('link', { name: /See them/ })
        .first()
        .click();
    await expect(page.getByRole('button', { name: 'Two frames' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'All around' })).toHaveCount(0);
});
