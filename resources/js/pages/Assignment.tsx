import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { CommonMistakes, SameFiles, Spread } from '../features/course/Class';
import { Judging } from '../features/course/Judging';
import { Many } from '../features/course/Many';
import { Phrases } from '../features/course/Phrases';
import { Standings } from '../features/course/Standings';
import { to } from '../lib/route';
import { useAction } from '../lib/useAction';
import { Book } from '../parts/Book';
import { Fault } from '../parts/Fault';
import { Heading } from '../parts/Heading';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { AssignmentPage } from '../types/views';

/** Learners who have none of it yet, and one press that gives it to them. */
function Without({ page: { without, id } }: { page: AssignmentPage }) {
    const action = useAction(t`It could not be made for them.`);

    return without.length === 0 ? null : (
        <p className="pt-3">
            <Trans>Not made yet for: {without.join(', ')}.</Trans>{' '}
            <button
                type="button"
                className="btn"
                disabled={action.busy}
                onClick={() => action.send('post', to('assignment.everybody', { specification: id }))}
            >
                <Trans>Make it for them</Trans>
            </button>
            <Fault says={action.fault} />
        </p>
    );
}

/** Whether learners see their points, and all feedback at once. */
function Telling({ page: { id, released, rows, book } }: { page: AssignmentPage }) {
    const action = useAction(t`Points could not be told.`);
    const specification = id;

    return rows.every(({ counting }) => counting === null) ? null : (
        <div className="pt-3">
            <p className="flex flex-wrap items-center gap-x-5 gap-y-2">
                {released === null ? (
                    <button
                        type="button"
                        className="btn btn-primary"
                        disabled={action.busy}
                        onClick={() =>
                            action.send('post', to('assignment.release', { specification }), {}, { names: ['refused'] })
                        }
                    >
                        <Trans>Tell everybody their points</Trans>
                    </button>
                ) : (
                    <>
                        <span>
                            <Trans>Learners see their points since {released}.</Trans>
                        </span>
                        <button
                            type="button"
                            className="link"
                            onClick={() => action.send('delete', to('assignment.hide', { specification }))}
                        >
                            <Trans>Hide the points again</Trans>
                        </button>
                    </>
                )}
                <a className="link print:hidden" href={to('feedback.all', { specification })}>
                    <Trans>All feedback as one archive</Trans>
                </a>
                <Link className="link print:hidden" href={to('outbox', { production: book.production.id })}>
                    <Trans>Write to the owners</Trans>
                </Link>
            </p>
            <Fault says={action.fault} />
        </div>
    );
}

/** An assignment as those who mark it see it. */
export default function Assignment(page: AssignmentPage) {
    const { book, title, id, rows, hidesNames } = page;
    const [chosen, setChosen] = useState<number[]>([]);

    return (
        <Book title={t`${title}, assignment`} book={book}>
            <ProductionFolios book={book} at="gradebook" />
            <div className="px-6 pb-10">
                <Heading className="pt-4">{title}</Heading>
                <p className="flex flex-wrap gap-x-5 pt-1 text-[13px] print:hidden">
                    <Link className="link" href={to('gradebook', { production: book.production.id })}>
                        <Trans>Points of all assignments</Trans>
                    </Link>
                    <Link className="link" href={to('revisions', { specification: id })}>
                        <Trans>What is asked</Trans>
                    </Link>
                </p>
                {hidesNames && (
                    <p className="pt-2 text-ochre">
                        <Trans>Names are kept from those who mark until points are told.</Trans>
                    </p>
                )}
                <Without page={page} />
                {rows.length === 0 ? (
                    <p className="said pt-4">
                        <Trans>Nobody has this assignment yet. Invite learners, then make it for them here.</Trans>
                    </p>
                ) : (
                    <>
                        <Many page={page} chosen={chosen} onChoose={setChosen} />
                        <Standings page={page} chosen={chosen} onChoose={setChosen} />
                    </>
                )}
                <Telling page={page} />
                <CommonMistakes common={page.common} />
                <Spread bins={page.distribution} />
                <SameFiles same={page.same} />
                <Judging key={`judging ${id}`} page={page} />
                <Phrases key={`phrases ${id}`} page={page} />
            </div>
        </Book>
    );
}
