import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { accessible, checkAgain, open, place, production, signIn } from './book';

const learners = [
    'wren Tolliver',
    'pim Osterley',
    'juna Feldspar',
    'tobiah Quince',
    'ilse Varnham',
    'moro Tench',
    'kestrel Oakhanger',
    'dunya Sallow',
    'fenn Brackwater',
    'larka Pennywort',
    'oske Tamarack',
    'sabela Quill',
].map((who, at) => {
    const [handle = '', family = ''] = who.split(' ');

    return { handle, name: `${handle[0]?.toUpperCase()}${handle.slice(1)} ${family}`, number: String(4001 + at) };
});

const csv = (...rows: string[][]): Buffer => Buffer.from(rows.map((row) => `${row.join(',')}\r\n`).join(''));

async function assignment(page: Page): Promise<void> {
    await place(page, 'Points');
    await page.getByRole('main').getByRole('link', { name: 'Weathervane study' }).click();
    await expect(page.getByRole('heading', { name: 'Weathervane study' })).toBeVisible();
    await page.waitForLoadState('networkidle');
}

test.describe('a course', () => {
    test.use({ timezoneId: 'Europe/Berlin' });

    test('from a roster to a gradebook, with twelve learners', async ({ page }) => {
        const faults: string[] = [];
        page.on('pageerror', (fault) => faults.push(fault.message));
        await signIn(page, 'corvin@harbour.example');
        await production(page, 'Output Practice');

        // who they are in another system
        await place(page, 'People');
        await page.getByLabel(/^from a roster/).setInputFiles([
            {
                name: 'users.csv',
                mimeType: 'text/csv',
                buffer: csv(
                    ['sourcedId', 'enabledUser', 'role', 'username', 'givenName', 'familyName', 'identifier', 'email'],
                    ...learners.map(({ handle, name, number }, at) => [
                        `u${at}`,
                        'true',
                        'student',
                        handle,
                        ...name.split(' '),
                        number,
                        `${handle}@practice.example`,
                    ]),
                    ['u99', 'false', 'student', 'gone', 'Long', 'Gone', '4999', 'gone@practice.example'],
                ),
            },
        ]);
        await expect(page.getByText('12 people; 12 of them are here already.')).toBeVisible();
        await expect(page.getByText('Long Gone is not enabled there, and is left out.')).toBeVisible();
        await accessible(page, 'a roster');
        await page.getByLabel('As', { exact: true }).selectOption('learner');
        await page.getByRole('button', { name: 'Make 12 links' }).click();
        await expect(page.getByRole('row', { name: /Dunya Sallow/ })).toContainText('4008');

        // how it is judged
        await assignment(page);
        const row = (name: string) => page.getByRole('row', { name: new RegExp(name) });
        await expect(row('Tobiah Quince')).toContainText('/ 100');
        await page.locator('summary', { hasText: 'How it is judged' }).click();
        const form = page.getByRole('form', { name: 'How it is judged' });
        await form.getByRole('textbox', { name: 'Naming' }).fill('lots');
        await form.getByRole('button', { name: 'Save' }).click();
        await expect(form.getByRole('alert')).toContainText('the points of “Naming” are a number');
        await form.getByRole('textbox', { name: 'Naming' }).fill('35');
        await form.getByLabel('all others together').fill('0');
        await accessible(page, 'how it is judged');
        await form.getByRole('button', { name: 'Save' }).click();
        await expect(page.getByRole('status').first()).toContainText('Everybody is judged this way from now on');
        await expect(row('Wren Tolliver')).toContainText('100');
        await accessible(page, 'an assignment');

        // one who has it back hands in once more
        await signIn(page, 'pim@practice.example');
        await page.goto('/');
        await page.getByRole('link', { name: 'Hand in' }).first().click();
        await expect(page.getByText('It was returned for another attempt')).toBeVisible();
        await expect(page.getByText('Do this first')).toBeVisible();
        await accessible(page, 'what a learner is asked');
        await expect(page.getByText('This very check is handed in.')).toBeVisible();
        await page.getByRole('link', { name: 'Check my files' }).press('Enter');
        await checkAgain(page);
        await open(page, 'VANE_Pim', 'Hand in');
        await page.getByRole('button', { name: 'Hand in anew' }).press('Enter');
        await expect(page.getByRole('status').first()).toContainText('Attempt 2 is handed in.');
        await expect(page.getByRole('row', { name: /^2/ })).toContainText('not told yet');

        // marked, and told
        await signIn(page, 'corvin@harbour.example');
        await production(page, 'Output Practice');
        await assignment(page);
        await row('Pim Osterley')
            .getByRole('link', { name: /^[\d.]+$/ })
            .click();
        const mark = page.getByRole('form', { name: 'Mark' });
        await mark.getByLabel(/^points by hand/).fill('61,5');
        await mark.getByLabel(/^remark/).fill('Better <b>light</b>.');
        await mark.getByRole('button', { name: 'Save' }).click();
        await expect(page.getByRole('row', { name: /Together/ })).toContainText('61.5');
        await accessible(page, 'marking');
        await page.getByRole('main').getByRole('link', { name: 'Weathervane study' }).click();
        await page.getByRole('button', { name: 'Tell everybody their points' }).click();
        await expect(page.getByText(/^Learners see their points since/)).toBeVisible();

        await signIn(page, 'pim@practice.example');
        await page.goto('/notices');
        await page
            .getByRole('link', { name: /your points are there/ })
            .first()
            .click();
        await page.getByRole('row', { name: /^2/ }).getByRole('link', { name: 'Feedback' }).click();
        await expect(page.getByText('Better <b>light</b>.')).toBeVisible();
        await expect(page.getByText('Set the scale back to 100 % after test renders.')).toBeVisible();
        await accessible(page, 'feedback');

        // into the gradebook of another system, known by its ids
        await signIn(page, 'corvin@harbour.example');
        await production(page, 'Output Practice');
        await place(page, 'Points');
        await page.getByLabel('gradebook, CSV').setInputFiles({
            name: 'grades.csv',
            mimeType: 'text/csv',
            buffer: csv(['No', 'Group', 'Final'], ...learners.map(({ number }) => [number, 'A', '']), [
                '4999',
                'B',
                '',
            ]),
        });
        await expect(page.getByText('6 rows are filled; 0 of them had other points before.')).toBeVisible();
        await expect(page.getByText('line 14: 4999')).toBeVisible();
        await accessible(page, 'a gradebook');
        const download = page.waitForEvent('download');
        await page.getByRole('button', { name: 'Take it with points' }).click();
        const lines = readFileSync(await (await download).path(), 'utf8').split('\r\n');
        expect(lines[0]).toBe('No,Group,Final,Weathervane study');
        expect(lines[1]).toBe('4001,A,,100');
        expect(lines[2]).toBe('4002,A,,61.5');
        expect(lines[8]).toBe('4008,A,,');
        expect(lines[13]).toBe('4999,B,,');
        // a workbook is read too, and comes back as CSV
        await page.getByLabel('gradebook, CSV').setInputFiles('tests/fixtures/courses/grades.xlsx');
        await expect(page.getByText('2 rows are filled; 0 of them had other points before.')).toBeVisible();
        const again = page.waitForEvent('download');
        await page.getByRole('button', { name: 'Take it with points' }).click();
        const taken = await again;
        expect(taken.suggestedFilename()).toBe('grades.csv');
        expect(
            readFileSync(await taken.path(), 'utf8')
                .trimEnd()
                .split('\r\n'),
        ).toEqual(['No,Name,Final,Weathervane study', '4001,Wren,,100', '4002,Pim,12.5,61.5', '4999,Nobody here,,']);
        await place(page, 'People');
        await page.getByLabel(/^from a roster/).setInputFiles('tests/fixtures/courses/roster.xlsx');
        await expect(page.getByText('2 people; 0 of them are here already.')).toBeVisible();
        await expect(page.getByLabel('Whom')).toHaveValue(/#202611290000123/);
        expect(faults).toEqual([]);
    });
});

test('an assignment at 390 px, and by night', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await production(page, 'Output Practice');
    await assignment(page);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.getByRole('button', { name: 'all', exact: true }).press('Enter');
    const closed = page.locator('main details:not([open]) > summary');
    while ((await closed.count()) > 0) {
        await closed.first().press('Enter');
    }
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(wide).toBe(0);
    await accessible(page, 'an assignment at 390 px');
    await page.getByRole('button', { name: 'Night' }).click();
    await accessible(page, 'an assignment by night');
    await page.getByRole('button', { name: 'Day' }).click();

    // all of them are written to, and read it
    await page.getByLabel('about').fill('Projector on Monday');
    await page.getByLabel('what they read').fill('It is free at four.\n<b>Come</b>.');
    await page.getByRole('button', { name: 'Write it' }).press('Enter');
    await expect(page.getByRole('status').first()).toContainText('It is written to 12 people');
    await signIn(page, 'wren@practice.example');
    await page.goto('/notices');
    await expect(page.getByRole('region', { name: 'Written to you' })).toContainText('<b>Come</b>.');
    await accessible(page, 'notices with what was written');
});
