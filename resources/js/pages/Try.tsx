import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { Answer } from '../features/practice/Answer';
import { Given } from '../features/practice/Given';
import { Marked } from '../features/practice/Marked';
import { Job, Writing, Written } from '../features/practice/Writing';
import { to } from '../lib/route';
import { useAction } from '../lib/useAction';
import { Book } from '../parts/Book';
import { Fault } from '../parts/Fault';
import { Heading } from '../parts/Heading';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { TryPage } from '../types/views';

function Begin({ exercise }: { exercise: number }) {
    const action = useAction(t`It could not be made.`);

    return (
        <>
            <p className="pt-4">
                <button
                    type="button"
                    className="btn btn-primary"
                    disabled={action.busy}
                    onClick={() => action.send('post', to('try.begin', { exercise }))}
                >
                    {action.busy ? t`Being made…` : t`Begin`}
                </button>
            </p>
            <Fault says={action.fault} />
        </>
    );
}

/** What is given, and what is said of it. */
function Practising({ page }: { page: TryPage }) {
    const { exercise, marks, brief } = page;
    if (brief !== null) {
        return (
            <>
                <Job brief={brief} />
                {marks === null ? <Writing key={exercise.id} page={page} /> : <Marked page={page} />}
                <Written page={page} />
            </>
        );
    }

    return (
        <>
            {/* looked at before it is answered, and below what was said of it */}
            {marks !== null && <Marked page={page} />}
            <Given page={page} />
            {marks === null && <Answer key={exercise.id} page={page} />}
        </>
    );
}

/** One exercise: what is given, what is said of it, and how that was marked. */
export default function Try(page: TryPage) {
    const { book, exercise, begun } = page;

    return (
        <Book title={t`${exercise.title}, practice`} book={book}>
            <ProductionFolios book={book} at="practice" />
            <div className="px-6 pb-10">
                <p className="pt-3 text-[13px] print:hidden">
                    <Link className="link" href={to('practice', { production: book.production.id })}>
                        <Trans>All exercises</Trans>
                    </Link>
                </p>
                <Heading className="pt-2">{exercise.title}</Heading>
                {begun ? <Practising page={page} /> : <Begin exercise={exercise.id} />}
            </div>
        </Book>
    );
}
