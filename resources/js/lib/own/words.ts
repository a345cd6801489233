import { t } from '@lingui/core/macro';

/** Why it came to nothing: as the server said, or in words of the page, which the worker has none of. */
export type Why = 'server' | 'unexpected' | 'empty' | 'unreachable';

/** What the worker cannot say itself, having no texts. */
const words = (): Record<Exclude<Why, 'server'>, string> => ({
    empty: t`This folder holds no files.`,
    unexpected: t`The server did not answer as expected. Try again.`,
    unreachable: t`The server cannot be reached. Try again.`,
});

export const wordsFor = (why: Why, says: string): string => (why === 'server' ? says : words()[why]);
