/** The catalogue of the language that the pages are built in: `resources/js/texts`. */
declare module 'texts-of-pages' {
    import type { Messages } from '@lingui/core';

    export const messages: Messages;
}
