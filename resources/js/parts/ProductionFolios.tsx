import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { classes } from '../lib/classes';
import { to } from '../lib/route';
import type { Book } from '../types/views';

/** Four places, and the pages of each in the order of the work. */
const PLACES = [
    [
        t`Work`,
        [
            ['production', t`Deliverables`],
            ['specifications', t`Specifications`],
            ['gradebook', t`Points`],
            ['together', t`Many together`],
            ['practice', t`Practice`],
        ],
    ],
    [t`Render`, [['plan', t`Render plan`]]],
    [
        t`Bring in`,
        [
            ['bring', t`Anything`],
            ['scenes', t`Many scenes`],
            ['tree', t`Delivered tree`],
            ['list', t`From a list`],
        ],
    ],
    [
        t`Production`,
        [
            ['house', t`House requirements`],
            ['names', t`Names`],
            ['people', t`People`],
            ['outbox', t`Outbox`],
            ['history', t`History`],
            ['settings', t`Settings`],
        ],
    ],
] as const;

type ProductionFolio = (typeof PLACES)[number][1][number][0];

function Places({ book, at }: { book: Book; at: ProductionFolio | null }) {
    const production = book.production.id;
    // what stands in no row of its own is reached from the first
    const here = at === null ? PLACES[0] : PLACES.find(([, pages]) => pages.some(([page]) => page === at));

    return (
        <nav aria-label={t`Folios`} className="mx-6 mt-2">
            <p className="tabs flex-wrap border-b border-ink">
                {PLACES.map(([name, pages]) => (
                    <Link
                        key={name}
                        href={to(pages[0][0], { production })}
                        aria-current={name === here?.[0] ? 'true' : undefined}
                        className={classes('tab', name === here?.[0] && 'tab-active')}
                    >
                        {name}
                    </Link>
                ))}
            </p>
            {here !== undefined && here[1].length > 1 && (
                <p className="flex flex-wrap gap-x-5 gap-y-1 border-b border-rule py-1.5">
                    {here[1]
                        // points are a course's matter
                        .filter(([page]) => page !== 'gradebook' || book.production.kind === 'course')
                        .map(([page, name]) => (
                            <Link
                                key={page}
                                href={to(page, { production })}
                                aria-current={page === at ? 'page' : undefined}
                                className={page === at ? 'font-semibold' : 'link'}
                            >
                                {name}
                            </Link>
                        ))}
                </p>
            )}
        </nav>
    );
}

/** What there is for those who make: their work, and what is set to practise on. */
function OwnPlaces({ production, at }: { production: number; at: ProductionFolio | null }) {
    const places = [
        ['production', t`Your work`],
        ['practice', t`Practice`],
    ] as const;

    return (
        <nav aria-label={t`Folios`} className="tabs mx-6 mt-2 flex-wrap border-b border-ink">
            {places.map(([page, name]) => (
                <Link
                    key={page}
                    href={to(page, { production })}
                    aria-current={page === at ? 'page' : undefined}
                    className={classes('tab', page === at && 'tab-active')}
                >
                    {name}
                </Link>
            ))}
        </nav>
    );
}

/** Head of a production's pages, and its folios for those who decide. */
export function ProductionFolios({ book, at }: { book: Book; at: ProductionFolio | null }) {
    return (
        <>
            <h1 className="flex flex-wrap items-baseline gap-x-3 px-6 pt-4">
                <span className="title text-[24px] [overflow-wrap:anywhere]">{book.production.name}</span>
                <span className="aside text-[17px]">
                    {book.production.code}, {book.production.kind}
                </span>
            </h1>
            {book.production.archived && (
                <p className="mx-6 mt-2 border-y border-ochre py-1 text-ochre">
                    <Trans>Archived: it can be read, and nothing in it changed.</Trans>
                </p>
            )}
            {book.decides && <Places book={book} at={at} />}
            {!book.decides && book.practice > 0 && <OwnPlaces production={book.production.id} at={at} />}
        </>
    );
}
