import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { NotSettled, SheetFiles, SheetLinks } from '../features/specification/HandingOut';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Folios } from '../parts/Folios';
import type { HandOutPage } from '../types/views';

/** What is asked, in a form that people and programs can read. */
export default function HandOut({ book, deliverable: head, may, conflicts, links }: HandOutPage) {
    const deliverable = head.id;
    const print = () => document.querySelector<HTMLIFrameElement>('#the-sheet')?.contentWindow?.print();

    return (
        <Book
            title={t`${head.code}, handing out`}
            book={book}
            deliverable={head}
            margin={
                <>
                    <NotSettled conflicts={conflicts} />
                    <SheetFiles deliverable={deliverable} />
                    {may.specify && (
                        <SheetLinks deliverable={deliverable} links={links} isSettled={conflicts.length === 0} />
                    )}
                </>
            }
        >
            <Folios deliverable={head} at={null} />
            <p className="flex flex-wrap items-baseline gap-x-4 px-6 pt-2 text-[13px]">
                <Link href={to('specification', { deliverable })} className="link">
                    <Trans>Back to what is asked</Trans>
                </Link>
                <button type="button" className="link" onClick={print}>
                    <Trans>Print the sheet</Trans>
                </button>
            </p>
            <iframe
                id="the-sheet"
                title={t`The sheet of ${head.code}`}
                src={to('sheet', { deliverable, format: 'html' })}
                className="mx-6 my-3 block h-[1120px] w-[calc(100%-48px)] border border-edge bg-white"
            />
        </Book>
    );
}
