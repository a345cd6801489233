import { useRef } from 'react';
import { classes } from '../../lib/classes';
import { useFocusBack } from '../../lib/focus';
import { below, SET_BY } from './layers';
import type { Turning } from './turning';
import type { AskedLine, ImpliedPart, SetBy } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { Editor, type Place } from './Editor';

interface Props {
    line: AskedLine;
    place: Place;
    /** the layer a change is made in */
    layer: SetBy;
    editable: boolean;
    /** numbers of the notes that speak of this line */
    notes: number[];
    touched: boolean;
    /** where only one layer is shown, it need not be named on every line */
    saysWho?: boolean;
    editing: boolean;
    onEdit: (editing: boolean) => void;
    turning: Turning;
    onImply: (parts: ImpliedPart[] | null) => void;
}

/** One requirement: its value, its sentence, who set it and instead of what. */
export function AskedRow({
    line,
    place,
    layer,
    editable,
    notes,
    touched,
    saysWho = true,
    editing,
    onEdit,
    turning,
    onImply,
}: Props) {
    const button = useRef<HTMLButtonElement>(null);
    const lower = below(line);
    useFocusBack(editing, button);
    const takeBack = () =>
        turning.send('patch', place.keep, {
            id: line.id,
            part: place.part,
            level: line.level,
            scope: line.setBy,
            drop: true,
            seen: line.tokens[line.setBy] ?? null,
        });

    return (
        <tr
            id={`${place.part ?? ''}-${line.id}`}
            data-notes={notes.join(' ')}
            className={editing || touched ? 'touched' : ''}
        >
            <th scope="row">
                {line.label}
                {line.level === 'should' && <span className="aside"> should</span>}
                {notes.map((note) => (
                    <a
                        key={note}
                        href={`#note-${note}`}
                        className="note-number ml-1.5 no-underline"
                        aria-label={`note ${note}`}
                    >
                        {note}
                    </a>
                ))}
            </th>
            {editing ? (
                <td className="column" colSpan={2}>
                    <Editor
                        id={line.id}
                        label={line.label}
                        start={line.value}
                        level={line.level}
                        why={line.why ?? ''}
                        example={line.example}
                        words={line.words}
                        place={place}
                        seen={line.tokens[layer] ?? null}
                        turning={turning}
                        mayDrop
                        onDone={() => onEdit(false)}
                        onImply={onImply}
                    />
                </td>
            ) : (
                <>
                    <td className="column">
                        {editable ? (
                            <button
                                ref={button}
                                type="button"
                                className={classes(
                                    'mono w-full cursor-pointer text-left',
                                    'underline decoration-rule decoration-dotted',
                                    'underline-offset-4 hover:decoration-link',
                                )}
                                aria-label={`${line.label}: ${line.value}. Change`}
                                onClick={() => onEdit(true)}
                            >
                                <Breaking text={line.value} />
                            </button>
                        ) : (
                            <span className="mono">
                                <Breaking text={line.value} />
                            </span>
                        )}
                    </td>
                    <td className="column">
                        <Breaking text={line.sentence} />
                        {line.why !== null && <span className="aside"> ({line.why})</span>}
                        <span className="aside block text-[12.5px]">
                            {saysWho && SET_BY[line.setBy]}
                            {lower !== null && lower.value === line.value && (
                                <>, the same as {lower.by === 'house' ? 'the house' : 'its specification'}</>
                            )}
                            {lower !== null && lower.value !== line.value && (
                                <>
                                    , instead of{' '}
                                    <span className="mono not-italic">
                                        <Breaking text={lower.value ?? 'nothing'} />
                                    </span>{' '}
                                    of {lower.by === 'house' ? 'the house' : 'its specification'}
                                </>
                            )}
                            {editable && (lower !== null || line.setBy === 'deliverable') && (
                                <>
                                    {' · '}
                                    <button type="button" className="link not-italic" onClick={takeBack}>
                                        take back
                                    </button>
                                </>
                            )}
                        </span>
                    </td>
                </>
            )}
        </tr>
    );
}
