import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import type { ReactNode } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Choices } from '../../parts/Choices';
import type { BoardRow } from '../../types/views';
import { countOf, type BoardFilter } from './board';
import type { BoardView } from './useBoardView';

const WHICH: [BoardFilter['which'], string][] = [
    ['all', t`All`],
    ['unbalanced', t`Unbalanced`],
    ['open', t`Open`],
    ['balanced', t`Balanced`],
    ['unchecked', t`Not checked`],
    ['late', t`Late`],
    ['changed', t`Changed since yesterday`],
    ['stale', t`Asked otherwise since`],
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
            aria-label={t`Specification`}
            className="select w-auto!"
            value={chosen ?? ''}
            onChange={(event) => onChoose(event.target.value === '' ? null : event.target.value)}
        >
            <option value="">
                <Trans>every specification</Trans>
            </option>
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
    view,
    children,
}: {
    production: number;
    rows: BoardRow[];
    view: BoardView;
    children: ReactNode;
}) {
    const { filter, shown, setFilter: onFilter } = view;
    const again = useAction(t`These could not be checked again.`);
    const stale = countOf(rows, 'stale');
    const isWhole = filter.which === 'all' && filter.cause === null && filter.text === '';
    const write = () =>
        router.post(to('outbox.write', { production }), isWhole ? {} : { deliverables: shown.map((row) => row.id) });

    return (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pt-3">
            <input
                type="search"
                aria-label={t`Find on the board`}
                placeholder={t`Find a code, an owner, a cause`}
                className="input w-56!"
                value={filter.text}
                onChange={(event) => onFilter({ ...filter, text: event.target.value })}
            />
            <Choices
                label={t`Which deliverables`}
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
                {children}
                <Link className="link print:hidden" href={to('movies', { production })}>
                    <Trans>All movies</Trans>
                </Link>
                {stale > 0 && (
                    <button
                        type="button"
                        className="btn btn-primary"
                        disabled={again.busy}
                        onClick={() => again.send('post', to('production.recheck', { production }))}
                    >
                        {again.busy ? t`Checking…` : t`Check ${stale} again`}
                    </button>
                )}
                <button type="button" className="btn" onClick={write}>
                    <Trans>Write to the owners</Trans>
                </button>
                <a className="btn" href={to('grades', { production })} download>
                    <Trans>Results as CSV</Trans>
                </a>
            </span>
        </div>
    );
}
