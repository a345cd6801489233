import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef } from 'react';
import { useFocusBack } from '../../lib/focus';
import { Breaking } from '../../parts/Breaking';
import { EditableText } from '../../parts/EditableText';
import type { AskedLine, ImpliedPart, SetBy } from '../../types/views';
import type { Changes } from './changes';
import { Editor } from './Editor';
import { below, OF_LAYER, SET_BY } from './layers';
import type { Place } from './useEditor';

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
    changes: Changes;
    onImply: (parts: ImpliedPart[] | null) => void;
}

function Name({ line, notes }: { line: AskedLine; notes: number[] }) {
    return (
        <th scope="row">
            {line.label}
            {line.level === 'should' && (
                <span className="aside">
                    <Trans> should</Trans>
                </span>
            )}
            {notes.map((note) => (
                <a
                    key={note}
                    href={`#note-${note}`}
                    className="note-number ml-1.5 no-underline"
                    aria-label={t`note ${note}`}
                >
                    {note}
                </a>
            ))}
        </th>
    );
}

function Instead({ lower, value }: { lower: NonNullable<ReturnType<typeof below>>; value: string }) {
    return lower.value === value ? (
        <>
            <Trans>, the same as {OF_LAYER[lower.by]}</Trans>
        </>
    ) : (
        <>
            <Trans>
                , instead of{' '}
                <span className="mono not-italic">
                    <Breaking text={lower.value ?? 'nothing'} />
                </span>{' '}
                of {OF_LAYER[lower.by]}
            </Trans>
        </>
    );
}

/** Who set it, and instead of what. */
function Origin({ line, place, editable, saysWho = true, changes }: Props) {
    const lower = below(line);
    const takeBack = () =>
        changes.send('patch', place.keep, {
            id: line.id,
            part: place.part,
            level: line.level,
            scope: line.setBy,
            drop: true,
            seen: line.tokens[line.setBy] ?? null,
        });

    return (
        <span className="aside block text-[12.5px]">
            {saysWho && SET_BY[line.setBy]}
            {lower !== null && <Instead lower={lower} value={line.value} />}
            {editable && (lower !== null || line.setBy === 'deliverable') && (
                <>
                    {' · '}
                    <button type="button" className="link not-italic" onClick={takeBack}>
                        <Trans>take back</Trans>
                    </button>
                </>
            )}
        </span>
    );
}

function Edit({ line, place, layer, onEdit, changes, onImply }: Props) {
    return (
        <td className="column" colSpan={2}>
            <Editor
                edited={{
                    id: line.id,
                    start: line.value,
                    level: line.level,
                    why: line.why ?? '',
                    seen: line.tokens[layer] ?? null,
                }}
                label={line.label}
                example={line.example}
                words={line.words}
                place={place}
                changes={changes}
                mayDrop
                onDone={() => onEdit(false)}
                onImply={onImply}
            />
        </td>
    );
}

/** One requirement: its value, its sentence, who set it and instead of what. */
export function AskedRow(props: Props) {
    const { line, place, editable, notes, touched, editing, onEdit } = props;
    const button = useRef<HTMLButtonElement>(null);
    useFocusBack(editing, button);

    return (
        <tr
            id={`${place.part ?? ''}-${line.id}`}
            data-notes={notes.join(' ')}
            className={editing || touched ? 'touched' : ''}
        >
            <Name line={line} notes={notes} />
            {editing ? (
                <Edit {...props} />
            ) : (
                <>
                    <td className="column">
                        {editable ? (
                            <EditableText
                                button={button}
                                label={line.label}
                                text={line.value}
                                className="mono w-full text-left"
                                onEdit={() => onEdit(true)}
                            />
                        ) : (
                            <span className="mono">
                                <Breaking text={line.value} />
                            </span>
                        )}
                    </td>
                    <td className="column">
                        <Breaking text={line.sentence} />
                        {line.why !== null && <span className="aside"> ({line.why})</span>}
                        <Origin {...props} />
                    </td>
                </>
            )}
        </tr>
    );
}
