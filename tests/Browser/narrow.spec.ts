import { expect, test, type Page } from '@playwright/test';
import { accessible, signIn } from './book';

/** Nothing stands beside the screen, and no part of the page is scrolled sideways. */
async function fits(page: Page, where: string): Promise<void> {
    const over = await page.evaluate(() => {
        const { scrollWidth, clientWidth } = document.documentElement;

        return [
            scrollWidth - clientWidth,
            ...[...document.querySelectorAll('.scroll, .overflow-x-auto')].map((e) => e.scrollWidth - e.clientWidth),
        ];
    });
    expect(Math.max(...over), where).toBeLessThanOrEqual(1);
}

async function go(page: Page, path: string): Promise<void> {
    await page.goto(path);
    await page.waitForLoadState('networkidle');
}

/** Those of a course, where its odd pages stand. */
async function ofCourse(page: Page): Promise<string[]> {
    await go(page, '/');
    const course = await page.getByRole('link', { name: 'Output Practice' }).getAttribute('href');
    const path = new URL(course ?? '', page.url()).pathname;
    await go(page, `${path}/gradebook`);
    const main = page.getByRole('main');
    const assignment = await main.getByRole('link', { name: 'Weathervane study' }).getAttribute('href');
    await go(page, assignment ?? '');
    const pages = await main.getByRole('link', { name: /^(VANE_Pim|[\d.]+)$/ }).all();
    const hrefs = await Promise.all(pages.map((link) => link.getAttribute('href')));

    return [`${path}/gradebook`, `${path}/practice`, `${path}/people`, assignment, ...hrefs.slice(0, 3)].map(
        (href) => new URL(href ?? '', page.url()).pathname,
    );
}

/** Addresses of the pages, by what the index and the folios lead to. */
async function addresses(page: Page): Promise<string[]> {
    await go(page, '/');
    const production = await page.getByRole('link', { name: 'The Tide Clock' }).getAttribute('href');
    const path = new URL(production ?? '', page.url()).pathname;
    await go(page, path);
    const index = page.getByRole('navigation', { name: 'Index of deliverables' });
    const frames = await index.getByRole('link', { name: /TC_020/ }).getAttribute('href');
    const titles = await index.getByRole('link', { name: /TC_040/ }).getAttribute('href');
    const reel = await index.getByRole('link', { name: /TC_REEL/ }).getAttribute('href');
    const of = (href: string | null, folio: string) =>
        new URL(href ?? '', page.url()).pathname.replace(/\/[a-z-]+$/, `/${folio}`);

    return [
        '/',
        path,
        `${path}/specifications`,
        `${path}/history`,
        '/notices',
        '/causes',
        `${path}/tree`,
        `${path}/house`,
        `${path}/people`,
        `${path}/settings`,
        `${path}/together`,
        `${path}/outbox`,
        `${path}/render`,
        '/administration',
        '/calculator',
        '/tokens',
        '/specifications/1',
        of(frames, 'frames'),
        of(frames, 'specification'),
        of(frames, 'scene'),
        of(frames, 'render'),
        of(titles, 'frames'),
        of(titles, 'about'),
        of(reel, 'movie'),
    ];
}

test('every page fits a small screen, and one that is enlarged four times', async ({ page }) => {
    test.setTimeout(180_000);
    await signIn(page);
    const paths = [...(await addresses(page)), ...(await ofCourse(page))];
    await page.setViewportSize({ width: 320, height: 800 });
    for (const path of paths) {
        await go(page, path);
        await fits(page, `${path} at 320`);
    }
    for (const width of [768, 1100]) {
        await page.setViewportSize({ width, height: 800 });
        for (const path of paths.filter((each) => /frames|movie|s\/\d+$|people/.test(each))) {
            await go(page, path);
            await fits(page, `${path} at ${width}`);
        }
    }
});

test('nothing is in the way of whoever hears a page, on any screen, by day and by night', async ({ page }) => {
    test.setTimeout(300_000);
    await signIn(page);
    const paths = await addresses(page);
    const own = paths[1] ?? '';
    // the others are looked at as they are opened, where they are read
    const elsewhere = /\/(house|together|frames|scene|specification|movie|calculator)$/;
    const some = paths.filter((each) => !elsewhere.test(each));
    for (const path of [...some, `${own}/bring`, `${own}/names`, `${own}/scenes`]) {
        await go(page, path);
        await accessible(page, path);
    }
});

test('on a small screen the index is a drawer, and lines are blocks with their values below each other', async ({
    page,
}) => {
    await page.setViewportSize({ width: 390, height: 800 });
    await signIn(page);
    await page.getByRole('link', { name: 'The Tide Clock' }).click();
    const index = page.getByRole('navigation', { name: 'Index of deliverables' });
    await expect(index).toBeHidden();
    const button = page.getByRole('button', { name: 'Index' });
    await button.click();
    await expect(button).toHaveAttribute('aria-expanded', 'true');
    await accessible(page, 'the drawer');
    await page.keyboard.press('Escape');
    await expect(index).toBeHidden();
    await button.click();
    await index.getByRole('link', { name: /TC_020/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('TC_020');
    await expect(index).toBeHidden();
    const range = page.getByRole('cell', { name: /1001-1047/ }).first();
    await expect(range).toHaveAttribute('data-label', 'in the files');
    const [above, below] = [
        await page
            .getByRole('rowheader', { name: /Frame range/ })
            .first()
            .boundingBox(),
        await range.boundingBox(),
    ];
    expect(below?.y).toBeGreaterThan(above?.y ?? 0);
    // the notes stand below the lines
    const note = page.getByRole('complementary', { name: 'Notes in the margin' });
    expect((await note.boundingBox())?.y).toBeGreaterThan(below?.y ?? 0);
    await accessible(page, 'a ledger on a small screen');
    await page.getByRole('button', { name: 'Night' }).click();
    await accessible(page, 'a ledger on a small screen by night');
});
