import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, usePage } from '@inertiajs/react';
import { classes } from '../lib/classes';
import { to } from '../lib/route';
import type { Book, DeliverableHead, Mark } from '../types/views';
import { MarkSign } from './MarkSign';

export type Folio = 'specification' | 'scene' | 'render' | 'frames' | 'movie' | 'submission' | 'hand-in';

/** Head of a deliverable's pages, and its folios in the order of the work. */
export function Folios({ deliverable, at }: { deliverable: DeliverableHead; at: Folio | null }) {
    const { book } = usePage<{ book: Book | null; [key: string]: unknown }>().props;
    const decides = book?.decides === true;
    // what is signed off elsewhere is handed in and marked in a course
    const last: [Folio, string, Mark | null] =
        book?.production.kind === 'course'
            ? ['hand-in', t`Hand in`, null]
            : ['submission', t`Submission`, deliverable.submitted ? 'equal' : null];
    const folios: [Folio, string, Mark | null][] = [
        ['specification', t`Specification`, null],
        ['scene', t`Scene`, deliverable.folios.scene],
        ['render', t`Render`, null],
        ['frames', t`Frames`, deliverable.folios.frames],
        ...(deliverable.owesMovie ? [['movie', t`Movie`, deliverable.movie] as [Folio, string, Mark | null]] : []),
        last,
    ];

    return (
        <>
            <h1 className="flex flex-wrap items-baseline gap-x-3 px-6 pt-4">
                <span className="title text-[24px] [overflow-wrap:anywhere]">{deliverable.code}</span>
                <span className="aside text-[17px]">
                    {[
                        deliverable.title,
                        deliverable.owner,
                        deliverable.due === null ? null : t`due ${deliverable.due.at}`,
                    ]
                        .filter((said) => said !== null && said !== '')
                        .join(' · ')}
                </span>
                {decides && (
                    <Link className="link text-[13px] print:hidden" href={to('about', { deliverable: deliverable.id })}>
                        <Trans>Change</Trans>
                    </Link>
                )}
            </h1>
            <nav aria-label={t`Folios`} className="tabs mx-6 mt-2 flex-wrap border-b border-ink">
                {folios.map(([folio, name, mark]) => (
                    <Link
                        key={folio}
                        href={to(folio, { deliverable: deliverable.id })}
                        aria-current={folio === at ? 'page' : undefined}
                        className={classes('tab', folio === at && 'tab-active')}
                    >
                        {mark !== null && <MarkSign mark={mark} />}
                        {name}
                    </Link>
                ))}
            </nav>
        </>
    );
}
