import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { Files, Frames, Lines, SinceThen } from '../features/against/Changes';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Folios } from '../parts/Folios';
import type { AgainstPage } from '../types/views';

/** Two checks of one deliverable beside each other. */
export default function Against(page: AgainstPage) {
    const { book, deliverable, now, before } = page;

    return (
        <Book title={t`${deliverable.code}, two checks`} book={book} deliverable={deliverable}>
            <Folios deliverable={deliverable} at="frames" />
            <div className="pb-10">
                <p className="flex flex-wrap items-baseline gap-x-4 px-6 pt-3">
                    <span className="said">
                        <Trans>
                            Check of {now.made}, against that of {before.made}
                        </Trans>
                    </span>
                    <Link href={to('frames', { deliverable: deliverable.id })} className="link">
                        <Trans>Back to the frames</Trans>
                    </Link>
                </p>
                <SinceThen since={page.since} />
                <Lines page={page} />
                <Frames frames={page.frames} />
                <Files files={page.files} />
            </div>
        </Book>
    );
}
