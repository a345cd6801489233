import { chromium } from '@playwright/test';
const [,, who, out, w, night, ...steps] = process.argv;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless', '--no-sandbox', '--disable-gpu'] });
const page = await browser.newPage({ viewport: { width: 1280, height: Number(w) } });
await page.goto('http://127.0.0.1:8017/sign-in');
await page.getByLabel('Address').fill(who);
await page.getByLabel('Password').fill('tide-clock');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'Productions' }).waitFor();
if (night === 'night') { await page.evaluate(() => { localStorage.setItem('theme','night'); document.documentElement.dataset.theme='night'; }); }
let n = 0;
for (const step of steps) {
  const [what, ...rest] = step.split('='); const arg = rest.join('=');
  if (what === 'go') await page.goto('http://127.0.0.1:8017' + arg);
  if (what === 'click') await page.getByText(arg, { exact: false }).first().click();
  if (what === 'press') await page.getByRole('button', { name: arg }).first().click();
  if (what === 'link') await page.getByRole('link', { name: arg }).first().click();
  if (what === 'scroll') await page.evaluate((y) => document.querySelectorAll('main, .scroll, body').forEach((e) => e.scrollTo(0, Number(y))), arg);
  if (what === 'fill') { const [l, v] = arg.split('::'); await page.getByLabel(l).first().fill(v); }
  if (what === 'shot') { await page.waitForLoadState('networkidle'); await page.waitForTimeout(250); await page.screenshot({ path: `/tmp/shots/${out}-${arg}.png` }); }
}
await browser.close();
