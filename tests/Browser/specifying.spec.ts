import { expect, test, type Page } from '@playwright/test';
import { open, place, production, signIn } from './book';

const row = (page: Page, name: RegExp) => page.getByRole('row', { name });
const margin = (page: Page) => page.getByRole('complementary', { name: 'Notes in the margin' });

async function specification(page: Page, code: string, email?: string): Promise<void> {
    await signIn(page, email);
    await production(page, 'The Tide Clock');
    await open(page, code, 'Specification');
    await expect(page.getByRole('heading', { name: 'Parts' })).toBeVisible();
}

/** Finds a requirement and asks for it, as somebody at the keyboard does. */
async function askFor(page: Page, word: string, value: string): Promise<void> {
    await page.getByLabel('Ask for more').focus();
    await page.keyboard.type(word);
    await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
    await page.keyboard.press('Enter');
    await page.keyboard.type(value);
    await expect(page.getByText(/^read as/)).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Saved at/)).toBeVisible();
    await expect(page.getByLabel('Ask for more')).toBeFocused();
}

test('a specification is written from nothing by keyboard alone', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await page.getByRole('link', { name: 'Add a deliverable' }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('Code').focus();
    await page.keyboard.type('TC_200');
    await page.getByLabel('Specification', { exact: true }).focus();
    await page.keyboard.press('End');
    await page.getByLabel('a preset').focus();
    // up from the first of the choices is the last: nothing
    await page.keyboard.press('ArrowUp');
    await expect(page.getByLabel('nothing', { exact: true })).toBeChecked();
    await page.getByRole('button', { name: 'Add it' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('TC_200 is in the book.')).toBeVisible();

    await page.keyboard.press('a');
    await expect(page.getByLabel('Ask for more')).toBeFocused();
    await askFor(page, 'size', '1920 x 1080');
    await askFor(page, 'first frame', '1-100');
    // the house asks for a rate already: it is edited where it stands
    await page.keyboard.type('fps');
    await page.keyboard.press('Enter');
    await page.keyboard.type('29.97');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Frame rate: 30000/1001. Change' })).toBeFocused();
    await page.keyboard.press('a');
    await askFor(page, 'padding', '{shot}_v{version:3}.{frame:4}.{ext}');
    await askFor(page, 'file format', 'tiff');
    await expect(row(page, /^Resolution/)).toContainText('1920x1080');
    await expect(row(page, /^Frame rate/)).toContainText('30000/1001');
    await expect(row(page, /^Frame rate/)).toContainText('this deliverable, instead of 24 of the house');
    await expect(page.getByRole('main')).toContainText('100 frames, 1 to 100, at 29.97 a second');
    await expect(margin(page)).toContainText('00:00:00;01 – 00:00:03;10');
    await expect(margin(page)).toContainText('TC_200_v003.0001.tif');
    await page.getByRole('button', { name: 'version: 3. Change' }).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Control+a');
    await page.keyboard.type('12');
    await page.keyboard.press('Enter');
    await expect(margin(page)).toContainText('TC_200_v012.0100.tif');
});

test('what is typed shows what would follow before it is kept, and is left by Escape', async ({ page }) => {
    await specification(page, 'TC_030');
    await row(page, /^Frame range/)
        .getByRole('button', { name: /Change/ })
        .click();
    const field = page.getByLabel('Frame range', { exact: true });
    await field.fill('1001-1240');
    await expect(page.getByText('read as 1001-1240')).toBeVisible();
    await expect(margin(page)).toContainText('as typed');
    await expect(margin(page)).toContainText('10 s');
    await field.fill('many');
    await expect(page.getByText(/is not a frame range/)).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(field).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(margin(page)).not.toContainText('as typed');
    await expect(row(page, /^Frame range/)).toContainText('1001-1096');
    await expect(row(page, /^Frame range/).getByRole('button', { name: /Change/ })).toBeFocused();
});

test('a number does not change because somebody scrolled over it', async ({ page }) => {
    await specification(page, 'TC_030');
    await row(page, /^Render scale/)
        .getByRole('button', { name: /Change/ })
        .click();
    const field = page.getByLabel('Render scale', { exact: true });
    await field.hover();
    await page.mouse.wheel(0, 400);
    await page.mouse.wheel(0, -700);
    await expect(field).toHaveValue('100');
});

test('an override is kept when it is left, says what it replaced, is taken back, undone and made again', async ({
    page,
}) => {
    await specification(page, 'TC_030');
    const rate = row(page, /^Frame rate/);
    await rate.getByRole('button', { name: /Change/ }).click();
    await page.getByLabel('Frame rate', { exact: true }).fill('23.976');
    await expect(page.getByText('read as 24000/1001')).toBeVisible();
    await page.getByLabel('Ask for more').focus();
    await expect(page.getByText(/^Saved at/)).toBeVisible();
    await expect(rate).toContainText('this deliverable, instead of 24 of the house');
    await expect(page.getByRole('region', { name: 'Who set what' })).toContainText(
        '24000/1001 here, not 24 of the house',
    );
    await rate.getByRole('button', { name: 'take back' }).click();
    await expect(rate.getByRole('button', { name: /: 24\. Change/ })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(rate).toContainText('24000/1001');
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('Control+z');
    await expect(rate.getByRole('button', { name: /: 24\. Change/ })).toBeVisible();
    await page.keyboard.press('Control+y');
    await expect(rate).toContainText('24000/1001');
    await page.keyboard.press('Control+z');
    await expect(rate.getByRole('button', { name: /: 24\. Change/ })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('what the house asks is asked no more, and again', async ({ page }) => {
    await specification(page, 'TC_030');
    await row(page, /^Pixel aspect/)
        .getByRole('button', { name: /Change/ })
        .click();
    await page.getByRole('button', { name: 'remove', exact: true }).click();
    await expect(page.getByText(/No longer asked here: pixel aspect/)).toBeVisible();
    await expect(row(page, /^Pixel aspect/)).toBeHidden();
    await page.getByRole('button', { name: 'ask again' }).click();
    await expect(row(page, /^Pixel aspect/)).toContainText('house');
});

test('requirements that conflict are named, and one press settles them', async ({ page }) => {
    await specification(page, 'TC_030');
    await row(page, /^File names/)
        .getByRole('button', { name: /Change/ })
        .click();
    await page.getByLabel('File names', { exact: true }).fill('{shot}.{frame:3}.{ext}');
    await expect(margin(page)).toContainText('Frame 1096 needs 4 digits and the name has 3.');
    await page.keyboard.press('Enter');
    const note = page.getByRole('region', { name: 'What does not agree' });
    await expect(note).toContainText('Frame 1096 needs 4 digits');
    await expect(row(page, /^Frame range/).getByRole('link', { name: 'note 1' })).toBeVisible();
    await page.getByRole('link', { name: 'Hand it out' }).click();
    await expect(page.getByText('Not settled yet', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Make a link' }).click();
    await expect(page.getByRole('alert')).toContainText('What is asked contradicts itself.');
    await page.goto('/productions/1/specifications');
    await page.getByRole('button', { name: 'Proofread all that is asked' }).click();
    await expect(page.getByRole('region', { name: 'Proofreading' })).toContainText('Frame 1096 needs 4 digits');
    await open(page, 'TC_030', 'Specification');
    await page.getByRole('button', { name: 'Count frames with 4 digits.' }).click();
    await expect(note).toBeHidden();
    await expect(row(page, /^File names/)).toContainText('{shot}.{frame:4}.{ext}');
    await row(page, /^File names/)
        .getByRole('button', { name: 'take back' })
        .click();
    await expect(row(page, /^File names/)).toContainText('this specification');
});

test('a name pattern is built of blocks by keyboard', async ({ page }) => {
    await specification(page, 'TC_030');
    await row(page, /^File names/)
        .getByRole('button', { name: /Change/ })
        .click();
    const field = page.getByLabel('File names', { exact: true });
    await field.fill('{shot}.{frame:4}.{ext}');
    await page.getByRole('group', { name: 'Add a piece' }).getByRole('button', { name: 'pass', exact: true }).focus();
    // behind the chosen block, the first
    await page.keyboard.press('Enter');
    await expect(field).toHaveValue('{shot}{pass}.{frame:4}.{ext}');
    await expect(page.getByRole('button', { name: 'piece pass, 2 of 6' })).toBeFocused();
    await page.keyboard.press('Alt+ArrowLeft');
    await expect(field).toHaveValue('{pass}{shot}.{frame:4}.{ext}');
    await page.keyboard.press('Alt+ArrowRight');
    await expect(page.getByRole('button', { name: 'piece pass, 2 of 6' })).toBeFocused();
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByRole('button', { name: 'piece shot, 1 of 6' })).toBeFocused();
    await page.getByRole('button', { name: 'text _', exact: true }).focus();
    await page.keyboard.press('Enter');
    await expect(field).toHaveValue('{shot}_{pass}.{frame:4}.{ext}');
    await page.getByRole('button', { name: /^piece frame 4/ }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('digits of frame').fill('1');
    await expect(field).toHaveValue('{shot}_{pass}.{frame:1}.{ext}');
    await expect(margin(page)).toContainText('TC_030_beauty.1001.exr');
    await expect(margin(page)).toContainText('Frame numbers are not filled with zeros');
    await page.keyboard.press('Escape');
    await expect(row(page, /^File names/)).toContainText('{task}');
});

test('whoever leaves while a change is on its way leaves after it', async ({ page }) => {
    await specification(page, 'TC_030');
    await page.route('**/requirements', async (route) => {
        await new Promise((done) => setTimeout(done, 1500));
        await route.continue();
    });
    await row(page, /^Frame step/)
        .getByRole('button', { name: /Change/ })
        .click();
    await page.getByLabel('Frame step', { exact: true }).fill('2');
    await expect(page.getByText('read as 2')).toBeVisible();
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: 'Hand it out' }).click();
    await expect(page.getByRole('button', { name: 'Make a link' })).toBeVisible();
    await page.getByRole('link', { name: 'Back to what is asked' }).click();
    await expect(row(page, /^Frame step/).getByRole('button', { name: /: 2\. Change/ })).toBeVisible();
    await row(page, /^Frame step/)
        .getByRole('button', { name: 'take back' })
        .click();
    await expect(row(page, /^Frame step/).getByRole('button', { name: /: 1\. Change/ })).toBeVisible();
    await page.unroute('**/requirements');
});

test('two people at the same specification: told of each other, and nothing is written over', async ({
    page,
    browser,
}) => {
    await specification(page, 'TC_020');
    await row(page, /^Frame rate/)
        .getByRole('button', { name: /Change/ })
        .click();
    const mine = page.getByLabel('Frame rate', { exact: true });
    await mine.fill('30');
    const other = await (await browser.newContext()).newPage();
    await specification(other, 'TC_020');
    await other.getByLabel('Ask for more').focus();
    await row(other, /^Frame rate/)
        .getByRole('button', { name: /Change/ })
        .click();
    await other.getByLabel('Frame rate', { exact: true }).fill('25');
    await other.keyboard.press('Enter');
    await expect(row(other, /^Frame rate/)).toContainText('this deliverable');
    await mine.press('Enter');
    await expect(page.getByRole('alert')).toContainText('has changed this meanwhile');
    await expect(mine).toHaveValue('30');
    await page.getByRole('button', { name: 'Leave theirs' }).click();
    await expect(row(page, /^Frame rate/)).toContainText('25');
    await row(page, /^Frame rate/)
        .getByRole('button', { name: 'take back' })
        .click();
    await expect(row(page, /^Frame rate/)).toContainText('house');
    await other.context().close();
});

test('a specification begins from files that are right', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await page.getByRole('link', { name: 'Add a deliverable' }).click();
    await page.getByLabel('Code').fill('TC_210');
    await page.getByLabel('Specification', { exact: true }).selectOption('a new one');
    await page.getByLabel('files that are right').check();
    await page.getByRole('button', { name: 'TC_010/' }).click();
    await page.getByRole('button', { name: 'Read these files' }).click();
    await expect(page.getByRole('region', { name: /What the files fulfil/ })).toContainText(
        '96 frames, 1001 to 1096, at 24 a second: exactly 4 s.',
    );
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByText('TC_210 is in the book.')).toBeVisible();
    await expect(row(page, /^Passes/)).toContainText('beauty | mist | shadow');
    await expect(row(page, /^Resolution/)).toContainText('2048x858');
});

test('the sheet is handed out: as files, by a link without a sign-in that can be taken back', async ({
    page,
    browser,
}) => {
    await specification(page, 'TC_010');
    await page.getByRole('link', { name: 'Hand it out' }).click();
    await expect(page.frameLocator('#the-sheet').getByRole('heading', { level: 1 })).toContainText(
        'TC_010, quay at dawn',
    );
    const pdf = await page.request.get('/deliverables/1/sheet.pdf');
    const bytes = (await pdf.body()).toString('latin1');
    expect(bytes.startsWith('%PDF-')).toBe(true);
    expect(bytes.match(/\/Type \/Page\b/g)).toHaveLength(1);
    expect(await (await page.request.get('/deliverables/1/sheet.usda')).text()).toContain('framesPerSecond = 24');
    await page.getByRole('button', { name: 'Make a link' }).click();
    const link = page.getByRole('link', { name: /^open until/ });
    await expect(link).toBeVisible();
    const stranger = await (await browser.newContext()).newPage();
    const path = (await link.getAttribute('href')) ?? '';
    await stranger.goto(new URL(path, page.url()).href);
    await expect(stranger.getByRole('heading', { level: 1 })).toContainText('TC_010, quay at dawn');
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(page.getByText(/^taken back/)).toBeVisible();
    expect((await stranger.reload())?.status()).toBe(403);
    await expect(stranger.getByText('It was taken back.')).toBeVisible();
    await stranger.context().close();
});

test('a workbook is read into deliverables, with bad rows told and columns corrected', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await place(page, 'From a list');
    await page.getByLabel('The file').setInputFiles('tests/fixtures/lists/shots.xlsx');
    const plan = page.getByRole('region', { name: 'What would be done' });
    await expect(plan).toContainText('1 made, 1 changed, 3 refused');
    await expect(plan.getByRole('row', { name: /TC 130/ })).toContainText('is no code');
    await expect(plan.getByRole('row', { name: /TC_120/ }).last()).toContainText('only one end of it is told');
    await page.getByLabel('What Cut out holds').selectOption('left out');
    await page.getByLabel('What Cut in holds').selectOption('left out');
    await page.getByLabel('What Weather holds').selectOption('piece {weather}');
    await expect(plan).toContainText('2 made');
    await expect(plan.getByRole('row', { name: /TC_110/ }).last()).toContainText('{weather} grey');
    await page.getByRole('button', { name: /^Make 2/ }).click();
    await expect(page.getByRole('status')).toContainText('2 deliverables made');
    await open(page, 'TC_120', 'Specification');
    await expect(row(page, /^Camera Camera/)).toContainText('cam_dome');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Brida');
    await page.goto('/productions/1/list');
    await page.getByLabel('text pasted in').check();
    await page.getByLabel('The list').fill('nothing,that\nis,known');
    await expect(page.getByRole('alert')).toBeVisible();
});

test('one value of many is looked at, then changed together', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await place(page, 'Many together');
    await page
        .getByRole('list', { name: 'Deliverables' })
        .getByLabel(/TC_020/)
        .check();
    await page
        .getByRole('list', { name: 'Deliverables' })
        .getByLabel(/TC_030/)
        .check();
    await page.getByLabel('The requirement').fill('handles');
    await page.keyboard.press('Enter');
    await page.getByLabel('Handles').fill('8');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('row', { name: /TC_030/ }).last()).toContainText('8+8');
    await page.getByRole('button', { name: 'Change 2' }).click();
    await expect(page.getByText('2 deliverables changed.')).toBeVisible();
    await page
        .getByRole('list', { name: 'Deliverables' })
        .getByLabel(/TC_020/)
        .check();
    await page
        .getByRole('list', { name: 'Deliverables' })
        .getByLabel(/TC_030/)
        .check();
    await page.getByLabel(/take back what each sets/).check();
    await page.getByRole('button', { name: /^Look at/ }).click();
    await page.getByRole('button', { name: 'Change 2' }).click();
    await expect(page.getByText('2 deliverables changed.')).toBeVisible();
});

