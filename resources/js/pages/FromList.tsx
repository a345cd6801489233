import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { ListSource } from '../features/production/ListSource';
import { PlannedRows } from '../features/production/PlannedRows';
import { useList } from '../features/production/useList';
import { to } from '../lib/route';
import { useCarried } from '../lib/useCarried';
import { useAction } from '../lib/useAction';
import { Book } from '../parts/Book';
import { Fault } from '../parts/Fault';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { FromListPage } from '../types/views';

/** Deliverables from a list, a timeline or a roster: looked at row by row, then written whole or not at all. */
export default function FromList(page: FromListPage) {
    const { book, specifications } = page;

    return (
        <Book title={t`${book.production.name}, from a list`} book={book}>
            <ProductionFolios book={book} at="list" />
            <div className="px-6 pt-3 pb-10">
                <p className="said pb-2">
                    <Trans>
                        Many deliverables at once. What would be made, changed or refused is shown first, row by row;
                        nothing is written until you agree, and then all of it.
                    </Trans>
                </p>
                {specifications.length === 0 ? (
                    <p className="text-faint">
                        <Trans>
                            New deliverables follow a specification, and this production has none yet. Add one
                            deliverable first.
                        </Trans>
                    </p>
                ) : (
                    <List page={page} />
                )}
            </div>
        </Book>
    );
}

function List({ page }: { page: FromListPage }) {
    const production = page.book.production.id;
    const list = useList(
        production,
        String(page.specifications[0]?.id ?? ''),
        page.learners.map((each) => each.handle),
    );
    useCarried('list', (file) => void list.choose(file));
    const writing = useAction(t`Nothing was written.`);
    // what was refused of one plan says nothing of another
    const [tried, setTried] = useState<string | null>(null);
    const { plan, data, asking } = list;
    const write = () => {
        if (data !== null && plan !== null) {
            setTried(plan.seal);
            const sealed = { ...data, seal: plan.seal };
            writing.send('post', to('list.store', { production }), sealed, { forceFormData: true });
        }
    };

    return (
        <>
            <ListSource page={page} list={list} />
            <Fault says={list.fault ?? (plan?.seal === tried ? writing.fault : null)} className="py-3" />
            {asking && plan === null && (
                <p className="py-3 text-faint">
                    <Trans>Reading…</Trans>
                </p>
            )}
            {plan !== null && (
                <PlannedRows
                    plan={plan}
                    columns={page.columns}
                    matched={list.state.matched}
                    onMatch={(matched) => list.take({ does: 'set', values: { matched } })}
                    busy={asking || writing.busy}
                    onWrite={write}
                />
            )}
        </>
    );
}
