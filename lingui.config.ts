import { defineConfig } from '@lingui/conf';
import { formatter } from '@lingui/format-po';

/** All texts of the pages in one place, a file a language; a translation is another file, and its name here. */
export default defineConfig({
    sourceLocale: 'en',
    locales: ['en'],
    catalogs: [{ path: '<rootDir>/resources/js/texts/{locale}', include: ['<rootDir>/resources/js'] }],
    format: formatter({ lineNumbers: false }),
    orderBy: 'message',
});