test('revisions: a change after a check begins one, two are compared, what is out of date is checked again', async ({
    page,
}) => {
    await specification(page, 'TC_040');
    await page.getByLabel(/its specification/).check();
    await row(page, /^Bit depth/)
        .getByRole('button', { name: /Change/ })
        .click();
    await page.getByLabel('Bit depth', { exact: true }).fill('16');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('link', { name: /Titles, revision 2/ })).toBeVisible();
    await page.getByRole('link', { name: /Titles, revision 2/ }).click();
    const compared = page.getByRole('region', { name: 'Two revisions compared' });
    await expect(compared.getByRole('row', { name: /Bit depth/ })).toContainText('16');
    await page.getByRole('button', { name: 'Check them again by what is asked now' }).click();
    await expect(page.getByRole('status')).toContainText('1 deliverable was checked again');
    await expect(page.getByRole('row', { name: /^2 / })).toContainText('1 of 1 deliverable');
    await page.getByRole('button', { name: 'Save as a preset' }).click();
    await expect(page.getByText('“Titles” is among this production’s presets.')).toBeVisible();
    await place(page, 'Specifications');
    await expect(page.getByRole('heading', { name: 'Presets of this production' })).toBeVisible();
});

test('the house asks, and everything follows', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await place(page, 'House requirements');
    await page.getByLabel('Ask for more').fill('motion blur');
    await page.keyboard.press('Enter');
    await page.keyboard.type('on');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^Saved at/)).toBeVisible();
    await open(page, 'TC_010', 'Specification');
    await expect(row(page, /^Motion blur/)).toContainText('house');
    await page.goto('/productions/1/house');
    await page.getByLabel('Add a starting value').fill('resolution');
    await page.keyboard.press('Enter');
    await page.keyboard.type('1920 x 1080 | 1280x720');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Resolution: 1920x1080 | 1280x720. Change' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: 'Resolution: 400x300. Change' })).toBeVisible();
});

