import { Link } from '@inertiajs/react';
import { classes } from '../lib/classes';
import type { Book } from '../types/views';

export type ProductionFolio =
    '' | '/board' | '/scenes' | '/render' | '/house' | '/list' | '/together' | '/names' | '/outbox';

const FOLIOS: [ProductionFolio, string][] = [
    ['', 'Deliverables'],
    ['/board', 'Board'],
    ['/scenes', 'Many scenes'],
    ['/render', 'Render plan'],
    ['/outbox', 'Outbox'],
    ['/house', 'House requirements'],
    ['/names', 'Names'],
    ['/list', 'From a list'],
    ['/together', 'Many together'],
];

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
                            href={`/productions/${book.production.id}${folio}`}
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
