import { expect, test } from '@playwright/test';
import { accessible, place, production, signIn } from './book';

test('a production is begun, somebody invited, and what they owe is theirs, without a terminal', async ({
    page,
    browser,
}) => {
    await signIn(page);
    await page.goto('/');
    await page.getByRole('link', { name: 'Begin a production' }).click();
    await page.getByLabel('Name').fill('Slack Water');
    await page.getByLabel('Code').fill('SLW');
    await page.getByLabel('Frame rate').fill('24');
    await expect(page.getByText(/intake\/slw/)).toBeVisible();
    await accessible(page, 'beginning a production');
    await page.getByRole('button', { name: 'Begin it' }).click();
    await expect(page.getByText('Nothing is owed here yet.')).toBeVisible();

    await place(page, 'People');
    await page.getByLabel('Whom').fill('Fenn Harrow, fenn@harbour.example');
    await page.getByRole('button', { name: 'Make a link' }).click();
    const links = page.getByRole('region', { name: 'Links that were made' });
    const link = await links.getByText(/\/join\//).textContent();
    await accessible(page, 'people');

    const context = await browser.newContext();
    const fenn = await context.newPage();
    await fenn.goto(link ?? '');
    await expect(fenn.getByText('You are invited to Slack Water, as artist.')).toBeVisible();
    await accessible(fenn, 'coming in by a link');
    await expect(fenn.getByLabel('Your name')).toHaveValue('Fenn Harrow');
    await fenn.getByLabel('Password').fill('short');
    await fenn.getByLabel('Once more').fill('short');
    await fenn.getByRole('button', { name: 'Come in' }).click();
    await expect(fenn.getByText('A password has at least 12 letters.')).toBeVisible();
    await fenn.getByLabel('Password').fill('four lamps on a quay');
    await fenn.getByLabel('Once more').fill('four lamps on a quay');
    await fenn.getByRole('button', { name: 'Come in' }).click();
    await expect(fenn.getByText('Nothing is owed by you in this production.')).toBeVisible();

    await place(page, 'Deliverables');
    await page.getByRole('link', { name: 'Add the first deliverable' }).click();
    await page.getByLabel('Code').fill('SLW_010');
    await page.getByLabel('Frame range').fill('1-24');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('SLW_010');
    await page.getByRole('link', { name: 'Change', exact: true }).click();
    await page.getByLabel('Owner').selectOption({ label: 'Fenn Harrow, artist' });
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Fenn Harrow');
    await accessible(page, 'what a deliverable is called');

    await fenn.reload();
    await fenn.getByRole('navigation', { name: 'Index of deliverables' }).getByText('SLW_010').click();
    await expect(fenn.getByRole('heading', { level: 1 })).toContainText('SLW_010');
    await context.close();

    await page.getByRole('button', { name: 'Put it away' }).click();
    await expect(page.getByText('SLW_010 is put away.')).toBeVisible();
    await page.getByRole('button', { name: 'Put it back' }).click();
    await expect(page.getByRole('navigation', { name: 'Index of deliverables' })).toContainText('SLW_010');
});

test('anything is found by keyboard', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await page.keyboard.press('Control+k');
    const field = page.getByRole('combobox', { name: 'Find anything' });
    await expect(field).toBeFocused();
    await field.fill('scale below');
    await expect(page.getByRole('option', { name: /TC_030 scale below full/ })).toBeVisible();
    await accessible(page, 'finding something');
    await field.fill('lamp room');
    await expect(page.getByRole('dialog').getByRole('option')).toHaveCount(1);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('TC_020');
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'Find anything' }).fill('nothing has this');
    await expect(page.getByText('Nothing bears that word.')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the administration says how the machine stands, and who runs it', async ({ page }) => {
    await signIn(page);
    await page.getByRole('link', { name: 'Administration' }).click();
    await expect(page.getByText('can be read and written to').first()).toBeVisible();
    await accessible(page, 'the administration');
    // somebody is always left who runs it
    await page.getByRole('row', { name: /Odile/ }).getByRole('checkbox').click();
    await expect(page.getByText('Somebody has to run this ledger')).toBeVisible();
    await page.getByRole('button', { name: 'Night' }).click();
    await accessible(page, 'the administration by night');
    await page.getByRole('button', { name: 'Day' }).click();
});
