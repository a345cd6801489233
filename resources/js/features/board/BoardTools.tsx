import { Link, router } from '@inertiajs/react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Choices } from '../../parts/Choices';
import type { BoardRow } from '../../types/views';
import { countOf, type BoardFilter } from './board';

const WHICH: [BoardFilter['which'], string][] = [
    ['all', 'All'],
    ['unbalanced', 'Unbalanced'],
    ['open', 'Open'],
    ['balanced', 'Balanced'],
    ['unchecked', 'Not checked'],
    ['late', 'Late'],
    ['changed', 'Changed since yesterday'],
    ['stale', 'Asked otherwise since'],
];

/** Which of the specifications is looked at, where there are several. */
function SpecificationChoice({
    rows,
    chosen,
    onChoose,
}: {
    rows: BoardRow[];
    chosen: string | null;
    onChoose: (title: string | null) => void;
}) {
    const titles = [...new Set(rows.map((row) => row.specification))].sort();

    return titles.length < 2 ? null : (
        <select
            aria-label="Specification"
            className="select w-auto!"
            value={chosen ?? ''}
            onChange={(event) => onChoose(event.target.value === '' ? null : event.target.value)}
        >
            <option value="">every specification</option>
            {titles.map((title) => (
                <option key={title}>{title}</option>
            ))}
        </select>
    );
}

/** What of a board is shown, and what can be done with all of it. */
export function BoardTools({
    production,
    rows,
    shown,
    filter,
    onFilter,
}: {
    production: number;
    rows: BoardRow[];
    shown: BoardRow[];
    filter: BoardFilter;
    onFilter: (filter: BoardFilter) => void;
}) {
    const again = useAction('These could not be checked again.');
    const stale = countOf(rows, 'stale');
    const isWhole = filter.which === 'all' && filter.cause === null && filter.text === '';
    const write = () =>
        router.post(to('outbox.write', { production }), isWhole ? {} : { deliverables: shown.map((row) => row.id) });

    return (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pt-3">
            <input
                type="search"
                aria-label="Find on the board"
                placeholder="Find a code, an owner, a cause"
                className="input w-56!"
                value={filter.text}
                onChange={(event) => onFilter({ ...filter, text: event.target.value })}
            />
            <Choices
                label="Which deliverables"
                className="flex-wrap!"
                words={WHICH.map(([which, label]) => [which, `${label} ${countOf(rows, which)}`] as const)}
                chosen={filter.which}
                onChoose={(which) => onFilter({ ...filter, which })}
            />
            <SpecificationChoice
                rows={rows}
                chosen={filter.specification}
                onChoose={(specification) => onFilter({ ...filter, specification })}
            />
            <span className="ml-auto flex flex-wrap items-center gap-3">
                <Link className="link" href={to('movies', { production })}>
                    All movies
                </Link>
                {stale > 0 && (
                    <button
                        type="button"
                        className="btn btn-primary"
                        disabled={again.busy}
                        onClick={() => again.send('post', to('production.recheck', { production }))}
                    >
                        {again.busy ? 'Checking…' : `Check ${stale} again`}
                    </button>
                )}
                <button type="button" className="btn" onClick={write}>
                    Write to the owners
                </button>
                <a className="btn" href={to('grades', { production })} download>
                    Results as CSV
                </a>
            </span>
        </div>
    );
}
