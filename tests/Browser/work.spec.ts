import { expect, test } from '@playwright/test';
import { accessible, place, production, signIn } from './book';

test('many deliverables are given a time and put away together, and a view is kept', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await page.getByRole('checkbox', { name: 'Choose TC_FOYER' }).check();
    await page.getByRole('checkbox', { name: 'Choose TC_REEL' }).check();
    const chosen = page.getByRole('region', { name: 'What is chosen' });
    await expect(chosen).toContainText('2 chosen');
    await chosen.getByLabel('due').fill('2031-05-06T07:08');
    await chosen.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('status')).toHaveText('2 deliverables changed.');
    await expect(chosen).toBeHidden();
    await page.getByRole('checkbox', { name: 'Choose TC_REEL' }).check();
    await chosen.getByRole('button', { name: 'Put away' }).click();
    await expect(page.getByRole('checkbox', { name: 'Choose TC_REEL' })).toBeHidden();
    await page.getByRole('button', { name: 'Put it back' }).click();
    await expect(page.getByRole('checkbox', { name: 'Choose TC_REEL' })).toBeVisible();

    await page.getByText('Columns and views').click();
    await page.getByRole('checkbox', { name: 'marks by group' }).uncheck();
    await page.getByRole('checkbox', { name: 'specification', exact: true }).check();
    await expect(page.getByRole('columnheader', { name: 'specification' })).toBeVisible();
    await expect(page.getByRole('columnheader', { name: 'Picture' })).toBeHidden();
    await page.getByLabel('Save this view as').fill('By specification');
    await page.locator('details').getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('status')).toHaveText('“By specification” is kept.');
    await accessible(page, 'the table of all that is owed');
    await page.reload();
    await page.getByLabel('Saved views').selectOption('By specification');
    await expect(page.getByRole('columnheader', { name: 'specification' })).toBeVisible();
});

test('owner, due time and title of a line are changed where they stand, by keyboard', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    const title = page.getByRole('button', { name: /^TC_FOYER, title:/ });
    await title.focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('Title of TC_FOYER').fill('Foyer loop');
    await page.keyboard.press('Escape');
    await expect(title).toBeFocused();
    await expect(title).not.toContainText('Foyer loop');
    await page.keyboard.press('Enter');
    await page.getByLabel('Title of TC_FOYER').fill('Foyer loop');
    await page.keyboard.press('Enter');
    await expect(title).toHaveText('Foyer loop');
    await expect(title).toBeFocused();

    await page.getByRole('button', { name: /^TC_FOYER, owner:/ }).click();
    await page.getByLabel('Owner of TC_FOYER').selectOption({ label: 'Brida Coil, artist' });
    // it is saved when it is left
    await page.keyboard.press('Tab');
    await expect(page.getByRole('button', { name: /^TC_FOYER, owner:/ })).toHaveText('Brida Coil');
    await page.getByRole('button', { name: /^TC_FOYER, due:/ }).click();
    await page.getByLabel('Due time of TC_FOYER').fill('2031-05-06T07:08');
    await accessible(page, 'a due time that is changed');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^TC_FOYER, due:/ }).click();
    await expect(page.getByLabel('Due time of TC_FOYER')).toHaveValue('2031-05-06T07:08');
});

test('a production is archived, read, and taken back; its history tells so', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await place(page, 'Settings');
    await page.getByRole('button', { name: 'Archive' }).click();
    await expect(page.getByText('Archived: it can be read, and nothing in it changed.', { exact: true })).toBeVisible();
    await page.getByRole('textbox', { name: 'Name' }).fill('The Tide Clocks');
    await page.getByRole('button', { name: 'Save' }).first().click();
    const refused = page.getByRole('main').getByRole('alert');
    await expect(refused).toContainText('The Tide Clock is archived: it can be read');
    await page.getByRole('button', { name: 'Take back from the archive' }).click();
    await expect(page.getByRole('status')).toHaveText('The Tide Clock is worked on again.');
    await place(page, 'History');
    await expect(page.getByRole('row').nth(1)).toContainText('took back from the archive the production TC');
    await page.getByLabel('words').fill('due time');
    await page.getByRole('button', { name: 'Look' }).click();
    await expect(page.getByRole('row').nth(1)).toContainText('changed the due time of TC_');
    await accessible(page, 'the history');
});

