import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
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
        <nav aria-label={t`Parts`} className="tabs tabs-sm flex-wrap! gap-x-4! pt-4">
            <span className="aside">
                <Trans>What is typed makes</Trans>
            </span>
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
            <span className="text-[13px] text-faint">
                <Trans>One part at a time; what was kept of the others stays.</Trans>
            </span>
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
            title={t`${deliverable.code}, typed in`}
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
                <p className="said pt-4">
                    <Trans>Read it off the scene’s settings, line by line. Enter goes to the next.</Trans>
                </p>
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
                        {sheet.busy ? t`Saving…` : t`Save and check`}
                    </button>
                    <Link href={to('scene', own)} className="btn">
                        <Trans>Cancel</Trans>
                    </Link>
                    <span className="text-faint">
                        <Trans>Ctrl Enter saves it from any field. What is left empty counts as not told.</Trans>
                    </span>
                </p>
            </form>
        </Book>
    );
}
