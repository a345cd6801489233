import { useDeferredValue, useMemo, useState } from 'react';
import type { BoardPage, BoardRow } from '../../types/views';
import { ALL, arranged, isSort, isWhich, type BoardFilter, type SortBy } from './board';
import { columnsOf, USUAL_COLUMNS, type Column } from './columns';

export type SavedView = BoardPage['views'][number];

export interface BoardView {
    filter: BoardFilter;
    by: SortBy;
    down: boolean;
    columns: Column[];
    /** the lines that fit, in their order */
    shown: BoardRow[];
    setFilter: (filter: BoardFilter) => void;
    sort: (by: SortBy, down: boolean) => void;
    setColumns: (columns: Column[]) => void;
    open: (view: SavedView | null) => void;
}

const filterOf = ({ which, text, specification }: SavedView): BoardFilter => ({
    ...ALL,
    which: isWhich(which) ? which : 'all',
    text,
    specification,
});

/** Which lines of a board are shown, in which order, with which columns. */
export function useBoardView(rows: BoardRow[]): BoardView {
    const [filter, setFilter] = useState<BoardFilter>(ALL);
    const [{ by, down }, setOrder] = useState<{ by: SortBy; down: boolean }>({ by: 'trouble', down: false });
    const [columns, setColumns] = useState<Column[]>(USUAL_COLUMNS);
    const slow = useDeferredValue(filter);
    const shown = useMemo(() => arranged(rows, slow, by, down), [rows, slow, by, down]);
    const open = (view: SavedView | null) => {
        setFilter(view === null ? ALL : filterOf(view));
        setOrder(view !== null && isSort(view.by) ? { by: view.by, down: view.down } : { by: 'trouble', down: false });
        setColumns(view === null ? USUAL_COLUMNS : columnsOf(view.columns));
    };

    return {
        filter,
        by,
        down,
        columns,
        shown,
        setFilter,
        sort: (own, turned) => setOrder({ by: own, down: turned }),
        setColumns,
        open,
    };
}
