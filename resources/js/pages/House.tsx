import { useRef, useState } from 'react';
import { classes } from '../lib/classes';
import { useFocusBack } from '../lib/focus';
import { useTurning } from '../features/specification/turning';
import { AskedRow } from '../features/specification/AskedRow';
import { Editor, type Place } from '../features/specification/Editor';
import { Finder } from '../features/specification/Finder';
import { SavedBar } from '../features/specification/SavedBar';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { AskedLine, Book as BookData, OfferedRequirement, ConflictShown } from '../types/views';

interface Starting {
    id: string;
    label: string;
    values: string[];
    token: string;
}

/** What a production asks of everything, and what its untouched scenes show. */
export default function House({
    book,
    lines,
    starting,
    offered,
    faults,
}: {
    book: BookData;
    lines: AskedLine[];
    starting: Starting[];
    offered: OfferedRequirement[];
    faults: ConflictShown[];
}) {
    const turning = useTurning(`house-${book.production.id}`);
    const [more, setMore] = useState<OfferedRequirement | null>(null);
    const [open, setOpen] = useState<string | null>(null);
    const [first, setFirst] = useState<OfferedRequirement | null>(null);
    const finder = useRef<HTMLInputElement>(null);
    const place: Place = {
        understand: `/productions/${book.production.id}/understand`,
        keep: `/productions/${book.production.id}/house`,
        part: null,
        scope: 'house',
    };
    useFocusBack(more !== null, finder);
    const groups = [...new Set(lines.map((line) => line.group))];
    const [openStarting, setOpenStarting] = useState<string | null>(null);
    const asked: Partial<Record<string, string>> = Object.fromEntries(lines.map((line) => [line.id, line.value]));
    const shown: Partial<Record<string, string>> = Object.fromEntries(
        starting.map((line) => [line.id, line.values.join(' | ')]),
    );

    return (
        <Book title={`${book.production.name}, house requirements`} book={book}>
            <ProductionFolios book={book} at="/house" />
            <div className="px-6 pt-3 pb-10">
                <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                    <span className="said">
                        What every specification of this production asks, unless it says otherwise.
                    </span>
                    <SavedBar turning={turning} />
                </p>
                {faults.map((fault) => (
                    <p key={fault.says} className="text-red">
                        <Breaking text={fault.says} />
                    </p>
                ))}
                <div className="py-3">
                    <Finder
                        label="Ask for more"
                        offered={offered}
                        asked={asked}
                        field={finder}
                        onTake={(taken) => (asked[taken.id] === undefined ? setMore(taken) : setOpen(taken.id))}
                    />
                    {more !== null && (
                        <div className="mt-2 max-w-[640px] border border-edge px-3 py-2">
                            <p className="font-semibold">{more.label}</p>
                            <Editor
                                key={more.id}
                                id={more.id}
                                label={more.label}
                                start=""
                                level="must"
                                why=""
                                example={more.example}
                                words={more.words}
                                place={place}
                                seen={null}
                                turning={turning}
                                mayDrop={false}
                                onDone={() => setMore(null)}
                                onImply={() => undefined}
                            />
                        </div>
                    )}
                </div>
                {lines.length === 0 ? (
                    <p className="text-faint">
                        The house asks nothing yet. A frame rate and a colour space are what most houses settle here.
                    </p>
                ) : (
                    <table className="ledger">
                        <colgroup>
                            <col style={{ width: '24%' }} />
                            <col style={{ width: '32%' }} />
                            <col style={{ width: '44%' }} />
                        </colgroup>
                        <thead>
                            <tr>
                                <th scope="col">requirement</th>
                                <th scope="col" className="column">
                                    required
                                </th>
                                <th scope="col" className="column">
                                    in words
                                </th>
                            </tr>
                        </thead>
                        {groups.map((group) => (
                            <tbody key={group}>
                                <tr className="group">
                                    <th scope="rowgroup" colSpan={3} className="title">
                                        {group}
                                    </th>
                                </tr>
                                {lines
                                    .filter((line) => line.group === group)
                                    .map((line) => (
                                        <AskedRow
                                            key={line.id}
                                            line={line}
                                            place={place}
                                            layer="house"
                                            editable
                                            notes={[]}
                                            touched={false}
                                            saysWho={false}
                                            editing={open === line.id}
                                            onEdit={(editing) => setOpen(editing ? line.id : null)}
                                            turning={turning}
                                            onImply={() => undefined}
                                        />
                                    ))}
                            </tbody>
                        ))}
                    </table>
                )}
                <h2 className="title mt-8 border-b border-edge pb-1 text-[18px]">Starting values</h2>
                <p className="max-w-[70ch] py-2 text-faint">
                    What a scene shows that nobody has touched yet. A setting that still has its starting value is told
                    as forgotten, rather than as chosen. Several are written with a bar between them: 1920x1080 |
                    1280x720.
                </p>
                <Finder
                    label="Add a starting value"
                    offered={offered}
                    asked={shown}
                    onTake={(taken) => (shown[taken.id] === undefined ? setFirst(taken) : setOpenStarting(taken.id))}
                />
                {first !== null && (
                    <div className="my-2 max-w-[640px] border border-edge px-3 py-2">
                        <p className="font-semibold">{first.label}</p>
                        <StartingField
                            key={first.id}
                            id={first.id}
                            label={first.label}
                            start=""
                            token={null}
                            example={first.example}
                            keep={place.keep}
                            turning={turning}
                            onDone={() => setFirst(null)}
                        />
                    </div>
                )}
                {starting.length === 0 ? (
                    <p className="pt-2 text-faint">None yet.</p>
                ) : (
                    <table className="ledger mt-2">
                        <colgroup>
                            <col style={{ width: '24%' }} />
                            <col style={{ width: '50%' }} />
                            <col style={{ width: '26%' }} />
                        </colgroup>
                        <thead>
                            <tr>
                                <th scope="col">setting</th>
                                <th scope="col" className="column">
                                    an untouched scene shows
                                </th>
                                <th scope="col" className="column">
                                    <span className="sr-only">away with it</span>
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {starting.map((line) => (
                                <StartingRow
                                    key={line.id}
                                    line={line}
                                    editing={openStarting === line.id}
                                    onEdit={(editing) => setOpenStarting(editing ? line.id : null)}
                                    keep={place.keep}
                                    turning={turning}
                                    example={offered.find((each) => each.id === line.id)?.example ?? ''}
                                />
                            ))}
                        </tbody>
                    </table>
                )}
            </div>
        </Book>
    );
}

