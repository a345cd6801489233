import { Link } from '@inertiajs/react';
import { classes } from '../lib/classes';
import { to } from '../lib/route';
import type { Book } from '../types/views';

const FOLIOS = [
    ['production', 'Deliverables'],
    ['board', 'Board'],
    ['scenes', 'Many scenes'],
    ['tree', 'Delivered tree'],
    ['plan', 'Render plan'],
    ['outbox', 'Outbox'],
    ['house', 'House requirements'],
    ['names', 'Names'],
    ['list', 'From a list'],
    ['together', 'Many together'],
] as const;

type ProductionFolio = (typeof FOLIOS)[number][0];

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
            {book.decides && (
                <nav aria-label="Folios" className="tabs mx-6 mt-2 flex-wrap border-b border-ink">
                    {FOLIOS.map(([folio, name]) => (
                        <Link
                            key={folio}
                            href={to(folio, { production: book.production.id })}
                            aria-current={folio === at ? 'page' : undefined}
                            className={classes('tab', folio === at && 'tab-active')}
                        >
                            {name}
                        </Link>
                    ))}
                </nav>
            )}
        </>
    );
}
