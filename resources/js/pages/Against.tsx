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
        <Book title={`${deliverable.code}, two checks`} book={book} deliverable={deliverable}>
            <Folios deliverable={deliverable} at="frames" />
            <div className="pb-10">
                <p className="flex flex-wrap items-baseline gap-x-4 px-6 pt-3">
                    <span className="said">
                        Check of {now.made}, against that of {before.made}
                    </span>
                    <Link href={to('frames', { deliverable: deliverable.id })} className="link">
                        Back to the frames
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
