import type { Due, Mark, Verdict } from '../../types/views';

/** One deliverable on a board. */
export interface BoardRow {
    id: number;
    code: string;
    title: string;
    owner: string | null;
    specification: string;
    due: Due | null;
    dueAt: number | null;
    verdict: Verdict | null;
    holdsUp: string | null;
    marks: Record<string, Mark>;
    good: number;
    all: number;
    waived: number;
    scene: boolean;
    files: boolean;
    checked: number | null;
    when: string | null;
    cause: string | null;
    causes: string[];
    changed: string | null;
    stale: boolean;
    folio: 'scene' | 'frames';
}

export type SortBy = 'trouble' | 'code' | 'owner' | 'due' | 'checked' | 'balance';

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
    due: (a, b) => (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity) || 0,
    checked: (a, b) => (b.checked ?? -1) - (a.checked ?? -1),
    balance: (a, b) => (a.all === 0 ? -1 : a.good / a.all) - (b.all === 0 ? -1 : b.good / b.all),
};

/** Rows that are asked for, in the order that is asked for; of equals by their codes. */
export function arranged(rows: BoardRow[], filter: BoardFilter, by: SortBy, down: boolean): BoardRow[] {
    const text = filter.text.trim().toLowerCase();
    const fits = (row: BoardRow): boolean => {
        const which =
            filter.which === 'all' ||
            (filter.which === 'unchecked' && row.verdict === null) ||
            (filter.which === 'changed' && row.changed !== null) ||
            (filter.which === 'stale' && row.stale) ||
            (filter.which === 'late' && row.due?.late === true && row.verdict !== 'balanced') ||
            row.verdict === filter.which;

        return (
            which &&
            (filter.cause === null || row.causes.includes(filter.cause)) &&
            (filter.specification === null || row.specification === filter.specification) &&
            (text === '' ||
                `${row.code} ${row.title} ${row.owner ?? ''} ${row.holdsUp ?? ''} ${row.cause ?? ''}`
                    .toLowerCase()
                    .includes(text))
        );
    };
    // NaN of two missing dates is no order
    const order = (a: BoardRow, b: BoardRow): number =>
        (COMPARE[by](a, b) || 0) * (down ? -1 : 1) || byCode.compare(a.code, b.code);

    return rows.filter(fits).sort(order);
}
