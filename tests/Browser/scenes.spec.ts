import { appendFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { accessible, home, open, place, production, signIn } from './book';

/** Scenes before and during the render: typed, pasted, pointed at, dropped by the dozen, overseen, followed. */

const LEARNERS = [
    'wren',
    'pim',
    'juna',
    'tobiah',
    'ilse',
    'moro',
    'kestrel',
    'dunya',
    'fenn',
    'larka',
    'oske',
    'sabela',
];
const scene = (learner: string, more = ''): string =>
    'size = 1280x720\npixel aspect = 1\nfps = 24\nframes = 1-96\nstep = 1\nformat = png\nbit depth = 8\n' +
    `channels = RGB\noutput = renders/${learner}_vane_####.png\n${more}`;
const file = (name: string, text: string): { name: string; mimeType: string; buffer: Buffer } => ({
    name,
    mimeType: 'text/plain',
    buffer: Buffer.from(text),
});

async function paste(page: Page, text: string): Promise<void> {
    await page.getByRole('button', { name: 'Paste text' }).click();
    await page.getByLabel(/^Settings as text/).fill(text);
    await page.getByRole('button', { name: 'Check this' }).click();
    await expect(page.getByLabel(/^Settings as text/)).toHaveCount(0);
}

test('a whole scene is typed in by keyboard alone, with marks as one types', async ({ page }) => {
    await signIn(page, 'wren@practice.example');
    await page.goto('/');
    await open(page, 'VANE_Wren', 'Scene');
    await page.getByRole('link', { name: 'Type it in' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Resolution', { exact: true })).toBeFocused();
    await accessible(page, 'the entry sheet');
    const fields: [string, string][] = [
        ['Resolution', '720p'],
        ['Render scale', '50'],
        ['Pixel aspect', '1'],
        ['Frame rate', '24'],
        ['Frame range', '1-96'],
        ['Frame step', '1'],
        ['What is rendered', 'listed'],
        ['Timeline of the animation', '1-96'],
        ['Format', 'PNG'],
        ['Bit depth', '8'],
        ['Channels', 'RGB'],
        ['File names', 'wren_vane_####.png'],
    ];
    for (const [label, value] of fields) {
        await expect(page.getByLabel(label, { exact: true })).toBeFocused();
        await page.keyboard.type(value);
        await page.keyboard.press('Enter');
    }
    const row = (label: string) =>
        page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: label, exact: true }) });
    await expect(page.getByText('read as 1280x720')).toBeVisible();
    await expect(row('Resolution').getByRole('img', { name: 'unequal' })).toBeVisible();
    await expect(page.getByText('640x360').first()).toBeVisible();
    await expect(page.getByRole('complementary')).toContainText('The scene renders at 50 %');
    // back up by arrows, put right, and kept from the field itself
    await page.getByLabel('File names', { exact: true }).focus();
    for (let n = 0; n < 10; n++) {
        await page.keyboard.press('ArrowUp');
    }
    await expect(page.getByLabel('Render scale', { exact: true })).toBeFocused();
    await page.keyboard.type('100');
    await expect(row('Resolution').getByRole('img', { name: 'equal', exact: true })).toBeVisible();
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('Settings from typed in', { exact: false })).toBeVisible();
    await expect(page.getByText('It balances: every line that must agree does.')).toBeVisible();
});

test('a name that is not understood is pointed at, once', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await page.goto('/');
    await open(page, 'VANE_Ilse', 'Scene');
    const strange = scene('ilse').replace('size =', 'Bildgroesse =').replace('fps = 24', 'fps = zwei Dutzend');
    await paste(page, strange);
    await expect(page.getByText('Not understood: 2 settings')).toBeVisible();
    await accessible(page, 'names to be pointed at');
    await page.getByLabel('Bildgroesse = 1280x720').selectOption({ label: 'Resolution' });
    await page
        .getByRole('listitem')
        .filter({ hasText: 'Bildgroesse' })
        .getByRole('button', { name: 'Save and read again' })
        .click();
    await expect(page.getByText('Not understood: 1 setting')).toBeVisible();
    const rate = page.getByRole('listitem').filter({ hasText: 'zwei Dutzend' });
    await rate.getByLabel(/means/).fill('24');
    await rate.getByRole('button', { name: 'Save and read again' }).click();
    await expect(page.getByText('It balances')).toBeVisible();
    // from now on it is understood of everybody
    await open(page, 'VANE_Moro', 'Scene');
    await paste(page, scene('moro').replace('size =', 'Bildgroesse ='));
    await expect(page.getByText('It balances')).toBeVisible();
    await production(page, 'Output Practice');
    await place(page, 'Names');
    await expect(page.getByRole('rowheader', { name: 'Bildgroesse' })).toBeVisible();
    await accessible(page, 'names');
});