test('a sample is added, looked at and removed; a specification is duplicated and deleted', async ({ page }) => {
    await signIn(page);
    await page.goto('/administration');
    await page.getByRole('button', { name: 'Add a sample to look around in' }).click();
    await expect(page.getByRole('row', { name: /BOAT_020/ })).toContainText('The render stopped after frame 1016');
    await place(page, 'Specifications');
    await page.getByRole('button', { name: 'Duplicate Sample frames' }).click();
    await expect(page.getByLabel('Specification', { exact: true })).toHaveValue('Sample frames, copy');
    await place(page, 'Specifications');
    page.once('dialog', (dialog) => void dialog.accept());
    await page.getByRole('button', { name: 'Delete Sample frames, copy' }).click();
    await expect(page.getByRole('status')).toHaveText('“Sample frames, copy” is deleted.');
    await page.getByRole('button', { name: 'Retire Sample frames' }).click();
    await expect(page.getByText('retired', { exact: true })).toBeVisible();
    await place(page, 'Settings');
    await page.getByRole('button', { name: 'Remove this sample with its files' }).click();
    await expect(page.getByRole('status')).toHaveText('The sample is gone, with its files.');
    await expect(page.getByRole('link', { name: 'A sample production' })).toBeHidden();
});

test('times are those of the reader’s clock', async ({ browser }) => {
    const told = async (timezoneId: string) => {
        const context = await browser.newContext({ timezoneId });
        const page = await context.newPage();
        await signIn(page);
        await production(page, 'The Tide Clock');
        await place(page, 'History');
        const first = await page.getByRole('row').nth(1).getByRole('rowheader').textContent();
        await context.close();

        return Date.parse(`${first?.replace(',', ` ${new Date().getFullYear()}`) ?? ''} UTC`);
    };
    const here = await told('UTC');
    expect(here).toBeGreaterThan(0);
    expect(await told('Asia/Kathmandu')).toBe(here + (5 * 60 + 45) * 60_000);
});

test('of a long board only what is in sight is drawn, on a desk and on a phone, and all of it is reached', async ({
    page,
}) => {
    await signIn(page);
    await page.goto('/');
    await page.getByRole('link', { name: 'Begin a production' }).click();
    await page.getByLabel('Name').fill('Long Quay');
    await page.getByLabel('Code').fill('LQ');
    await page.getByLabel('Frame rate').fill('24');
    await page.getByRole('button', { name: 'Begin it' }).click();
    await expect(page.getByText('Nothing is owed here yet.')).toBeVisible();
    const board = new URL(page.url()).pathname;
    await page.getByRole('link', { name: 'Add the first deliverable' }).click();
    await page.getByLabel('Code').fill('LQ_001');
    await page.getByLabel('Frame range').fill('1-24');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('LQ_001');
    await page.goto(`${board}/list`);
    await page.getByLabel('text pasted in').check();
    const codes = Array.from({ length: 149 }, (_, at) => `LQ_${String(at + 2).padStart(3, '0')}`);
    await page.getByLabel('The list').fill(`shot,range\n${codes.map((code) => `${code},1-24`).join('\n')}`);
    await page.getByRole('button', { name: /^Make 149/ }).click();
    await expect(page.getByRole('status')).toContainText('149 deliverables made');
    for (const width of [1280, 768, 390]) {
        await page.setViewportSize({ width, height: 800 });
        await page.goto(board);
        const rows = page.getByRole('main').getByRole('checkbox', { name: /^Choose LQ_/ });
        await expect(rows.first()).toBeVisible();
        await expect(page.getByRole('checkbox', { name: 'Choose LQ_150' })).toHaveCount(0);
        expect(await rows.count()).toBeLessThan(60);
        // where it ends its last line stands, whatever scrolls
        await expect(async () => {
            await page.evaluate(() => {
                window.scrollTo(0, document.documentElement.scrollHeight);
                document.querySelector('main')?.closest('.scroll')?.scrollTo(0, 1_000_000);
                document.querySelector('main .scroll')?.scrollTo(0, 1_000_000);
            });
            await expect(page.getByRole('checkbox', { name: 'Choose LQ_150' })).toBeInViewport({ timeout: 500 });
        }).toPass();
        await expect(page.getByRole('checkbox', { name: 'Choose LQ_001' })).toHaveCount(0);
        expect(await page.evaluate(() => document.querySelectorAll('*').length)).toBeLessThan(3000);
    }
    // the screen becomes another while the page is open
    await page.setViewportSize({ width: 1280, height: 800 });
    await expect(page.getByRole('checkbox', { name: /^Choose LQ_/ }).first()).toBeVisible();
});
