import { chromium } from '@playwright/test';
const port = process.argv[2], steps = process.argv[3];
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless','--no-sandbox','--disable-gpu','--disable-quic','--no-first-run'] });
const page = await browser.newPage({ viewport: { width: Number(process.env.W ?? 1280), height: Number(process.env.H ?? 800) } });
page.on('console', (m) => m.type() === 'error' && console.log('console', m.text()));
const base = `http://127.0.0.1:${port}`;
const signIn = async (who = 'odile@harbour.example') => {
  await page.goto(base + '/sign-in');
  await page.getByLabel('Address').fill(who);
  await page.getByLabel('Password').fill('tide-clock');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL((u) => !u.pathname.includes('sign-in'));
};
const shot = async (name) => { await page.mouse.move(1, 1); await page.waitForTimeout(400); await page.screenshot({ path: `/tmp/${name}.png` }); };
await (await import(steps)).default({ page, base, signIn, shot });
await browser.close();