test('twelve learners’ scenes are dropped at once, and the one that tells nothing is asked for', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await page.goto('/');
    await place(page, 'Many scenes');
    const mistakes: Record<string, string> = { pim: 'scale = 50\n', kestrel: 'fps = 25\n' };
    const files = LEARNERS.map((learner) =>
        learner === 'fenn'
            ? file('scene_final2.txt', scene('x').replace('x_vane', 'vane'))
            : file(`${learner}_settings.txt`, scene(learner, mistakes[learner] ?? '')),
    );
    await page.locator('#scenes').setInputFiles([...files, file('torn.json', '{"format": ')]);
    await expect(page.getByText('11 of 12 know whose they are')).toBeVisible();
    await expect(page.getByText(/^torn\.json: line 1/)).toBeVisible();
    await accessible(page, 'many scenes');
    await page.getByLabel('Deliverable of scene_final2.txt').selectOption({ label: 'VANE_Fenn, Fenn Brackwater' });
    await page.getByRole('button', { name: 'Check 12 scenes' }).click();
    await expect(page.getByRole('button', { name: 'All are checked' })).toBeVisible({ timeout: 60_000 });
    const row = (name: string) => page.getByRole('row').filter({ hasText: name });
    await expect(row('pim_settings.txt')).toContainText('50 %');
    await expect(row('kestrel_settings.txt')).toContainText('The rate is 25');
    await expect(row('scene_final2.txt')).toContainText('“fenn_vane_####.png” is asked');
});

test('the board is sorted, filtered and gone through by keys; owners are written to', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await page.goto('/');
    await place(page, 'Deliverables');
    const rows = page.locator('tbody').first().getByRole('row');
    await expect(rows).toHaveCount(12);
    await accessible(page, 'the board');
    await page.getByRole('button', { name: /^Balanced/ }).click();
    const balanced = await rows.count();
    expect(balanced).toBeGreaterThan(0);
    await page.getByRole('button', { name: /^All/ }).click();
    await page.getByLabel('Find on the board').fill('rate of another');
    await expect(rows).toHaveCount(1);
    await expect(rows.first()).toContainText('VANE_Kestrel');
    await page.getByLabel('Find on the board').fill('');
    await page.getByRole('button', { name: 'deliverable' }).click();
    await page.getByRole('button', { name: 'balance', exact: true }).click();
    await expect(page.getByRole('columnheader', { name: /balance/ })).toHaveAttribute('aria-sort', 'ascending');
    await page.locator('h1').click();
    await page.keyboard.press('j');
    await page.keyboard.press('j');
    await expect(rows.nth(1).getByRole('link')).toBeFocused();
    await page.keyboard.press('ArrowUp');
    await expect(rows.nth(0).getByRole('link')).toBeFocused();
    await page.getByRole('button', { name: 'rate of another standard' }).click();
    await expect(rows).toHaveCount(1);
    await page.getByRole('button', { name: 'Write to the owners' }).click();
    await expect(page.getByText('Nothing leaves this machine', { exact: false })).toBeVisible();
    await page.locator('summary').first().click();
    await expect(page.locator('pre').first()).toContainText('1. Set the frame rate to 24; it is 25.');
    await accessible(page, 'the outbox');
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'as a mailbox' }).click();
    expect((await download).suggestedFilename()).toBe('OP-messages.mbox');
});

test('after fixing, a re-check tells what was put right, what is new, and what moved unasked', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await page.goto('/');
    await open(page, 'VANE_Dunya', 'Scene');
    await paste(page, scene('dunya', 'scale = 50\nfps = 25\nsamples = 64\n'));
    await page.getByRole('checkbox', { name: 'Set the scale to 100' }).check();
    await expect(page.getByText('1 of 2 done')).toBeVisible();
    await paste(page, scene('dunya', 'fps = 25\nsamples = 32\nstep = 2\n'));
    const since = page.getByLabel('Since the last check');
    await expect(since).toContainText('put right: resolution');
    await expect(since).toContainText('new: frame range');
    await expect(since).toContainText('still there: frame rate');
    await expect(since).toContainText('Samples: 64 → 32');
    await paste(page, scene('dunya', 'scale = 50\n'));
    await expect(since).toContainText('come back: resolution');
    await accessible(page, 'a re-check');
});

