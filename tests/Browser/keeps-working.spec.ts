import { spawnSync } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { accessible, home, open, production, signIn } from './book';

/** Does to a database what a machine that fell over would have done. */
function sql(file: 'ledger' | 'side', statement: string): void {
    const done = spawnSync(
        'php',
        [
            '-r',
            `$d = new PDO('sqlite:${home()}/${file}.sqlite');` +
                "$d->exec('pragma busy_timeout = 5000'); $d->exec($argv[1]);",
            statement,
        ],
        { encoding: 'utf8' },
    );
    expect(done.stderr).toBe('');
}

test('a check that nobody works on any more says so, and is begun again', async ({ page }) => {
    await signIn(page);
    await production(page, 'The Tide Clock');
    await open(page, 'TC_040');
    const id = Number(/deliverables\/(\d+)/.exec(page.url())?.[1]);
    // as it stands where the server was ended in the middle of it, an hour ago
    sql(
        'ledger',
        'insert into checks (deliverable_id, specification_revision_id, user_id, state, layers, "order", seen_at, ' +
            'created_at, updated_at) ' +
            'select deliverable_id, specification_revision_id, user_id, \'running\', layers, "order", ' +
            "datetime('now', '-1 hour'), datetime('now', '-1 hour'), datetime('now', '-1 hour') " +
            `from checks where deliverable_id = ${id} and "order" is not null order by id desc limit 1`,
    );
    await page.reload();
    const broken = page.getByRole('alert').filter({ hasText: 'Nobody works on this check any more' });
    await expect(broken).toBeVisible();
    await accessible(page, 'a check that broke off');
    await broken.getByRole('button', { name: 'Begin again' }).focus();
    await page.keyboard.press('Enter');
    await expect(broken).toBeHidden();
    await expect(page.getByText('72 files', { exact: false }).first()).toBeVisible();
    await expect(page.getByRole('region', { name: 'Check under way' })).toBeHidden({ timeout: 60_000 });
});

test('pages say when no worker was seen for a minute', async ({ page }) => {
    await signIn(page);
    await expect(async () => {
        // the one that lives says so every few seconds
        sql('side', 'update workers set seen_at = seen_at - 4000');
        await page.goto('/calculator');
        await expect(page.getByText('No worker has been seen for a minute')).toBeVisible({ timeout: 1000 });
    }).toPass({ timeout: 60_000 });
    await expect(async () => {
        await page.goto('/calculator');
        await expect(page.getByText('No worker has been seen for a minute')).toBeHidden({ timeout: 500 });
    }).toPass({ timeout: 60_000 });
});

test('whether it is well is told without a sign-in and without anything from elsewhere', async ({ page }) => {
    const asked: string[] = [];
    page.on('request', (request) => asked.push(request.url()));
    const reply = await page.goto('/up');
    expect(reply?.status()).toBe(200);
    await expect(page.getByRole('heading', { name: 'Everything works' })).toBeVisible();
    await expect(page.getByRole('row', { name: /^Workers/ })).toContainText('at work');
    expect(asked.filter((address) => new URL(address).origin !== new URL(page.url()).origin)).toEqual([]);
    await accessible(page, 'whether it is well');
});

test('a token is made for reading alone', async ({ page, request }) => {
    await signIn(page);
    await page.goto('/tokens');
    await page.getByLabel('What is it for?').fill('wall display');
    await page.getByLabel('What may it do?').selectOption({ label: 'read what is asked and how it stands' });
    await page.getByRole('button', { name: 'Make a token' }).click();
    await expect(page.getByText('This is the new token.')).toBeVisible();
    const token = (await page.locator('p.mono').first().textContent()) ?? '';
    await accessible(page, 'a token made');
    const headers = { Authorization: `Bearer ${token.trim()}`, Accept: 'application/json' };
    expect((await request.get('/api/productions/TC/deliverables/TC_020/check', { headers })).status()).toBe(200);
    expect(
        (
            await request.post('/api/productions/TC/deliverables/TC_020/scene', { headers, data: 'resolution = 64x36' })
        ).status(),
    ).toBe(403);
});
