import { Link, usePage } from '@inertiajs/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useFocusBack } from '../lib/focus';
import { usePresence } from '../features/specification/presence';
import { blocks } from '../features/specification/pattern';
import { useTurning } from '../features/specification/turning';
import { AskedRow } from '../features/specification/AskedRow';
import { Editor, type Place } from '../features/specification/Editor';
import { Finder } from '../features/specification/Finder';
import { Implications } from '../features/specification/Implications';
import { Parts } from '../features/specification/Parts';
import { PieceValues } from '../features/specification/PieceValues';
import { ConflictNotes } from '../features/specification/ConflictNotes';
import { SavedBar } from '../features/specification/SavedBar';
import { WhoSetWhat } from '../features/specification/WhoSetWhat';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { MarginSum } from '../features/specification/MarginSum';
import type { Calculation } from '../parts/Sum';
import { Folios } from '../parts/Folios';
import { Tie } from '../parts/Tie';
import type {
    Asked,
    AskedPart,
    Book as BookData,
    DeliverableHead,
    DroppedLine,
    ImpliedPart,
    SetBy,
    SuggestedChange,
    OfferedRequirement,
    ConflictShown,
} from '../types/views';

/**
 * What is asked, as sentences beside values, edited in place; what follows from it stands in the margin as it is typed.
 */