test('a line is accepted with its reason, shown as such everywhere, until its value changes', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await page.goto('/');
    await open(page, 'VANE_Oske', 'Scene');
    await paste(page, scene('oske', 'fps = 25\n'));
    await page.getByRole('button', { name: /^accept as it is.*Frame rate$/ }).click();
    await page.getByLabel('Why is it accepted?').fill('shown in the hall at 25');
    await page.keyboard.press('Enter');
    await expect(page.getByText('accepted: shown in the hall at 25 (Corvin Thrace)')).toBeVisible();
    const row = page.getByRole('row').filter({ hasText: 'accepted: shown in the hall' });
    await expect(row.getByRole('img', { name: 'waived' })).toBeVisible();
    await expect(page.getByRole('navigation', { name: 'Folios' }).getByRole('img', { name: 'waived' })).toBeVisible();
    await accessible(page, 'an accepted line');
    await page.goto('/');
    await place(page, 'Deliverables');
    await expect(
        page.getByRole('row').filter({ hasText: 'VANE_Oske' }).getByRole('img', { name: 'Time: waived' }),
    ).toBeVisible();
    await open(page, 'VANE_Oske', 'Scene');
    await paste(page, scene('oske', 'fps = 30\n'));
    await expect(page.getByText('accepted: shown in the hall')).toHaveCount(0);
    await expect(page.getByText('The rate is 30, and 24 is asked').first()).toBeVisible();
});

test('a log is followed as it is written, and says where to go on', async ({ page }) => {
    const folder = `${home()}/intake/tide_clock/TC_030/logs`;
    mkdirSync(folder, { recursive: true });
    const lines = (from: number, to: number, seconds = 60) =>
        Array.from(
            { length: to - from + 1 },
            (_, n) =>
                `frame ${from + n} begins\nframe ${from + n} done in ${seconds + (n % 5)} s\n` +
                `wrote TC_030.${from + n}.exr\n`,
        ).join('');
    writeFileSync(`${folder}/night.log`, lines(1001, 1012));
    await signIn(page, 'brida@harbour.example');
    await page.goto('/');
    await open(page, 'TC_030', 'Render');
    await accessible(page, 'the render page');
    await page.getByRole('button', { name: 'Follow one that is being written' }).click();
    await page.getByRole('button', { name: 'logs/' }).click();
    await page.getByRole('button', { name: /^Follow night\.log/ }).click();
    await expect(page.getByText('12 of 96 frames are finished')).toBeVisible();
    appendFileSync(`${folder}/night.log`, `${lines(1013, 1020, 200)}error: machine 4 lost\n`);
    await expect(page.getByText('20 of 96 frames are finished')).toBeVisible();
    await expect(page.getByText('begin at frame 1021 and type in the range 1021-1096')).toBeVisible();
    await expect(page.getByText('machine 4 lost')).toBeVisible();
    await expect(page.getByRole('region', { name: 'Log of the render' })).toContainText('took unusually long');
    await accessible(page, 'a log');
});

test('an estimate answers as one types, and the plan lays all over one pool', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_040', 'Render');
    await page.getByLabel('Time for a frame, or of several').fill('soon');
    await expect(page.getByRole('alert').filter({ hasText: 'is not a length of time' })).toBeVisible();
    await page.getByLabel('Time for a frame, or of several').fill('');
    await production(page, 'The Tide Clock');
    await place(page, 'Render plan');
    await expect(page.getByText(/frames on 3 machines/)).toBeVisible();
    await accessible(page, 'the render plan');
    await page.getByLabel('Machines').fill('1');
    await expect(page.getByText(/frames on 1 machine,/)).toBeVisible();
    await page.getByLabel('Hours of the day that may be used').fill('25:00');
    await expect(page.getByRole('alert')).toContainText('is not hours of the day');
    await page.getByLabel('Hours of the day that may be used').fill('all day');
    const pool = page.waitForResponse((response) => response.request().method() === 'PATCH');
    await page.getByRole('button', { name: 'Save these' }).click();
    await pool;
    await page.reload();
    await expect(page.getByLabel('Machines')).toHaveValue('1');
});

