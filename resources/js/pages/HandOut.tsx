import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { CopyButton } from '../parts/CopyButton';
import { Folios } from '../parts/Folios';
import type { Book as BookData, DeliverableHead, ConflictShown } from '../types/views';

interface SheetLink {
    id: number;
    path: string | null;
    expires: string;
    state: 'open' | 'expired' | 'taken back';
    opened: number;
}

const FILES: [string, string, string][] = [
    ['pdf', 'PDF', 'one page of A4, to print or to attach'],
    ['md', 'Markdown', 'for a wiki or a ticket'],
    ['txt', 'Plain text', 'for a message'],
    ['json', 'Specification document', 'read again by this program, on its pages and its command line'],
    [
        'usda',
        'USD, as text',
        'a stage with its rate and range, a camera and render settings: a scene can start from it',
    ],
    ['csv', 'Requirements as CSV', 'for a spreadsheet'],
];

/** What is asked, in a form that people and programs can read. */
export default function HandOut({
    book,
    deliverable,
    may,
    conflicts,
    links,
}: {
    book: BookData;
    deliverable: DeliverableHead;
    may: { specify: boolean };
    conflicts: ConflictShown[];
    links: SheetLink[];
}) {
    const [days, setDays] = useState('30');
    const [anyway, setAnyway] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    const base = `/deliverables/${deliverable.id}`;

    return (
        <Book
            title={`${deliverable.code}, handing out`}
            book={book}
            deliverable={deliverable}
            margin={
                <>
                    {conflicts.length > 0 && (
                        <section className="mb-5">
                            <h2 className="pb-1 font-serif text-red italic">Not settled yet</h2>
                            {conflicts.map((conflict) => (
                                <p key={conflict.says} className="note">
                                    <Breaking text={conflict.says} />
                                </p>
                            ))}
                            <p className="text-[13px] text-faint">The sheet says so on its face until it is settled.</p>
                        </section>
                    )}
                    <section className="mb-5">
                        <h2 className="aside pb-1">As a file</h2>
                        <ul className="border-t border-ink">
                            {FILES.map(([format, name, says]) => (
                                <li key={format} className="border-b border-rule py-1.5">
                                    <a className="link" href={`${base}/sheet.${format}`}>
                                        {name}
                                    </a>
                                    <span className="block text-[12.5px] text-faint">{says}</span>
                                </li>
                            ))}
                        </ul>
                    </section>
                    {may.specify && (
                        <section>
                            <h2 className="aside pb-1">By a link</h2>
                            <form
                                className="border-t border-ink py-2 text-[13px]"
                                onSubmit={(event) => {
                                    event.preventDefault();
                                    router.post(
                                        `${base}/sheets`,
                                        { days, anyway },
                                        {
                                            preserveScroll: true,
                                            onError: (errors) =>
                                                setFault(errors.days ?? errors.refused ?? 'No link could be made.'),
                                            onSuccess: () => setFault(null),
                                        },
                                    );
                                }}
                            >
                                <p className="text-faint">
                                    Whoever has the link reads the sheet as it then is, without a sign-in, and nothing
                                    else.
                                </p>
                                <label className="mt-1.5 flex items-center gap-1.5">
                                    It lasts
                                    <input
                                        className="input w-14!"
                                        inputMode="numeric"
                                        value={days}
                                        onChange={(event) => setDays(event.target.value)}
                                    />
                                    days
                                </label>
                                {conflicts.length > 0 && (
                                    <label className="mt-1.5 flex items-center gap-1.5">
                                        <input
                                            type="checkbox"
                                            className="checkbox"
                                            checked={anyway}
                                            onChange={(event) => setAnyway(event.target.checked)}
                                        />
                                        although it is not settled
                                    </label>
                                )}
                                <button className="btn mt-2">Make a link</button>
                                {fault !== null && (
                                    <p role="alert" className="pt-1 text-red">
                                        {fault}
                                    </p>
                                )}
                            </form>
                            <ul>
                                {links.map((link) => (
                                    <li key={link.id} className="border-t border-rule py-1.5 text-[13px]">
                                        {link.path === null ? (
                                            <span className="text-faint">
                                                {link.state}, was to last until {link.expires}
                                            </span>
                                        ) : (
                                            <>
                                                <a className="link" href={link.path} target="_blank" rel="noreferrer">
                                                    open until {link.expires}
                                                </a>
                                                <span className="mt-1 flex flex-wrap gap-1.5">
                                                    <CopyButton text={window.location.origin + link.path}>
                                                        Copy the link
                                                    </CopyButton>
                                                    <button
                                                        type="button"
                                                        className="btn"
                                                        onClick={() =>
                                                            router.delete(`/sheets/${link.id}`, {
                                                                preserveScroll: true,
                                                            })
                                                        }
                                                    >
                                                        Take it back
                                                    </button>
                                                </span>
                                            </>
                                        )}
                                        <span className="block text-faint">
                                            {link.opened === 0
                                                ? 'not opened yet'
                                                : `opened ${link.opened} ${link.opened === 1 ? 'time' : 'times'}`}
                                        </span>
                                    </li>
                                ))}
                            </ul>
                        </section>
                    )}
                </>
            }
        >
            <Folios deliverable={deliverable} at={null} />
            <p className="flex flex-wrap items-baseline gap-x-4 px-6 pt-2 text-[13px]">
                <Link href={`${base}/specification`} className="link">
                    Back to what is asked
                </Link>
                <button
                    type="button"
                    className="link"
                    onClick={() => document.querySelector<HTMLIFrameElement>('#the-sheet')?.contentWindow?.print()}
                >
                    Print the sheet
                </button>
            </p>
            <iframe
                id="the-sheet"
                title={`The sheet of ${deliverable.code}`}
                src={`${base}/sheet.html`}
                className="mx-6 my-3 block h-[1120px] w-[calc(100%-48px)] border border-edge bg-white"
            />
        </Book>
    );
}
