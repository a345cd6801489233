// Opens the main pages one after another and prints what each costs: bytes of the page itself, bytes of the first visit
// with its scripts and fonts, bytes of the second, questions to the databases and those that write, milliseconds on the
// server, milliseconds until it can be worked with, and elements.
// Usage: LEDGER_TIMING=1 bin/start, php bench/board-rows.php DATABASE, then: node bench/pages.mjs ADDRESS
import { chromium } from '@playwright/test';

const base = process.argv[2] ?? 'http://127.0.0.1:8017';
const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
const tools = await context.newCDPSession(page);
await tools.send('Network.enable');
let received = 0;
tools.on('Network.loadingFinished', ({ encodedDataLength }) => (received += encodedDataLength));

await page.goto(`${base}/sign-in`);
await page.getByLabel('Address').fill('odile@harbour.example');
await page.getByLabel('Password').fill('tide-clock');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL((url) => url.pathname !== '/sign-in');
await page.getByRole('heading', { level: 1 }).first().waitFor();
const places = await page.evaluate(() =>
    [...document.querySelectorAll('main a')].map((a) => [a.textContent, a.pathname]),
);
const five = places.find(([name]) => name.includes('Five hundred'))?.[1];

/** How a page is opened: what it took, as the server says, and until nothing more comes. */
async function open(path) {
    received = 0;
    const began = Date.now();
    const response = await page.goto(`${base}${path}`);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    const ready = Date.now() - began;
    const own = (await response.body()).length;
    await page.waitForLoadState('networkidle');
    const told = response.headers()['server-timing'] ?? '';
    const number = (pattern) => Number(pattern.exec(told)?.[1] ?? NaN);

    return {
        'page, KB': Math.round(own / 102.4) / 10,
        'all, KB': Math.round(received / 102.4) / 10,
        queries: number(/db;desc="(\d+)"/),
        writes: number(/written;desc="(\d+)"/),
        'server, ms': number(/app;dur=([\d.]+)/),
        'ready, ms': ready,
        elements: await page.evaluate(() => document.querySelectorAll('*').length),
    };
}

const rows = [];
const paths = ['/', ...(five === undefined ? [] : [five, `${five}/specifications`, `${five}/people`])];
await page.goto(`${base}${five ?? '/'}`);
await page.getByRole('navigation', { name: 'Index of deliverables' }).getByRole('listitem').first().waitFor();
const line = page.locator('nav[aria-label="Index of deliverables"] li a').first();
const first = await line.getAttribute('href').catch(() => null);
const of = first === null ? [] : ['specification', 'scene', 'frames'].map((folio) => first.replace(/\w+$/, folio));
for (const path of [...paths, ...of]) {
    await tools.send('Network.clearBrowserCache');
    const cold = await open(path);
    // the second visit, and the better of three, since what it runs on has other work as well
    const warm = [await open(path), await open(path), await open(path)];
    const best = warm.sort((a, b) => a['server, ms'] - b['server, ms'])[0];
    rows.push({ path, 'first, KB': cold['all, KB'], ...best });
}
console.table(rows);
await browser.close();
