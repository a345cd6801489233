import { t } from '@lingui/core/macro';
import { Attempts } from '../features/course/Attempts';
import { Grant, Rules, Team } from '../features/course/Granted';
import { Asked, HandingIn } from '../features/course/HandingIn';
import { Book } from '../parts/Book';
import { Folios } from '../parts/Folios';
import type { HandInPage } from '../types/views';

/** What a learner is asked, what of it is wrong, and handing it in. */
export default function HandIn(page: HandInPage) {
    const { book, deliverable, may } = page;

    return (
        <Book
            title={t`${deliverable.code}, hand in`}
            book={book}
            deliverable={deliverable}
            margin={
                <>
                    <Rules page={page} />
                    <Team key={`team ${deliverable.id}`} page={page} />
                    {may.decide && <Grant key={`grant ${deliverable.id}`} page={page} />}
                </>
            }
        >
            <Folios deliverable={deliverable} at="hand-in" />
            <div className="px-6 pb-10">
                <Asked page={page} />
                <HandingIn page={page} />
                <Attempts page={page} />
            </div>
        </Book>
    );
}
