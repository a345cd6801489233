import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { Mark, Others, Return } from '../features/course/Marking';
import { NextTime, Points, Remarks } from '../features/course/Points';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { FeedbackPage } from '../types/views';

/** From one learner's to the next. */
function Beside({ page: { beside, specification, assignment } }: { page: FeedbackPage }) {
    return (
        <p className="flex flex-wrap gap-x-5 pt-3 text-[13px] print:hidden">
            <Link className="link" href={to('assignment', { specification })}>
                {assignment}
            </Link>
            {beside.before !== null && (
                <Link className="link" href={to('feedback', { handIn: beside.before })}>
                    <Trans>The one before</Trans>
                </Link>
            )}
            {beside.after !== null && (
                <Link className="link" href={to('feedback', { handIn: beside.after })}>
                    <Trans>The next one</Trans>
                </Link>
            )}
        </p>
    );
}

function Links({ page: { id, check, deliverable, decides } }: { page: FeedbackPage }) {
    return (
        <p className="flex flex-wrap gap-x-5 pt-4 print:hidden">
            <a className="link" href={to('feedback.file', { handIn: id, format: 'pdf' })}>
                <Trans>As PDF</Trans>
            </a>
            {check !== null && (
                <Link className="link" href={to('check', { check })}>
                    <Trans>The check that was handed in</Trans>
                </Link>
            )}
            {deliverable !== null && (
                <Link className="link" href={to('hand-in', { deliverable })}>
                    {decides ? t`All attempts` : t`Back to what is asked`}
                </Link>
            )}
        </p>
    );
}

/** What is told of one attempt; and where those who mark do so. */
export default function Feedback(page: FeedbackPage) {
    const { book, feedback, who, assignment, decides, id } = page;

    return (
        <Book
            title={t`${who}, ${assignment}`}
            book={book}
            margin={
                decides ? (
                    <>
                        <Mark key={`mark ${id}`} page={page} />
                        <Others key={`others ${id}`} page={page} />
                        <Return key={`return ${id}`} page={page} />
                    </>
                ) : undefined
            }
        >
            <ProductionFolios book={book} at={decides ? 'gradebook' : 'production'} />
            <div className="px-6 pb-10">
                {decides && <Beside page={page} />}
                <h2 className="title pt-3 text-[20px] [overflow-wrap:anywhere]">
                    <Breaking text={who} />
                </h2>
                <dl className="grid max-w-[70ch] grid-cols-[auto_1fr] gap-x-4 pt-1">
                    {feedback.about.slice(1).map(({ name, value }) => (
                        <div key={name} className="contents">
                            <dt className="aside">{name}</dt>
                            <dd>
                                <Breaking text={value} />
                            </dd>
                        </div>
                    ))}
                </dl>
                <Points feedback={feedback} />
                <NextTime causes={feedback.causes} />
                {/* whoever marks reads them in the margin, where they are written; on paper there is none */}
                <div className={decides ? 'hidden print:block' : undefined}>
                    <Remarks remarks={feedback.remarks} />
                </div>
                <Links page={page} />
            </div>
        </Book>
    );
}
