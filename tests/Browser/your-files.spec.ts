import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { accessible, production, signIn } from './book';

const text = (name: string, content: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(content) });

const picture = (name: string) => ({
    name,
    mimeType: 'image/png',
    buffer: readFileSync('tests/fixtures/encoders/rgb8.png'),
});

async function begin(page: Page, name = 'The Tide Clock'): Promise<void> {
    await signIn(page);
    await production(page, name);
    await page.getByRole('link', { name: 'Bring in' }).click();
    await expect(page.getByText('Drop anything here')).toBeVisible();
}

/** The line of what was brought under a name. */
const line = (page: Page, name: string | RegExp) => page.getByRole('row').filter({ hasText: name });

test('whatever is brought is known for what it is, and taken where it is read', async ({ page }) => {
    await begin(page);
    await accessible(page, 'bringing anything');
    const anything = [
        text('TC_010.txt', 'resolution = 2048x858\nfps = 24\nframes = 1001-1096\n'),
        text('shots.csv', 'shot,range,owner,due\nTC_700,1001-1048,brida,2026-12-24\n'),
        text('roster.csv', 'name;e-mail\n"Oake, Rowan";rowan@harbour.example\n'),
        text('friday.log', 'frame 1001 done in 61.5 s\nframe 1002 done in 60.5 s\n'),
        picture('TC_020.1001.png'),
        picture('TC_020.1002.png'),
        text('letter.txt', 'Dear all, it comes on Friday.'),
    ];
    await page.getByLabel('Files of any kind').setInputFiles(anything);
    await expect(line(page, 'TC_010.txt')).toContainText('the settings of a scene');
    await expect(line(page, 'shots.csv')).toContainText('a list of 1 deliverable');
    await expect(line(page, 'TC_020.#.png')).toContainText('2 files of a delivery');
    await expect(line(page, 'TC_020.#.png').getByRole('combobox')).toHaveValue(/^\d+$/);
    await expect(line(page, 'letter.txt')).toContainText('nothing here reads it');
    // whose a log is that does not say so is asked first
    const log = line(page, 'friday.log');
    await expect(log.getByRole('button', { name: 'Read the log' })).toBeDisabled();
    await accessible(page, 'what was brought');

    const shot = log.getByRole('option', { name: /^TC_010/ });
    await log.getByRole('combobox').selectOption((await shot.getAttribute('value')) ?? '');
    await log.getByRole('button', { name: 'Read the log' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('TC_010');
    await expect(page.getByText('friday.log')).toBeVisible();

    await page.goBack();
    await page.getByLabel('Files of any kind').setInputFiles(anything);
    await line(page, 'shots.csv').getByRole('button', { name: 'Read the list' }).click();
    await expect(page).toHaveURL(/list$/);
    await expect(page.getByRole('row').filter({ hasText: 'TC_700' }).first()).toBeVisible();

    await page.goBack();
    await page.getByLabel('Files of any kind').setInputFiles(anything);
    await line(page, 'roster.csv').getByRole('button', { name: 'Invite them' }).click();
    await expect(page).toHaveURL(/people$/);
    await expect(page.getByLabel('Whom')).toHaveValue('Rowan Oake, rowan@harbour.example');

    await page.goBack();
    await page.getByLabel('Files of any kind').setInputFiles(anything);
    await line(page, 'TC_010.txt').getByRole('button', { name: 'Read the settings' }).click();
    await expect(page.getByRole('button', { name: 'Check 1 scene' })).toBeVisible();
});

test('frames that are brought are checked where they lie', async ({ page }) => {
    await begin(page, 'Output Practice');
    await page.getByLabel('Files of any kind').setInputFiles([picture('VANE_Larka.0001.png')]);
    await line(page, 'VANE_Larka.0001.png').getByRole('button', { name: 'Check them from here' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('VANE_Larka');
    await expect(page.getByRole('main')).toContainText(/66\s?[x×]\s?38/, { timeout: 30_000 });
});
