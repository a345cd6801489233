import { useDeferredValue, useMemo, useState } from 'react';
import { ALL, arranged, type BoardFilter, type SortBy } from '../features/board/board';
import { BoardTable } from '../features/board/BoardTable';
import { BoardTools } from '../features/board/BoardTools';
import { CommonMistakes, Disagreements, named } from '../features/board/Common';
import { Book } from '../parts/Book';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { BoardPage, Board as BoardData } from '../types/views';

/** A production or an assignment at a glance. */
export default function Board({ book, board }: BoardPage) {
    return (
        <Book title={`${book.production.name}, board`} book={book}>
            <ProductionFolios book={book} at="board" />
            <div className="px-6 pb-10">
                {board.rows.length === 0 ? (
                    <p className="said pt-4">Nothing is owed here yet, so there is nothing to oversee.</p>
                ) : (
                    <Overview production={book.production.id} board={board} />
                )}
            </div>
        </Book>
    );
}

function Overview({ production, board }: { production: number; board: BoardData }) {
    const [filter, setFilter] = useState<BoardFilter>(ALL);
    const [{ by, down }, setOrder] = useState<{ by: SortBy; down: boolean }>({ by: 'trouble', down: false });
    const slow = useDeferredValue(filter);
    const all = useMemo(() => arranged(board.rows, slow, by, down), [board.rows, slow, by, down]);
    // a screenful at once, and the others as soon as that is painted
    const rows = useDeferredValue(all, all.slice(0, 40));
    const chosen = board.causes.find((cause) => cause.id === filter.cause);

    return (
        <>
            <BoardTools production={production} rows={board.rows} shown={all} filter={filter} onFilter={setFilter} />
            {chosen !== undefined && (
                <p className="pt-2">
                    Only what has “{named(chosen.id)}”.{' '}
                    <button type="button" className="link" onClick={() => setFilter({ ...filter, cause: null })}>
                        Show all again
                    </button>
                </p>
            )}
            <BoardTable
                rows={rows}
                all={all}
                groups={board.groups}
                by={by}
                down={down}
                onSort={(own, turned) => setOrder({ by: own, down: turned })}
            />
            {all.length === 0 && <p className="pt-2 text-faint">Nothing fits.</p>}
            <CommonMistakes causes={board.causes} onChoose={(cause) => setFilter({ ...filter, cause })} />
            <Disagreements lines={board.agreement} />
        </>
    );
}
