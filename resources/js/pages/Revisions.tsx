import { t } from '@lingui/core/macro';
import {
    Comparison,
    Followers,
    KeepAsPreset,
    OutOfDateChecks,
    RevisionTable,
    SpecificationTitle,
} from '../features/production/Revisions';
import { Book } from '../parts/Book';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { RevisionsPage } from '../types/views';

/** A specification's revisions, two of them beside each other, and what was checked by which. */
export default function Revisions(page: RevisionsPage) {
    const { book, specification, revisions, parts } = page;

    return (
        <Book title={t`${specification.title}, revisions`} book={book}>
            <ProductionFolios book={book} at={null} />
            <div className="px-6 pt-3 pb-10">
                <SpecificationTitle id={specification.id} title={specification.title} />
                <Followers users={page.users} parts={parts} />
                <OutOfDateChecks specification={specification.id} checks={page.outOfDate} />
                <RevisionTable revisions={revisions} />
                {revisions.length > 1 && (
                    <Comparison
                        specification={specification.id}
                        revisions={revisions}
                        from={page.from}
                        to={page.to}
                        differs={page.differs}
                        several={parts.length > 1}
                    />
                )}
                <KeepAsPreset production={book.production.id} specification={specification} />
            </div>
        </Book>
    );
}