test('a shape of a log is written against a pasted piece of one', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await place(page, 'Names');
    await page.getByRole('button', { name: 'Add a shape' }).click();
    await page.getByLabel('Name', { exact: true }).fill('our queue');
    await page.getByLabel('Some lines of such a log').fill('[1001] ok 62.5s\nsomething else\n');
    await page.getByLabel('a frame is finished').fill('/^(\\[(?<frame>\\d+)\\] ?)*(a+)+$/');
    await expect(page.getByText('takes too long')).toBeVisible();
    await page.getByLabel('a frame is finished').fill('[{frame}] ok {seconds}s');
    await expect(page.getByLabel('What the lines tell')).toContainText('finished: frame 1001, seconds 62.5');
    await accessible(page, 'a shape being written');
    await page.getByRole('button', { name: 'Save the shape' }).click();
    await expect(page.getByText('of this production')).toBeVisible();
});

test('a token is made, shown once, and opens what its owner may', async ({ page, request }) => {
    await signIn(page, 'ansel@harbour.example');
    await page.getByRole('link', { name: /Ansel Wray/ }).click();
    await page.getByLabel('What is it for?').fill('exporter');
    await page.getByRole('button', { name: 'Make a token' }).click();
    const token = (await page.getByRole('status').locator('.mono').textContent()) ?? '';
    await accessible(page, 'tokens');
    const call = (code: string) =>
        request.post(`/api/productions/TC/deliverables/${code}/scene`, {
            headers: { Authorization: `Bearer ${token}`, 'Content-Type': 'text/plain' },
            data: 'size = 2048x858\nfps = 25\n',
        });
    const answer = await call('TC_020');
    expect(answer.status()).toBe(200);
    expect(((await answer.json()) as { verdict: string }).verdict).toBe('unbalanced');
    expect((await call('TC_030')).status()).toBe(404);
    await page.reload();
    await expect(page.getByText(token)).toHaveCount(0);
    await page.getByRole('button', { name: 'remove the token exporter' }).click();
    await expect(page.getByText('You have no token yet.')).toBeVisible();
    expect((await call('TC_020')).status()).toBe(401);
});

test('by night, and with names that are long', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await page.evaluate(() => localStorage.setItem('theme', 'night'));
    await page.goto('/');
    await open(page, 'VANE_Pim', 'Scene');
    const long = 'a'.repeat(90);
    await paste(page, `${scene('pim')}${long} = ${long}\n`);
    await accessible(page, 'a scene by night');
    expect(
        await page.evaluate(
            () => document.querySelector('main')?.scrollWidth === document.querySelector('main')?.clientWidth,
        ),
    ).toBe(true);
    await page.goto('/');
    await place(page, 'Deliverables');
    await expect(page.getByText('Common mistakes')).toBeVisible();
    await accessible(page, 'the board by night');
});

test('a workbook of settings: each line finds its learner, and one is asked for', async ({ page }) => {
    await signIn(page, 'corvin@harbour.example');
    await page.goto('/');
    await place(page, 'Many scenes');
    await page.locator('#scenes').setInputFiles('tests/fixtures/scenes/settings.xlsx');
    await expect(page.getByText('2 of 3 know whose they are')).toBeVisible();
    await page.getByRole('button', { name: 'Check 2 scenes' }).click();
    await expect(page.getByRole('button', { name: 'All are checked' })).toBeVisible();
    const row = (name: string) => page.getByRole('row').filter({ hasText: name });
    await expect(row('settings.xlsx, line 2')).toContainText('balances');
    await expect(row('settings.xlsx, line 3')).toContainText('The rate is 25');
    await expect(row('settings.xlsx, line 4')).toContainText('not checked yet');
    // nothing that was typed here is lost by a press too many
    await page.getByLabel('Deliverable of settings.xlsx, line 4').selectOption({ index: 1 });
    await page.getByRole('button', { name: 'Check 1 scene' }).click();
    await expect(page.getByRole('button', { name: 'All are checked' })).toBeVisible();
});