export default function Specification({
    book,
    deliverable,
    asked,
    may,
    sums,
}: {
    book: BookData;
    deliverable: DeliverableHead;
    asked: Asked;
    may: { specify: boolean };
    sums: Calculation[];
}) {
    const { person } = usePage<{ person: { name: string } | null; [key: string]: unknown }>().props;
    const [scope, setScope] = useState<SetBy>('deliverable');
    const [typed, setTyped] = useState<ImpliedPart[] | null>(null);
    const [note, setNote] = useState<number | null>(null);
    const turning = useTurning(`deliverable-${deliverable.id}`);
    const presence = usePresence(deliverable.id, asked.state, person?.name);
    const shown: ImpliedPart[] = typed ?? asked.parts;
    const several = asked.parts.length > 1;
    const labels = useMemo(
        () => Object.fromEntries(asked.offered.map((each) => [each.id, each.label])),
        [asked.offered],
    );
    const conflicts = shown.flatMap((part) => part.conflicts).map((conflict, at) => ({ conflict, number: at + 1 }));
    const place = (part: string): Place => ({
        understand: `/deliverables/${deliverable.id}/understand`,
        keep: `/deliverables/${deliverable.id}/requirements`,
        part: several ? part : null,
        scope,
    });
    const take = (conflict: ConflictShown, offer: SuggestedChange) => {
        const line = asked.parts
            .find((part) => part.name === conflict.part)
            ?.lines.find((each) => each.id === offer.requirement);
        turning.send('patch', `/deliverables/${deliverable.id}/requirements`, {
            id: offer.requirement,
            part: several ? conflict.part : null,
            value: offer.value,
            level: line?.level ?? 'must',
            why: line?.why ?? null,
            scope,
            drop: offer.value === null,
            seen: line?.tokens[scope] ?? null,
        });
    };
    const needed = shown
        .flatMap(
            (part) =>
                asked.parts
                    .find((each) => each.name === part.name)
                    ?.lines.filter((line) => line.id === 'naming.pattern' || line.id === 'naming.folder') ?? [],
        )
        .flatMap((line) =>
            blocks(line.value).flatMap((block) =>
                block.kind === 'piece' && !MADE.includes(block.name) ? [block.name] : [],
            ),
        );

    return (
        <Book
            title={`${deliverable.code}, specification`}
            book={book}
            deliverable={deliverable}
            margin={
                <>
                    <ConflictNotes
                        conflicts={conflicts}
                        labels={labels}
                        onTouch={setNote}
                        onTake={may.specify && typed === null ? take : null}
                    />
                    {shown.map((part) => (
                        <Implications key={part.name} part={part} several={several} typed={typed !== null} />
                    ))}
                    <PieceValues
                        values={asked.values}
                        own={Array.isArray(asked.own) ? {} : asked.own}
                        needed={needed}
                        keep={`/deliverables/${deliverable.id}/values`}
                        turning={turning}
                        editable={may.specify}
                    />
                    <WhoSetWhat parts={asked.parts} />
                    <MarginSum sums={sums} parts={asked.parts} />
                </>
            }
        >
            <Folios deliverable={deliverable} at="specification" />
            <div className="px-6 pt-2">
                <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                    <span className="text-[13px] text-faint">
                        {may.specify ? (
                            <Link href={`/specifications/${asked.specification}`} className="link">
                                {deliverable.specification}, revision {deliverable.revision}
                            </Link>
                        ) : (
                            `${deliverable.specification}, revision ${deliverable.revision}`
                        )}
                        {asked.usedBy > 1 && `, shared by ${asked.usedBy} deliverables`}
                        {' · '}
                        <Link href={`/deliverables/${deliverable.id}/hand-out`} className="link">
                            Hand it out
                        </Link>
                    </span>
                    {may.specify && <SavedBar turning={turning} />}
                </p>
                {may.specify ? (
                    <fieldset className="mt-1 flex flex-wrap items-baseline gap-x-4 text-[13px]">
                        <legend className="float-left mr-3">A change holds for</legend>
                        {(
                            [
                                ['deliverable', `${deliverable.code} only`],
                                [
                                    'specification',
                                    asked.usedBy > 1 ? `all ${asked.usedBy} that share it` : 'its specification',
                                ],
                                ['house', 'the whole house'],
                            ] as const
                        ).map(([value, label]) => (
                            <label key={value} className="flex items-baseline gap-1.5">
                                <input
                                    type="radio"
                                    className="radio"
                                    name="scope"
                                    checked={scope === value}
                                    onChange={() => setScope(value)}
                                />
                                {label}
                            </label>
                        ))}
                    </fieldset>
                ) : (
                    <p className="aside text-[13px]">Only a coordinator or an instructor changes what is asked.</p>
                )}
                {(presence.others.length > 0 || presence.changed !== null) && may.specify && (
                    <p role="status" className="mt-1 text-[13px] text-ochre">
                        {presence.changed}{' '}
                        {presence.others.length > 0 &&
                            `${presence.others.join(' and ')} ${presence.others.length === 1 ? 'has' : 'have'} ` +
                                'this open as well.'}
                    </p>
                )}
                {asked.notUnderstood.length > 0 && (
                    <p className="mt-1 text-ochre">
                        Not understood, kept and not compared:{' '}
                        <span className="mono">{asked.notUnderstood.join(', ')}</span>
                    </p>
                )}
            </div>
            {asked.parts.map((part) => (
                <PartSheet
                    key={part.name}
                    part={part}
                    prose={shown.find((each) => each.name === part.name)?.prose ?? part.prose}
                    several={several}
                    offered={asked.offered}
                    place={place(part.name)}
                    layer={scope}
                    editable={may.specify}
                    conflicts={conflicts}
                    note={note}
                    turning={turning}
                    onImply={setTyped}
                />
            ))}
            {may.specify && <Parts parts={asked.parts} specification={asked.specification} usedBy={asked.usedBy} />}
            <Tie note={note} />
        </Book>
    );
}

/** Pieces whose value comes from the frame, the pass or the format, not from a value given here. */
const MADE = ['frame', 'pass', 'ext', 'first', 'last', 'width', 'height'];

interface PartProps {
    part: AskedPart;
    prose: string;
    several: boolean;
    offered: OfferedRequirement[];
    place: Place;
    layer: SetBy;
    editable: boolean;
    conflicts: { conflict: ConflictShown; number: number }[];
    note: number | null;
    turning: ReturnType<typeof useTurning>;
    onImply: (parts: ImpliedPart[] | null) => void;
}

