import { t } from '@lingui/core/macro';
/** What a line of the table can show beside its code. */
export const COLUMNS = [
    ['due', 'due'],
    ['specification', 'specification'],
    ['marks', t`marks by group`],
    ['balance', 'balance'],
    ['checked', 'checked'],
    ['trouble', t`what holds it up`],
] as const;

export type Column = (typeof COLUMNS)[number][0];

export const USUAL_COLUMNS: Column[] = ['due', 'marks', 'balance', 'trouble'];

/** Those that there are, in their order: what was kept may be older than they are. */
export function columnsOf(words: readonly string[]): Column[] {
    return COLUMNS.map(([word]) => word).filter((word) => words.includes(word));
}