test('a workbook of one learner’s scene, and a scene of many megabytes', async ({ page }) => {
    await signIn(page, 'ansel@harbour.example');
    await page.goto('/');
    await open(page, 'TC_010', 'Scene');
    const mesh = `def Mesh "m" { point3f[] points = [${'(1.25, 2.5, 3.75), '.repeat(420_000)}] }\n`;
    const usd =
        '#usda 1.0\n( framesPerSecond = 24 startTimeCode = 1001 endTimeCode = 1096 )\n' +
        `${mesh}def Camera "cam_wide" {}\n` +
        'def RenderSettings "r" { uniform int2 resolution = (2048, 858) rel camera = </cam_wide> }\n';
    await page
        .locator('#settings')
        .setInputFiles({ name: 'TC_010_large.usda', mimeType: 'text/plain', buffer: Buffer.from(usd) });
    await expect(page.getByText('TC_010_large.usda, as it was read', { exact: false })).toBeVisible({
        timeout: 60_000,
    });
    // the files are right, so a scene that was changed since counts for nothing, and is told
    await expect(page.getByText('changed since; the files are right')).toBeVisible();
    await page.locator('#settings').setInputFiles({
        name: 'large.json',
        mimeType: 'application/json',
        buffer: Buffer.from(`{"a": "${'x'.repeat(5_000_000)}"}`),
    });
    await expect(page.getByRole('alert')).toContainText('only a scene as USD text can be that large');
    await page.locator('#settings').setInputFiles('tests/fixtures/scenes/settings.xlsx');
    await expect(page.getByRole('alert')).toContainText('it tells of 3 scenes');
});

test('names are taken along as a file, forgotten, and read again', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await place(page, 'Names');
    await page.getByLabel('Name as it stands there').fill('Massstab');
    await page.locator('#new-field').selectOption({ label: 'Render scale' });
    await page.getByLabel(/^in/).selectOption('factor');
    await page.getByRole('button', { name: 'Save the name' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'Massstab' })).toContainText('factor');
    await page.getByLabel('Name as it stands there').fill('Blur');
    await page.locator('#new-field').selectOption({ label: 'Motion blur' });
    await page.getByLabel('words for values').fill('Ja = on, Nein = off');
    await page.getByRole('button', { name: 'Save the name' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'Blur' })).toContainText('Ja = on, Nein = off');
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Take them as a file' }).click();
    const kept = await (await download).path();
    await page.getByRole('button', { name: 'forget Massstab' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'Massstab' })).toHaveCount(0);
    await page.locator('#map').setInputFiles({
        name: 'broken.json',
        mimeType: 'application/json',
        buffer: Buffer.from(
            '{"format": "plain-ledger/field-map", "version": 1, "fields": [{"name": "x", "is": "nothing.such"}]}',
        ),
    });
    await expect(page.getByRole('alert')).toContainText('that is no setting');
    await page.locator('#map').setInputFiles(kept);
    await expect(page.getByRole('row').filter({ hasText: 'Massstab' })).toContainText('factor');
});

test('a learner sees the work to be done, and no more than what is theirs', async ({ page }) => {
    await signIn(page, 'pim@practice.example');
    await page.goto('/');
    await open(page, 'VANE_Pim', 'Scene');
    await paste(page, scene('pim', 'fps = 25\n'));
    await expect(page.getByRole('checkbox', { name: 'Set the frame rate to 24; it is 25.' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^accept as it is/ })).toHaveCount(0);
    await page.keyboard.press('3');
    await expect(page.getByRole('heading', { name: 'When it will be ready' })).toBeVisible();
    await page.getByLabel('Time for a frame, or of several').fill('62 s, 1:10, 58 s');
    await expect(page.getByText('58 s to 1 min 10 s')).toBeVisible();
    const kept = page.waitForResponse((response) => response.request().method() === 'PATCH');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    // a reload would take back what is still on its way
    await kept;
    await page.reload();
    await expect(page.getByLabel('Time for a frame, or of several')).toHaveValue('62 s, 1:10, 58 s');
    for (const path of ['board', 'outbox', 'names', 'render', 'results.csv']) {
        const id =
            /productions\/(\d+)/.exec(
                (await page.getByRole('link', { name: 'Output Practice' }).getAttribute('href')) ?? '',
            )?.[1] ?? '';
        expect((await page.request.get(`/productions/${id}/${path}`)).status(), path).toBe(403);
    }
});
