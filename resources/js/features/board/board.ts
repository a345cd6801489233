import type { BoardRow } from '../../types/views';

export type { BoardRow };

export type SortBy = 'trouble' | 'code' | 'owner' | 'due' | 'checked' | 'balance' | 'specification';

export interface BoardFilter {
    text: string;
    which: 'all' | 'unbalanced' | 'open' | 'balanced' | 'unchecked' | 'changed' | 'late' | 'stale';
    cause: string | null;
    specification: string | null;
}

const WEIGHT: Record<string, number> = { unbalanced: 0, open: 1, unchecked: 2, balanced: 3 };

const weight = (row: BoardRow): number => WEIGHT[row.verdict ?? 'unchecked'] ?? 2;

const byCode = new Intl.Collator('en', { numeric: true });

const COMPARE: Record<SortBy, (a: BoardRow, b: BoardRow) => number> = {
    trouble: (a, b) => weight(a) - weight(b) || (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity) || 0,
    code: () => 0,
    owner: (a, b) => byCode.compare(a.owner ?? '\uffff', b.owner ?? '\uffff'),
    specification: (a, b) => byCode.compare(a.specification, b.specification),
    due: (a, b) => (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity) || 0,
    checked: (a, b) => (b.checked ?? -1) - (a.checked ?? -1),
    balance: (a, b) => (a.all === 0 ? -1 : a.good / a.all) - (b.all === 0 ? -1 : b.good / b.all),
};

export const ALL: BoardFilter = { text: '', which: 'all', cause: null, specification: null };

const FITS: Record<BoardFilter['which'], (row: BoardRow) => boolean> = {
    all: () => true,
    unbalanced: (row) => row.verdict === 'unbalanced',
    open: (row) => row.verdict === 'open',
    balanced: (row) => row.verdict === 'balanced',
    unchecked: (row) => row.verdict === null,
    changed: (row) => row.changed !== null,
    stale: (row) => row.stale,
    late: (row) => row.due?.late === true && row.verdict !== 'balanced',
};

/** Whether a word that was kept is one of those there are now. */
export const isWhich = (word: string): word is BoardFilter['which'] => word in FITS;

export const isSort = (word: string): word is SortBy => word in COMPARE;

function hasText(row: BoardRow, text: string): boolean {
    const all = `${row.code} ${row.title} ${row.owner ?? ''} ${row.holdsUp ?? ''} ${row.cause ?? ''}`;

    return text === '' || all.toLowerCase().includes(text);
}

/** How many rows there would be of one kind. */
export function countOf(rows: BoardRow[], which: BoardFilter['which']): number {
    return rows.filter(FITS[which]).length;
}

/** Rows that are asked for, in the order that is asked for; of equals by their codes. */
export function arranged(rows: BoardRow[], filter: BoardFilter, by: SortBy, down: boolean): BoardRow[] {
    const text = filter.text.trim().toLowerCase();
    const fits = (row: BoardRow): boolean =>
        FITS[filter.which](row) &&
        (filter.cause === null || row.causes.includes(filter.cause)) &&
        (filter.specification === null || row.specification === filter.specification) &&
        hasText(row, text);
    // NaN of two missing dates is no order
    const order = (a: BoardRow, b: BoardRow): number =>
        (COMPARE[by](a, b) || 0) * (down ? -1 : 1) || byCode.compare(a.code, b.code);

    return rows.filter(fits).sort(order);
}
