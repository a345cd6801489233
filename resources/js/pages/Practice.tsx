import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { Causes, People } from '../features/practice/Class';
import { Setting } from '../features/practice/Setting';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { PracticePage } from '../types/views';

/** What goes wrong in it, for those who set it. */
function mistakes(line: PracticePage['exercises'][number]): string {
    if (line.kind === 'write') {
        return t`a specification is to be written`;
    }

    return line.mistakes === null || line.mistakes.length === 0
        ? t`nothing goes wrong`
        : line.mistakes.map((each) => each.replaceAll('-', ' ')).join(', ');
}

function Line({ line, decides }: { line: PracticePage['exercises'][number]; decides: boolean }) {
    const remove = () => {
        if (window.confirm(t`Remove “${line.title}” with all its answers?`)) {
            router.delete(to('practice.drop', { exercise: line.id }), { preserveScroll: true });
        }
    };

    return (
        <li className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-rule py-2">
            <Link className="link font-serif text-[17px]" href={to('try', { exercise: line.id })}>
                {line.title}
            </Link>
            {line.own !== null && (
                <span>
                    <Trans>
                        your best: {line.own.earned} of {line.own.possible}
                    </Trans>
                </span>
            )}
            {decides && (
                <>
                    <span className="text-faint">{mistakes(line)}</span>
                    <span className="text-[13px] text-faint">
                        <Trans>
                            {line.begun} began, {line.answered} answered
                        </Trans>
                    </span>
                    <button type="button" className="link text-[13px]" onClick={remove}>
                        <Trans>Remove</Trans>
                    </button>
                </>
            )}
        </li>
    );
}

/** Deliveries with known mistakes, to practise on. */
export default function Practice(page: PracticePage) {
    const { book, exercises } = page;

    return (
        <Book title={t`${book.production.name}, practice`} book={book}>
            <ProductionFolios book={book} at="practice" />
            <div className="px-6 pb-10">
                <Heading className="pt-4">
                    <Trans>Practice</Trans>
                </Heading>
                <p className="said max-w-[66ch] pt-2">
                    <Trans>
                        Each exercise is a delivery with something wrong in it, and each person gets another one. Say
                        what is the matter, why, and what is to be rendered again.
                    </Trans>
                </p>
                {exercises.length === 0 ? (
                    <p className="pt-3 text-faint">
                        <Trans>Nothing is set yet.</Trans>
                    </p>
                ) : (
                    <ul className="mt-3 border-t border-ink">
                        {exercises.map((line) => (
                            <Line key={line.id} line={line} decides={book.decides} />
                        ))}
                    </ul>
                )}
                {book.decides && <Setting page={page} />}
                <Causes causes={page.causes} />
                <People page={page} />
            </div>
        </Book>
    );
}
