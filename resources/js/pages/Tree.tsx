import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { NobodysPieces } from '../features/tree/NobodysPieces';
import { TreeLines } from '../features/tree/TreeLines';
import { TreeTop } from '../features/tree/TreeTop';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { TreePage } from '../types/views';

/** One delivered tree beside all deliverables. */
export default function Tree(page: TreePage) {
    const { book, tree, said } = page;
    const production = book.production.id;

    return (
        <Book title={t`${book.production.name}, delivered tree`} book={book}>
            <ProductionFolios book={book} at="tree" />
            <div className="pb-10">
                <TreeTop key={`${tree?.id} ${tree?.running}`} page={page} />
                {tree !== null && tree.totals !== null && !tree.running && (
                    <>
                        <TreeLines lines={tree.lines} totals={tree.totals} />
                        <p className="flex items-baseline gap-3 px-6 pt-3">
                            <button
                                type="button"
                                className="btn"
                                onClick={() => router.post(to('tree.checks', { production }))}
                            >
                                <Trans>Check each in its own folder</Trans>
                            </button>
                            <span className="text-[13px] text-faint" role="status">
                                {said ?? t`Their pages and the board then show it too.`}
                            </span>
                        </p>
                        <NobodysPieces page={page} />
                    </>
                )}
            </div>
        </Book>
    );
}
