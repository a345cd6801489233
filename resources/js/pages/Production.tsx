import { Link, router } from '@inertiajs/react';
import { DeliverableTable } from '../features/production/DeliverableTable';
import { Presets } from '../features/production/Presets';
import { Proof } from '../features/production/Proof';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { Heading } from '../parts/Heading';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { ProductionPage } from '../types/views';

/** Where nothing is owed yet: what to do first. */
function Beginning({ production, decides }: { production: number; decides: boolean }) {
    return (
        <div className="said mt-4 max-w-[60ch]">
            {decides ? (
                <>
                    <p>Nothing is owed here yet.</p>
                    <p className="mt-3 flex flex-wrap gap-3 font-sans">
                        <Link href={to('deliverable.new', { production })} className="btn btn-primary">
                            Add the first deliverable
                        </Link>
                        <Link href={to('list', { production })} className="btn">
                            Read a list of them
                        </Link>
                    </p>
                </>
            ) : (
                <p>Nothing is owed by you in this production. When something is, it will stand here.</p>
            )}
        </div>
    );
}

function follows(deliverables: number): string {
    if (deliverables === 0) {
        return 'nothing follows it';
    }

    return `${deliverables} ${deliverables === 1 ? 'deliverable follows' : 'deliverables follow'} it`;
}

function Specifications({ lines }: { lines: ProductionPage['specifications'] }) {
    return lines.length === 0 ? null : (
        <section className="pt-6">
            <Heading>Specifications</Heading>
            <ul>
                {lines.map((line) => (
                    <li key={line.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
                        <Link href={to('revisions', { specification: line.id })} className="link">
                            <Breaking text={line.title} />
                        </Link>
                        <span className="text-faint">
                            revision {line.revision}; {follows(line.deliverables)}
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** What was put away, to be put back. */
function Away({ lines }: { lines: ProductionPage['away'] }) {
    return lines.length === 0 ? null : (
        <section className="pt-6">
            <Heading>Put away</Heading>
            <ul>
                {lines.map(({ id, code, title }) => (
                    <li key={id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
                        <Link href={to('about', { deliverable: id })} className="link mono">
                            {code}
                        </Link>
                        <span className="text-faint">{title}</span>
                        <button
                            type="button"
                            className="link ml-auto"
                            onClick={() => router.delete(to('away.back', { deliverable: id }))}
                        >
                            Put it back
                        </button>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** The list, to take along. */
function Exports({ production }: { production: number }) {
    return (
        <p className="flex flex-wrap gap-x-4 pt-3 text-[13px]">
            <span className="aside">The list of deliverables, to take along:</span>
            <a className="link" href={to('list.export', { production, format: 'csv' })}>
                CSV
            </a>
            <a className="link" href={to('list.export', { production, format: 'otio' })}>
                OpenTimelineIO
            </a>
        </p>
    );
}

export default function Production({ book, specifications, presets, away }: ProductionPage) {
    const production = book.production.id;
    const isEmpty = book.index.length === 0;

    return (
        <Book title={book.production.name} book={book}>
            <ProductionFolios book={book} at="production" />
            <div className="px-6 pb-10">
                {isEmpty ? (
                    <Beginning production={production} decides={book.decides} />
                ) : (
                    <DeliverableTable lines={book.index} />
                )}
                {book.decides && !isEmpty && <Exports production={production} />}
                {!book.decides && book.index.length > 1 && (
                    <p className="pt-4">
                        <Link href={to('scenes', { production })} className="btn">
                            Bring the settings of several scenes
                        </Link>
                    </p>
                )}
                <Specifications lines={specifications} />
                {book.decides && !isEmpty && <Proof production={production} />}
                <Presets presets={presets} />
                <Away lines={away} />
            </div>
        </Book>
    );
}
