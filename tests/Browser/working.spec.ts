import { expect, test } from '@playwright/test';
import { open, production, signIn } from './book';

const scene = (settings: object) =>
    Buffer.from(
        JSON.stringify({ format: 'plain-ledger/scene', version: 1, scene: { file: 'TC_040', saved: true }, settings }),
    );

test('a settings file is dropped; what it means and what was not understood is told', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_040', 'Scene');
    await expect(page.getByText('No settings are known of this scene yet.')).toBeVisible();
    await page.getByLabel('Settings file').setInputFiles({
        name: 'broken.json',
        mimeType: 'application/json',
        buffer: Buffer.from('{"format": "plain-ledger/scene",'),
    });
    await expect(page.getByRole('alert')).toContainText('broken.json: line 1, column 33');
    await page.getByLabel('Settings file').setInputFiles({
        name: 'TC_040.json',
        mimeType: 'application/json',
        buffer: scene({
            'picture.resolution': '2048x858',
            'picture.scale': 50,
            'time.range': '1-60',
            'fog.amount': 2,
        }),
    });
    await expect(page.getByRole('main')).toContainText('Not understood: 1 setting');
    await expect(page.getByRole('main')).toContainText('fog.amount');
    const size = page.getByRole('row', { name: /^Resolution/ });
    await expect(size).toContainText('1024x429');
    await expect(size).toContainText('changed since; the files are right');
    await expect(page.getByRole('complementary')).toContainText('Past checks');
});

test('a folder is chosen in the intake and checked by the queue, with progress', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await open(page, 'VANE_Juna');
    await page.getByRole('button', { name: 'Another folder' }).click();
    await page.getByRole('button', { name: 'Hand-in' }).click();
    await page.getByRole('button', { name: 'wren/' }).click();
    await page.getByRole('button', { name: 'v003/' }).click();
    await expect(page.getByRole('main').getByText(/97 files: wren_vane_0001/)).toBeVisible();
    await page.getByRole('button', { name: 'Check this folder' }).click();
    await expect(page.getByRole('main')).toContainText('Hand-in/wren/v003', { timeout: 60_000 });
    // another learner's names: the frames are there, and are not hers
    await expect(page.getByRole('main')).toContainText('Names that do not fit');
});

test('a learner never sees another’s folder', async ({ page }) => {
    await signIn(page, 'wren@practice.example');
    await open(page, 'VANE_Wren');
    await page.getByRole('button', { name: 'Another folder' }).click();
    await page.getByRole('button', { name: 'Hand-in' }).click();
    await expect(page.getByRole('button', { name: 'v003/' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'juna/' })).toBeHidden();
});

test('a new deliverable is added and stands in the index, not checked yet', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await page.getByRole('link', { name: 'Add a deliverable' }).click();
    await page.getByLabel('Code').fill('TC_075');
    await page
        .getByLabel('Title')
        .fill('a very long title of a shot that goes on and on beyond what a line of the index could ever hold');
    await page.getByLabel('Frame range').fill('1001 - 1048');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByText('TC_075 is in the book.')).toBeVisible();
    await expect(page.getByRole('main')).toContainText('48 frames, 1001 to 1048, at 24 a second: exactly 2 s.');
    await page.getByRole('navigation', { name: 'Folios' }).getByText('Frames').click();
    await expect(page.getByText('No files have been looked at yet.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'TC_010/' })).toBeVisible();
});
