import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { Presets } from '../features/production/Presets';
import { Proof } from '../features/production/Proof';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { SpecificationsPage } from '../types/views';
import { counted } from '../lib/frames';

type Line = SpecificationsPage['specifications'][number];

function follows(deliverables: number): string {
    if (deliverables === 0) {
        return t`nothing follows it`;
    }

    return counted(deliverables, t`deliverable follows it`, t`deliverables follow it`);
}

function SpecificationLine({ line }: { line: Line }) {
    const of = { specification: line.id };
    const remove = () => {
        if (window.confirm(t`Delete “${line.title}” with its revisions?`)) {
            router.delete(to('specification.drop', of), { preserveScroll: true });
        }
    };

    return (
        <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            <Link href={to('revisions', of)} className="link">
                <Breaking text={line.title} />
            </Link>
            <span className="text-faint">
                <Trans>
                    revision {line.revision}; {follows(line.deliverables)}
                </Trans>
            </span>
            {line.isRetired && (
                <span className="aside text-ochre">
                    <Trans>retired</Trans>
                </span>
            )}
            <span className="ml-auto flex gap-3 text-[13px]">
                <button
                    type="button"
                    className="link"
                    aria-label={t`Duplicate ${line.title}`}
                    onClick={() => router.post(to('specification.copy', of))}
                >
                    <Trans>Duplicate</Trans>
                </button>
                <button
                    type="button"
                    className="link"
                    aria-label={`${line.isRetired ? t`Use again` : t`Retire`} ${line.title}`}
                    onClick={() =>
                        router.put(
                            to('specification.retire', of),
                            { retired: !line.isRetired },
                            { preserveScroll: true },
                        )
                    }
                >
                    {line.isRetired ? t`Use again` : t`Retire`}
                </button>
                {line.deliverables === 0 && (
                    <button type="button" className="link" aria-label={t`Delete ${line.title}`} onClick={remove}>
                        <Trans>Delete</Trans>
                    </button>
                )}
            </span>
        </li>
    );
}

/** What can be followed in a production, and what can be begun from. */
export default function Specifications({ book, specifications, presets }: SpecificationsPage) {
    const production = book.production.id;

    return (
        <Book title={t`${book.production.name}, specifications`} book={book}>
            <ProductionFolios book={book} at="specifications" />
            <div className="px-6 pb-10">
                {specifications.length === 0 ? (
                    <p className="said mt-4 max-w-[60ch]">
                        <Trans>
                            No specification is written here yet. One begins with the first deliverable, from a preset,
                            from files that are right, or from nothing.{' '}
                            <Link href={to('deliverable.new', { production })} className="link">
                                Add a deliverable
                            </Link>
                        </Trans>
                    </p>
                ) : (
                    <section className="pt-4" aria-label={t`Specifications`}>
                        <p className="said max-w-[66ch] pb-2">
                            <Trans>A retired one holds for what follows it, and is offered for nothing new.</Trans>
                        </p>
                        <ul>
                            {specifications.map((line) => (
                                <SpecificationLine key={line.id} line={line} />
                            ))}
                        </ul>
                    </section>
                )}
                {book.owed > 0 && <Proof production={production} />}
                <Presets presets={presets} />
            </div>
        </Book>
    );
}
