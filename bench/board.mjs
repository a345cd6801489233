// Opens a board of five hundred deliverables, sorts it, types into its filter and goes through it by keys; prints how
// long each takes until it is on the screen.
// Usage: php bench/board-rows.php DATABASE, then: node bench/board.mjs ADDRESS
import { chromium } from '@playwright/test';

const base = process.argv[2] ?? 'http://127.0.0.1:8017';
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
await page.getByRole('link', { name: 'Five hundred shots' }).click();
let began = Date.now();
await page.getByRole('link', { name: 'Board' }).click();
await page.getByText('Common mistakes').waitFor();
console.log(`opened: ${Date.now() - began} ms`);
/** From doing something until two frames later, when it is painted. */
const painted = async (what, act) => {
    const took = await page.evaluate(
        (script) =>
            new Promise((done) => {
                const from = performance.now();
                new Function(script)();
                requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from)));
            }),
        act,
    );
    console.log(`${what}: ${Math.round(took)} ms`);
};
const typing = (text) =>
    [
        `const f = document.querySelector('input[aria-label="Find on the board"]');`,
        `Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(f, ${JSON.stringify(text)});`,
        `f.dispatchEvent(new Event('input', { bubbles: true }));`,
    ].join(' ');
for (const text of ['S', 'SH', 'SH_0', '', 'scale', '']) {
    await painted(`filter “${text}”`, typing(text));
    await page.waitForTimeout(300);
}
for (const head of ['balance', 'due', 'deliverable']) {
    await painted(
        `sort by ${head}`,
        `[...document.querySelectorAll('th button')].find((b) => b.textContent.startsWith('${head}')).click()`,
    );
    await page.waitForTimeout(300);
}
for (let n = 0; n < 3; n++) {
    await painted('next row', "document.dispatchEvent(new KeyboardEvent('keydown', { key: 'j', bubbles: true }))");
}
console.log('row in focus:', await page.evaluate(() => document.activeElement?.getAttribute('data-row')));
await browser.close();