function PartSheet({
    part,
    prose,
    several,
    offered,
    place,
    layer,
    editable,
    conflicts,
    note,
    turning,
    onImply,
}: PartProps) {
    const [more, setMore] = useState<OfferedRequirement | null>(null);
    const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
    const finder = useRef<HTMLInputElement>(null);
    useFocusBack(more !== null, finder);
    const groups = [...new Set(part.lines.map((line) => line.group))];
    const notesOf = (id: string) =>
        conflicts
            .filter(({ conflict }) => conflict.part === part.name && conflict.requirements.some((each) => each === id))
            .map(({ number }) => number);
    const asked = Object.fromEntries(part.lines.map((line) => [line.id, line.value]));
    const edit = (id: string, editing: boolean) =>
        setOpen((was) => {
            const next = new Set(was);
            if (editing) {
                next.add(id);
            } else {
                next.delete(id);
            }

            return next;
        });
    const askAgain = (line: DroppedLine) =>
        turning.send('patch', place.keep, {
            id: line.id,
            part: place.part,
            level: 'must',
            scope: line.by,
            drop: true,
            seen: line.tokens[line.by] ?? null,
        });

    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            const typing =
                event.target instanceof HTMLElement &&
                event.target.matches('input, textarea, select, [contenteditable]');
            if (
                event.key === 'a' &&
                !typing &&
                !event.ctrlKey &&
                !event.metaKey &&
                !event.altKey &&
                localStorage.getItem('shortcuts') !== 'off'
            ) {
                event.preventDefault();
                finder.current?.focus();
            }
        };
        document.addEventListener('keydown', press);

        return () => document.removeEventListener('keydown', press);
    }, []);

    return (
        <section className="px-6 pb-6" aria-label={several ? part.name : 'What is asked'}>
            {several && (
                <h2 className="title pt-4 text-[18px]">
                    {part.name}
                    {part.madeFrom !== null && <span className="aside font-normal"> made from {part.madeFrom}</span>}
                </h2>
            )}
            <p className="said py-3">
                <Breaking text={prose} />
            </p>
            {editable && (
                <div className="pb-3">
                    <Finder
                        label={several ? `Ask more of ${part.name}` : 'Ask for more'}
                        offered={offered}
                        asked={asked}
                        field={finder}
                        onTake={(taken) => {
                            // what is asked already is edited where it stands
                            if (asked[taken.id] === undefined) {
                                setMore(taken);
                            } else {
                                edit(taken.id, true);
                            }
                        }}
                    />
                    {more !== null && (
                        <div className="mt-2 max-w-[640px] border border-edge px-3 py-2">
                            <p className="font-semibold">
                                {more.label} <span className="aside font-normal">{more.group}</span>
                            </p>
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
                                onImply={onImply}
                            />
                        </div>
                    )}
                </div>
            )}
            {part.lines.length === 0 ? (
                <p className="text-faint">Nothing is asked yet.</p>
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
                                in words, and who set it
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
                            {part.lines
                                .filter((line) => line.group === group)
                                .map((line) => {
                                    const notes = notesOf(line.id);

                                    return (
                                        <AskedRow
                                            key={line.id}
                                            line={line}
                                            place={place}
                                            layer={layer}
                                            editable={editable}
                                            notes={notes}
                                            touched={note !== null && notes.includes(note)}
                                            editing={open.has(line.id)}
                                            onEdit={(editing) => edit(line.id, editing)}
                                            turning={turning}
                                            onImply={onImply}
                                        />
                                    );
                                })}
                        </tbody>
                    ))}
                </table>
            )}
            {part.dropped.length > 0 && (
                <p className="pt-2 text-[13px] text-faint">
                    Asked no more here:{' '}
                    {part.dropped.map((line, at) => (
                        <span key={line.id}>
                            {at > 0 && '; '}
                            {line.label.toLowerCase()} <span className="mono">{line.value}</span> of{' '}
                            {line.from === 'house' ? 'the house' : 'its specification'}
                            {editable && (
                                <>
                                    {' '}
                                    <button type="button" className="link" onClick={() => askAgain(line)}>
                                        ask again
                                    </button>
                                </>
                            )}
                        </span>
                    ))}
                </p>
            )}
        </section>
    );
}
