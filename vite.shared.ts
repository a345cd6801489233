import { lingui } from '@lingui/vite-plugin';
import babel from '@rolldown/plugin-babel';
import { existsSync } from 'node:fs';
import type { PluginOption } from 'vite';

const here = (path: string): string => new URL(path, import.meta.url).pathname;

/** The language of the pages, where there is a catalogue of it. */
const language = process.env.APP_LOCALE ?? 'en';
const catalogue = here(`resources/js/texts/${language}.po`);

/** The routes' package comes with the server's; the texts are those of one language. */
export const alias = {
    'ziggy-js': here('vendor/tightenco/ziggy/dist/index.esm.js'),
    'texts-of-pages': existsSync(catalogue) ? catalogue : here('resources/js/texts/en.po'),
};

/** Texts in the pages become what is looked up in their catalogue. */
export const texts: PluginOption[] = [
    babel({ include: /resources\/js\/.*\.tsx?$/, plugins: ['@lingui/babel-plugin-lingui-macro'] }),
    lingui(),
];
