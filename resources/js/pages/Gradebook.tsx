import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { GradebookFile } from '../features/course/GradebookFile';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { GradebookPage } from '../types/views';

function Table({ page: { table } }: { page: GradebookPage }) {
    return (
        <div className="overflow-x-auto">
            <table className="ledger mt-3">
                <thead>
                    <tr>
                        <th scope="col">
                            <Trans>learner</Trans>
                        </th>
                        {table.assignments.map(({ id, title, of, hidden }) => (
                            <th key={id} scope="col">
                                <Link className="link" href={to('assignment', { specification: id })}>
                                    {title}
                                </Link>
                                <span className="block font-normal">
                                    {hidden && t`names are kept back`}
                                    {!hidden && of !== null && t`of ${of}`}
                                </span>
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {table.people.map(({ id, name, number, points }) => (
                        <tr key={id}>
                            <th scope="row">
                                {name}
                                {number !== null && (
                                    <span className="mono block text-[13px] font-normal text-faint">{number}</span>
                                )}
                            </th>
                            {table.assignments.map((assignment) => (
                                <td key={assignment.id} className="column mono">
                                    {points[assignment.id] ?? ''}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}

/** Points of everybody in every assignment, and their way into another system. */
export default function Gradebook(page: GradebookPage) {
    const { book, table, assignments } = page;

    return (
        <Book title={t`${book.production.name}, points`} book={book}>
            <ProductionFolios book={book} at="gradebook" />
            <div className="px-6 pb-10">
                <Heading className="pt-4">
                    <Trans>Points</Trans>
                </Heading>
                {table.people.length === 0 ? (
                    <p className="said pt-3">
                        <Trans>
                            No learners are here yet.{' '}
                            <Link className="link" href={to('people', { production: book.production.id })}>
                                Invite them
                            </Link>
                            , one by one or from a roster.
                        </Trans>
                    </p>
                ) : (
                    <Table page={page} />
                )}
                {assignments.length > 0 && table.people.length > 0 && <GradebookFile page={page} />}
                <p className="pt-6 print:hidden">
                    <a className="link" href={to('grades', { production: book.production.id })}>
                        <Trans>Results as CSV</Trans>
                    </a>
                </p>
            </div>
        </Book>
    );
}
