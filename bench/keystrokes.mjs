// Types into a specification of sixty requirements in a real browser: how long until the letter is on the screen, and
// until the margin shows what would follow. The server runs beside it: bin/start --fresh, then
// Usage: node bench/keystrokes.mjs [http://127.0.0.1:8017] [LETTERS]
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';

const base = process.argv[2] ?? 'http://127.0.0.1:8017';
const letters = Number(process.argv[3] ?? 60);
const require = JSON.parse(
    execFileSync(
        'php',
        [
            '-r',
            [
                `require 'vendor/autoload.php'; $all = [];`,
                `foreach (PlainLedger\\Core\\Specification\\Catalogue::standard()->all() as $d) {`,
                `if ($d->accepts->example !== '' && count($all) < 60 && $d->id !== 'time.range') {`,
                `$all[$d->id] = $d->accepts->example; } } $all['time.range'] = '1001-1096';`,
                `echo json_encode($all);`,
            ].join(' '),
        ],
        { encoding: 'utf8' },
    ),
);
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
    ],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${base}/sign-in`);
await page.getByLabel('Address').fill('odile@harbour.example');
await page.getByLabel('Password').fill('tide-clock');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('link', { name: 'The Tide Clock' }).click();
await page.getByRole('link', { name: 'Add a deliverable' }).click();
const code = `BENCH_${process.pid}`;
await page.getByLabel('Code').fill(code);
await page.getByLabel('Specification', { exact: true }).selectOption('');
await page.getByLabel('a document').check();
await page.locator('input[type=file]').setInputFiles({
    name: 'spec.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
        JSON.stringify({
            format: 'plain-ledger/specification',
            version: 1,
            title: 'Bench',
            delivers: 'frames',
            require,
        }),
    ),
});
await page.getByRole('button', { name: 'Add it' }).click();
await page.getByRole('button', { name: /^Frame range.*Change/ }).click();
const field = page.getByLabel('Frame range', { exact: true });
await field.fill('1001-1');
const painted = [];
const answered = [];
page.on('requestfinished', (request) => {
    if (request.url().endsWith('/understand')) {
        answered.push(request.timing().responseEnd);
    }
});
for (let i = 0; i < letters; i++) {
    painted.push(
        await field.evaluate(
            async (input, letter) => {
                const began = performance.now();
                Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, `1001-1${letter}`);
                input.dispatchEvent(new Event('input', { bubbles: true }));
                await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
                return performance.now() - began;
            },
            String(100 + i),
        ),
    );
    await page.waitForTimeout(260);
}
const middle = (list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)];
const most = (list) => Math.max(...list);
console.log(
    [
        `${Object.keys(require).length} requirements, ${letters} keystrokes`,
        `on the screen after ${middle(painted).toFixed(1)} ms (at most ${most(painted).toFixed(1)})`,
        `answered by the server in ${middle(answered).toFixed(1)} ms (at most ${most(answered).toFixed(1)}), bound 100`,
    ].join('; '),
);
await browser.close();
