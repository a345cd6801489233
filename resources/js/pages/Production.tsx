import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { OwnWork } from '../features/production/OwnWork';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { ProductionPage } from '../types/views';

/** A production as those see it who make something for it: what is asked of them, and what is next. */
export default function Production({ book, own }: ProductionPage) {
    return (
        <Book title={book.production.name} book={book}>
            <ProductionFolios book={book} at="production" />
            <div className="px-6 pb-10">
                {own.length === 0 ? (
                    <p className="said mt-4 max-w-[60ch]">
                        <Trans>Nothing is owed by you in this production. When something is, it will stand here.</Trans>
                    </p>
                ) : (
                    <OwnWork lines={own} isCourse={book.production.kind === 'course'} />
                )}
                {own.length > 1 && (
                    <p className="pt-4">
                        <Link href={to('scenes', { production: book.production.id })} className="btn">
                            <Trans>Bring the settings of several scenes</Trans>
                        </Link>
                    </p>
                )}
            </div>
        </Book>
    );
}
