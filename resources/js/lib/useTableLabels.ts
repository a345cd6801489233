import { useEffect, type RefObject } from 'react';

/** The arrow of a column that is sorted by is no part of its name. */
const nameOf = (cell: HTMLTableCellElement): string => cell.textContent.replace(/[↑↓]/, '').trim();

/** Tells each cell of a table what its column is called: where there is no room for columns, that stands before it. */
function label(table: HTMLTableElement): void {
    const heads = [...(table.tHead?.rows[0]?.cells ?? [])].map((cell) => nameOf(cell));
    for (const body of table.tBodies) {
        for (const row of body.rows) {
            if (row.cells.length !== heads.length) {
                continue;
            }
            [...row.cells].forEach((cell, at) => {
                const name = heads[at] ?? '';
                if (at > 0 && cell.dataset.label !== name) {
                    cell.dataset.label = name;
                }
            });
        }
    }
}

export function useTableLabels(within: RefObject<HTMLElement | null>): void {
    useEffect(() => {
        const sheet = within.current;
        if (sheet === null) {
            return undefined;
        }
        let asked = 0;
        const all = () => sheet.querySelectorAll<HTMLTableElement>('table.ledger').forEach(label);
        const watch = new MutationObserver(() => {
            cancelAnimationFrame(asked);
            asked = requestAnimationFrame(all);
        });
        watch.observe(sheet, { childList: true, subtree: true });
        all();

        return () => {
            watch.disconnect();
            cancelAnimationFrame(asked);
        };
    }, [within]);
}
