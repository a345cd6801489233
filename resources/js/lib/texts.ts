import { i18n, type Messages } from '@lingui/core';
import { messages } from 'texts-of-pages';

/** Tests of the browser lay something over the texts here, and see what was left out of them. */
const { layOverTexts } = globalThis as { layOverTexts?: (texts: Messages) => Messages };

/** The texts of the language that this was built in. It is read before any module that holds one. */
i18n.loadAndActivate({ locale: 'en', messages: layOverTexts === undefined ? messages : layOverTexts(messages) });

export { i18n };