test('a part is added, asked for apart, and taken out', async ({ page }) => {
    await specification(page, 'TC_210');
    await page.getByRole('button', { name: 'Add a part' }).click();
    await page.getByLabel('Name', { exact: true }).fill('preview');
    await page.getByRole('button', { name: 'Add the part' }).click();
    const preview = page.getByRole('region', { name: 'preview', exact: true });
    await expect(preview.getByRole('heading', { name: /preview made from frames/ })).toBeVisible();
    await preview.getByLabel('Ask more of preview').fill('codec');
    await page.keyboard.press('Enter');
    await page.keyboard.type('h264');
    await page.keyboard.press('Enter');
    await expect(preview.getByRole('row', { name: /^Codec/ })).toContainText('h264');
    await expect(
        page.getByRole('region', { name: 'frames', exact: true }).getByRole('row', { name: /^Codec/ }),
    ).toBeHidden();
    page.once('dialog', (dialog) => void dialog.accept());
    await page
        .getByRole('region', { name: 'Parts' })
        .getByRole('listitem')
        .filter({ hasText: 'preview' })
        .getByRole('button', { name: 'take out' })
        .click();
    await expect(preview).toBeHidden();
});

test('sums show their formula and are copied', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await signIn(page);
    await page.getByRole('link', { name: 'Calculator' }).click();
    const lengths = page.getByRole('region', { name: 'Frames, time and timecode' });
    await lengths.getByLabel('at, frames a second').fill('29.97');
    await lengths.getByLabel('Length').fill('00:01:00;02');
    await expect(lengths).toContainText('1800');
    await lengths.getByRole('button', { name: 'Copy' }).first().click();
    await expect(lengths.getByText('Copied')).toBeVisible();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('1800');
    await lengths.getByLabel('Length').fill('some');
    await expect(lengths).toContainText('“some”');
});
