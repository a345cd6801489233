import { expect, test, type Page } from '@playwright/test';
import type axeCore from 'axe-core';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { ledgers, type LedgerName } from './ledgers';

/** Short ways through the book, shared by the tests. */

/** Who signed in before is signed in, as long as the ledger lets them. */
type Cookies = Awaited<ReturnType<ReturnType<Page['context']>['cookies']>>;

const sessions = new Map<string, Cookies>();

/** Where the ledger that a test works on has its databases and its intake. */
export const home = (): string => ledgers[test.info().project.name as LedgerName].home;

export async function signInAnew(page: Page, email: string): Promise<void> {
    // whoever was signed in before is not any more, also where an answer to their page is still on its way
    await page.goto('about:blank');
    await page.context().clearCookies();
    await page.goto('/sign-in');
    await page.getByLabel('Address').fill(email);
    await page.getByLabel('Password').fill('tide-clock');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible();
}

export async function signIn(page: Page, email = 'odile@harbour.example'): Promise<void> {
    // an answer that is still on its way would bring back the cookie of whoever was here before
    await page.waitForLoadState('networkidle', { timeout: 5000 }).catch(() => undefined);
    const ledger = test.info().project.name;
    const kept = sessions.get(`${ledger} ${email}`);
    if (kept === undefined || !(await isStillSignedIn(page, kept))) {
        await signInAnew(page, email);
        sessions.set(`${ledger} ${email}`, await page.context().cookies());
    }
    await page.waitForLoadState('networkidle');
}

async function isStillSignedIn(page: Page, kept: Cookies): Promise<boolean> {
    // an answer to whoever was here before would bring their cookie back
    await page.goto('about:blank');
    await page.context().clearCookies();
    await page.context().addCookies(kept);
    await page.goto('/');

    return !page.url().endsWith('/sign-in');
}

/** Opens a deliverable's folio by its code, as a reader would: by the index. */
export async function open(
    page: Page,
    code: string,
    folio: 'Specification' | 'Scene' | 'Render' | 'Frames' | 'Movie' | 'Submission' | 'Hand in' = 'Frames',
): Promise<void> {
    await page.getByRole('navigation', { name: 'Index of deliverables' }).getByText(code, { exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(code);
    const link = page.getByRole('navigation', { name: 'Folios' }).getByText(folio, { exact: true });
    // a visit to where one is already would draw the page anew under the test's hands
    if ((await link.getAttribute('aria-current')) !== 'page') {
        await link.click();
    }
    await expect(page.getByRole('navigation', { name: 'Folios' }).locator('[aria-current=page]')).toContainText(folio);
    // a hand is never as fast as this one: the visit is over before anything is dropped on the page
    await page.waitForLoadState('networkidle');
}

/** In which of the four places of a production each of its pages stands. */
const PLACES: Record<string, string> = {
    Deliverables: 'Work',
    Specifications: 'Work',
    Points: 'Work',
    'Many together': 'Work',
    Practice: 'Work',
    'Render plan': 'Render',
    'Many scenes': 'Bring in',
    'Delivered tree': 'Bring in',
    'From a list': 'Bring in',
    'House requirements': 'Production',
    Names: 'Production',
    People: 'Production',
    Outbox: 'Production',
    History: 'Production',
    Settings: 'Production',
};

/** Goes to a page of a production, by its place. */
export async function place(page: Page, name: string): Promise<void> {
    const folios = page.getByRole('navigation', { name: 'Folios' });
    const at = PLACES[name] ?? name;
    const tab = folios.getByRole('link', { name: at, exact: true });
    if ((await tab.getAttribute('aria-current')) === null) {
        await tab.click();
        await expect(tab).toHaveAttribute('aria-current', 'true');
    }
    const link = folios.getByRole('link', { name, exact: true });
    if ((await link.count()) > 0 && (await link.getAttribute('aria-current')) === null) {
        await link.click();
        await expect(link).toHaveAttribute('aria-current', 'page');
    }
    await page.waitForLoadState('networkidle');
}

export async function production(page: Page, name: string): Promise<void> {
    await page.goto('/');
    await page.getByRole('link', { name }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
    await page.waitForLoadState('networkidle');
}

/** The engine as it ships, for every frame of a page: asked directly it answers five times as fast. */
const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

const WIDTHS = [1280, 768, 390];

/** The rules that colours can break. */
const COLOURS = ['color-contrast', 'link-in-text-block'];

/** What the engine finds in the way of anybody, whether it calls it serious or not; of colours alone where told. */
async function violations(page: Page, colours: boolean): Promise<string[]> {
    for (const frame of page.frames()) {
        if (!(await frame.evaluate(() => 'axe' in window))) {
            await frame.evaluate(axe);
        }
    }

    return page.evaluate(
        async (rules) => {
            const engine = (window as unknown as { axe: typeof axeCore }).axe;
            const found = await engine.run(document, {
                resultTypes: ['violations'],
                ...(rules === null ? {} : { runOnly: { type: 'rule' as const, values: rules } }),
            });

            return found.violations.map(
                ({ id, nodes }) =>
                    `${id}: ${nodes
                        .slice(0, 3)
                        .map((node) => `${node.target.join(' ')} ${node.failureSummary ?? ''}`)
                        .join(' | ')}`,
            );
        },
        colours ? COLOURS : null,
    );
}

/** Colours that fade over have done so; what turns for ever is not waited for. */
async function settled(): Promise<void> {
    const fading = document.getAnimations().map(({ finished }) => finished.catch(() => undefined));
    await Promise.race([Promise.all(fading), new Promise((done) => setTimeout(done, 400))]);
}

/** The state a page is in has no violation at all: on a screen, a tablet and a phone, by day and by night. */
export async function accessible(page: Page, where: string): Promise<void> {
    const before = page.viewportSize() ?? { width: 1280, height: 800 };
    const theme = await page.evaluate(() => document.documentElement.dataset.theme ?? 'paper');
    const paint = (name: string) => page.evaluate((next) => void (document.documentElement.dataset.theme = next), name);
    const found: string[] = [];
    for (const width of WIDTHS) {
        await page.setViewportSize({ width, height: before.height });
        for (const name of ['paper', 'night']) {
            await paint(name);
            await page.evaluate(settled);
            // by night colours are others, and nothing else is
            found.push(
                ...(await violations(page, name === 'night')).map((each) => `${where}, ${width} px, ${name}: ${each}`),
            );
        }
    }
    await page.setViewportSize(before);
    await paint(theme);
    expect(found).toEqual([]);
}

/** Files are checked once more from where the page is, until that has ended and the page tells what it came to. */
export async function checkAgain(page: Page): Promise<void> {
    const again = page.getByRole('button', { name: 'Check again' }).first();
    await again.waitFor();
    const asked = page.waitForResponse(
        (answer) => answer.request().method() === 'POST' && /\/(checks|again)$/.test(answer.url()),
    );
    await again.press('Enter');
    expect((await asked).status()).toBe(302);
    // the page that tells of it is drawn a moment later
    await page.waitForTimeout(1500);
    await expect(page.getByRole('region', { name: 'Check under way' })).toBeHidden({ timeout: 60_000 });
    await expect(page.getByRole('main').getByRole('alert')).toBeHidden();
}
