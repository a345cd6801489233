import { expect, test, type Page } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { signIn } from './book';

/**
 * Each text of the catalogue is laid between marks, as a foreign language would replace it: what stands on a page
 * without them, and did not come from the server, was left out of the catalogue.
 */
async function layOverTexts(page: Page): Promise<void> {
    await page.addInitScript(() => {
        type Message = string | unknown[];
        const marked = (message: Message): unknown[] => ['⟦', ...(Array.isArray(message) ? message : [message]), '⟧'];
        Object.assign(globalThis, {
            layOverTexts: (texts: Record<string, Message>) =>
                Object.fromEntries(Object.entries(texts).map(([id, message]) => [id, marked(message)])),
        });
    });
}

const BETWEEN = '\u0001';

/** What a page shows, a line each: its texts, and the names and examples of its fields. */
async function shown(page: Page): Promise<string> {
    return page.evaluate((between) => {
        const lines: string[] = [];
        const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        for (let node = walker.nextNode(); node !== null; node = walker.nextNode()) {
            if (node.parentElement?.closest('script, style') === null) {
                lines.push(node.textContent ?? '');
            }
        }
        for (const element of document.querySelectorAll('[aria-label], [placeholder], [title]')) {
            for (const name of ['aria-label', 'placeholder', 'title']) {
                lines.push(element.getAttribute(name) ?? '');
            }
        }

        return lines.join(between);
    }, BETWEEN);
}

/** What stands outside of marks, taken apart at signs: words of three letters at least. */
function unmarked(text: string): string[] {
    const found: string[] = [];
    let depth = 0;
    let held = '';
    for (const letter of `${text}${BETWEEN}`) {
        depth += Number(letter === '⟦') - Number(letter === '⟧');
        if (depth > 0 || letter === '⟧') {
            continue;
        }
        if (letter === BETWEEN) {
            found.push(held);
            held = '';
        } else {
            held += letter;
        }
    }
    const parts = found.flatMap((each) => each.split(/[^\p{L}\p{N} '’-]+|\d{2,}/u)).map((each) => each.trim());

    return [...new Set(parts)].filter((each) => /\p{L}{3}/u.test(each));
}

/** Everything that the server said: the pages themselves, and what they asked of it since. */
function listen(page: Page): () => Promise<string> {
    const heard: Promise<string>[] = [];
    page.on('response', (response) => {
        if (/json|html/.test(response.headers()['content-type'] ?? '')) {
            heard.push(response.text().catch(() => ''));
        }
    });
    const plain = (text: string) =>
        text.replace(/\\u([0-9a-f]{4})/gi, (_, code: string) => String.fromCharCode(parseInt(code, 16)));

    return async () => plain((await Promise.all(heard)).join('\n')).toLowerCase();
}

/** Of a command that is typed as it stands; names of formats. */
const NO_TEXTS = /^(--data-binary|json http|CSV|JUnit|PDF)$/;

test('no page has a text that is not in the catalogue', async ({ page }) => {
    test.setTimeout(180_000);
    await signIn(page);
    await layOverTexts(page);
    const heard = listen(page);
    const deliverable = (id: number, folios: string[]) => folios.map((folio) => `/deliverables/${id}/${folio}`);
    const production = ['specifications', 'together', 'render', 'bring', 'scenes', 'list', 'house', 'names', 'people'];
    const left: string[] = [];
    for (const path of [
        '/',
        '/productions/1',
        ...[...production, 'outbox', 'history', 'settings', 'movies'].map((own) => `/productions/1/${own}`),
        '/productions/2',
        '/productions/new',
        '/notices',
        '/administration',
        '/tokens',
        ...deliverable(2, ['specification', 'scene', 'frames', 'render', 'about', 'hand-out']),
        ...deliverable(3, ['scene', 'scene/enter']),
        ...deliverable(9, ['frames', 'movie']),
    ]) {
        await page.goto(path);
        await page.getByRole('heading', { level: 1 }).first().waitFor();
        await page.waitForLoadState('networkidle');
        const said = await heard();
        const isGiven = (each: string) =>
            said.includes(each.toLowerCase()) || said.includes(each.toLowerCase().replaceAll(' ', '-'));
        const found = unmarked(await shown(page)).filter((each) => !isGiven(each) && !NO_TEXTS.test(each));
        left.push(...found.map((each) => `${path}: ${each}`));
    }
    expect(left).toEqual([]);
});

test('the catalogue is one file, without a text twice', () => {
    expect(readdirSync('resources/js/texts')).toEqual(['en.po']);
    const ids = readFileSync('resources/js/texts/en.po', 'utf8').match(/^msgid ".+"$/gm) ?? [];
    expect(ids.length).toBeGreaterThan(900);
    expect(new Set(ids).size).toBe(ids.length);
});
