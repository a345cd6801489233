import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useMemo, useState } from 'react';
import { Away } from '../features/board/Away';
import { BoardTable } from '../features/board/BoardTable';
import { BoardTools } from '../features/board/BoardTools';
import { CommonMistakes, Disagreements, named } from '../features/board/Common';
import { Selection } from '../features/board/Selection';
import { useBoardView } from '../features/board/useBoardView';
import { Views } from '../features/board/Views';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { BoardPage } from '../types/views';

/** Where nothing is owed yet: what to do first. */
function Beginning({ production }: { production: number }) {
    return (
        <div className="said mt-4 max-w-[60ch]">
            <p>
                <Trans>Nothing is owed here yet.</Trans>
            </p>
            <p className="mt-3 flex flex-wrap gap-3 font-sans">
                <Link href={to('deliverable.new', { production })} className="btn btn-primary">
                    <Trans>Add the first deliverable</Trans>
                </Link>
                <Link href={to('list', { production })} className="btn">
                    <Trans>Read a list of them</Trans>
                </Link>
            </p>
        </div>
    );
}

/** The list, to take along. */
function Exports({ production }: { production: number }) {
    return (
        <p className="flex flex-wrap gap-x-4 pt-3 text-[13px]">
            <span className="aside">
                <Trans>The list of deliverables, to take along:</Trans>
            </span>
            <a className="link" href={to('list.export', { production, format: 'csv' })}>
                <Trans>CSV</Trans>
            </a>
            <a className="link" href={to('list.export', { production, format: 'otio' })}>
                <Trans>OpenTimelineIO</Trans>
            </a>
            <span className="aside">
                <Trans>Delivery note of what is signed off:</Trans>
            </span>
            <a className="link" href={to('note', { production, format: 'pdf' })}>
                <Trans>PDF</Trans>
            </a>
            <a className="link" href={to('note', { production, format: 'html' })}>
                <Trans>Page</Trans>
            </a>
            <a className="link" href={to('note', { production, format: 'csv' })}>
                <Trans>as CSV</Trans>
            </a>
        </p>
    );
}

function Overview({ page }: { page: BoardPage }) {
    const { board, people, specifications } = page;
    const production = page.book.production.id;
    const given = useMemo(() => ({ production, people, specifications }), [production, people, specifications]);
    const view = useBoardView(board.rows);
    const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
    const choose = (ids: number[], on: boolean) =>
        setChosen((was) => new Set(on ? [...was, ...ids] : [...was].filter((id) => !ids.includes(id))));
    const ids = board.rows.map((row) => row.id).filter((id) => chosen.has(id));
    const cause = board.causes.find((each) => each.id === view.filter.cause);

    return (
        <>
            <BoardTools production={production} rows={board.rows} view={view}>
                <Views production={production} view={view} views={page.views} />
            </BoardTools>
            {cause !== undefined && (
                <p className="pt-2">
                    <Trans>Only what has “{named(cause.id)}”. </Trans>
                    <button
                        type="button"
                        className="link"
                        onClick={() => view.setFilter({ ...view.filter, cause: null })}
                    >
                        <Trans>Show all again</Trans>
                    </button>
                </p>
            )}
            {ids.length > 0 && <Selection {...given} chosen={ids} onClear={() => setChosen(new Set())} />}
            <BoardTable given={given} view={view} groups={board.groups} chosen={chosen} onChoose={choose} />
            {view.shown.length === 0 && (
                <p className="pt-2 text-faint">
                    <Trans>Nothing fits.</Trans>
                </p>
            )}
            <Exports production={production} />
            <CommonMistakes causes={board.causes} onChoose={(own) => view.setFilter({ ...view.filter, cause: own })} />
            <Disagreements lines={board.agreement} />
        </>
    );
}

/** All that a production or an assignment owes, at a glance. */
export default function Board(page: BoardPage) {
    const { book, board, away } = page;

    return (
        <Book title={book.production.name} book={book}>
            <ProductionFolios book={book} at="production" />
            <div className="px-6 pb-10">
                {board.rows.length === 0 ? <Beginning production={book.production.id} /> : <Overview page={page} />}
                <Away lines={away} />
            </div>
        </Book>
    );
}
