import { t } from '@lingui/core/macro';
import type { SortBy } from './board';
import type { Column } from './columns';

interface Order {
    by: SortBy;
    down: boolean;
    onSort: (by: SortBy, down: boolean) => void;
}

const SORTED: Record<Exclude<Column, 'marks'>, [SortBy, string]> = {
    due: ['due', 'due'],
    specification: ['specification', 'specification'],
    balance: ['balance', 'balance'],
    checked: ['checked', 'checked'],
    trouble: ['trouble', t`what holds it up`],
};

function Sorting({ own, label, by, down, onSort }: Order & { own: SortBy; label: string }) {
    return (
        <button
            type="button"
            className={`cursor-pointer text-left italic ${by === own ? 'font-semibold text-ink' : ''}`}
            onClick={() => onSort(own, by === own ? !down : false)}
        >
            {label}
            {by === own && (down ? ' ↑' : ' ↓')}
        </button>
    );
}

/** Whether a column is sorted by, as a reader of screens is told. */
function sortOf(own: SortBy, { by, down }: Order): 'ascending' | 'descending' | 'none' {
    const order = down ? 'descending' : 'ascending';

    return by === own ? order : 'none';
}

/** The headings of a board: a press sorts by one. */
export function BoardHead({
    columns,
    groups,
    order,
    allChosen,
    onChooseAll,
}: {
    columns: Column[];
    groups: string[];
    order: Order;
    allChosen: boolean;
    onChooseAll: (chosen: boolean) => void;
}) {
    return (
        <thead>
            <tr>
                <th scope="col" aria-sort={sortOf('code', order)}>
                    <span className="flex items-baseline gap-2">
                        <input
                            type="checkbox"
                            className="checkbox"
                            aria-label={t`Choose all that are shown`}
                            checked={allChosen}
                            onChange={(event) => onChooseAll(event.target.checked)}
                        />
                        <Sorting own="code" label={t`deliverable`} {...order} />
                        <Sorting own="owner" label={t`owner`} {...order} />
                    </span>
                </th>
                {columns.map((column) =>
                    column === 'marks' ? (
                        groups.map((group) => (
                            <th key={group} scope="col" className="mark column px-0! text-center! text-[11px]!">
                                <span className="upright">{group}</span>
                            </th>
                        ))
                    ) : (
                        <th key={column} scope="col" className="column" aria-sort={sortOf(SORTED[column][0], order)}>
                            <Sorting own={SORTED[column][0]} label={SORTED[column][1]} {...order} />
                        </th>
                    ),
                )}
            </tr>
        </thead>
    );
}