function StartingRow({
    line,
    editing,
    onEdit,
    keep,
    turning,
    example,
}: {
    line: Starting;
    editing: boolean;
    onEdit: (editing: boolean) => void;
    keep: string;
    turning: ReturnType<typeof useTurning>;
    example: string;
}) {
    const value = line.values.join(' | ');

    return (
        <tr>
            <th scope="row">{line.label}</th>
            <td className="column">
                {editing ? (
                    <StartingField
                        id={line.id}
                        label={line.label}
                        start={value}
                        token={line.token}
                        example={example}
                        keep={keep}
                        turning={turning}
                        onDone={() => onEdit(false)}
                    />
                ) : (
                    <button
                        type="button"
                        className={classes(
                            'mono w-full cursor-pointer text-left',
                            'underline decoration-rule decoration-dotted',
                            'underline-offset-4 hover:decoration-link',
                        )}
                        aria-label={`${line.label}: ${value}. Change`}
                        onClick={() => onEdit(true)}
                    >
                        <Breaking text={value} />
                    </button>
                )}
            </td>
            <td className="column">
                <button
                    type="button"
                    className="link text-[13px]"
                    onClick={() =>
                        turning.send('patch', keep, {
                            id: line.id,
                            level: 'must',
                            drop: true,
                            starting: true,
                            seen: line.token,
                        })
                    }
                >
                    take out
                </button>
            </td>
        </tr>
    );
}

function StartingField({
    id,
    label,
    start,
    token,
    example,
    keep,
    turning,
    onDone,
}: {
    id: string;
    label: string;
    start: string;
    token: string | null;
    example: string;
    keep: string;
    turning: ReturnType<typeof useTurning>;
    onDone: () => void;
}) {
    const [value, setValue] = useState(start);
    const [fault, setFault] = useState<string | null>(null);
    const sending = useRef(false);
    const send = () => {
        if (sending.current) {
            return;
        }
        if (value.trim() === '' || value.trim() === start) {
            onDone();

            return;
        }
        sending.current = true;
        turning.send(
            'patch',
            keep,
            { id, value, level: 'must', starting: true, seen: token },
            {
                kept: onDone,
                refused: (errors) => {
                    sending.current = false;
                    setFault(errors.conflict ?? errors.value ?? errors.refused ?? 'This could not be kept.');
                },
            },
        );
    };

    return (
        <>
            <input
                autoFocus
                aria-label={`Starting value of ${label}`}
                aria-invalid={fault !== null}
                className="input mono"
                value={value}
                placeholder={`like ${example}`}
                onFocus={(event) => event.target.select()}
                onChange={(event) => setValue(event.target.value)}
                onBlur={send}
                onKeyDown={(event) => {
                    if (event.key === 'Enter') {
                        send();
                    } else if (event.key === 'Escape') {
                        event.stopPropagation();
                        sending.current = true;
                        onDone();
                    }
                }}
            />
            {fault !== null && (
                <p role="alert" className="text-[13px] text-red">
                    {fault}
                </p>
            )}
        </>
    );
}
