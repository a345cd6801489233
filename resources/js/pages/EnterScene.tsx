import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { EntryMargin } from '../features/scene/EntryMargin';
import { EntryTable } from '../features/scene/EntryTable';
import { useEntry } from '../features/scene/useEntry';
import { classes } from '../lib/classes';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Folios } from '../parts/Folios';
import type { EnterScenePage, EntrySheet } from '../types/views';

/** Which part is typed in, of several. */
function PartLinks({ deliverable, entry }: { deliverable: number; entry: EntrySheet }) {
    return entry.part === null ? null : (
        <nav aria-label="Parts" className="tabs tabs-sm flex-wrap! gap-x-4! pt-4">
            <span className="aside">What is typed makes</span>
            {entry.parts.map((part) => (
                <Link
                    key={part}
                    href={to('scene.entry', { deliverable }, { part })}
                    aria-current={part === entry.part ? 'page' : undefined}
                    className={classes('tab mono', part === entry.part && 'tab-active')}
                >
                    {part}
                </Link>
            ))}
            <span className="text-[13px] text-faint">One part at a time; what was kept of the others stays.</span>
        </nav>
    );
}

/** A scene typed in off the screen, in the order it is usually read; marks come as one types. */
export default function EnterScene(page: EnterScenePage) {
    // another part is another sheet
    return <Sheet key={page.entry.part ?? ''} {...page} />;
}

function Sheet({ book, deliverable, entry }: EnterScenePage) {
    const own = { deliverable: deliverable.id };
    const sheet = useEntry(deliverable.id, entry);
    const [at, setAt] = useState<string | null>(null);

    return (
        <Book
            title={`${deliverable.code}, typed in`}
            book={book}
            deliverable={deliverable}
            margin={
                <EntryMargin
                    row={entry.rows.find((row) => row.field === at)}
                    answer={sheet.answer}
                    trouble={sheet.trouble}
                />
            }
        >
            <Folios deliverable={deliverable} at="scene" />
            <form
                className="px-6 pb-10"
                onKeyDown={sheet.walk}
                onSubmit={(event) => {
                    event.preventDefault();
                    sheet.keep();
                }}
            >
                <PartLinks deliverable={deliverable.id} entry={entry} />
                <p className="said pt-4">Read it off the scene’s settings, line by line. Enter goes to the next.</p>
                <EntryTable
                    rows={entry.rows}
                    typed={sheet.typed}
                    answer={sheet.answer}
                    at={at}
                    onAt={setAt}
                    onType={sheet.set}
                />
                <p className="flex flex-wrap items-center gap-3 pt-3">
                    <button type="submit" className="btn btn-primary" disabled={sheet.busy}>
                        {sheet.busy ? 'Keeping…' : 'Keep and check'}
                    </button>
                    <Link href={to('scene', own)} className="btn">
                        Leave it
                    </Link>
                    <span className="text-faint">
                        Ctrl Enter keeps it from any field. What is left empty counts as not told.
                    </span>
                </p>
            </form>
        </Book>
    );
}
