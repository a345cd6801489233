import { t } from '@lingui/core/macro';
import { LedgerHead } from '../../parts/LedgerHead';
import type { AskedLine, ImpliedPart, SetBy } from '../../types/views';
import { AskedRow } from './AskedRow';
import type { Changes } from './changes';
import type { Place } from './useEditor';

/** What is asked, line by line, in groups. */
export function AskedLines({
    lines,
    title,
    place,
    layer,
    editable,
    saysWho,
    notesOf,
    note,
    open,
    onEdit,
    changes,
    onImply,
}: {
    lines: AskedLine[];
    /** of the column with sentences */
    title: string;
    place: Place;
    layer: SetBy;
    editable: boolean;
    saysWho: boolean;
    /** the numbers of the notes that speak of a line */
    notesOf: (id: string) => number[];
    /** the note that has the pointer */
    note: number | null;
    open: ReadonlySet<string>;
    onEdit: (id: string, editing: boolean) => void;
    changes: Changes;
    onImply: (parts: ImpliedPart[] | null) => void;
}) {
    const groups = [...new Set(lines.map((line) => line.group))];

    return (
        <table className="ledger">
            <LedgerHead
                columns={[
                    [t`requirement`, '24%'],
                    [t`required`, '32%'],
                    [title, '44%'],
                ]}
            />
            {groups.map((group) => (
                <tbody key={group}>
                    <tr className="group">
                        <th scope="rowgroup" colSpan={3} className="title">
                            {group}
                        </th>
                    </tr>
                    {lines
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
                                    saysWho={saysWho}
                                    editing={open.has(line.id)}
                                    onEdit={(editing) => onEdit(line.id, editing)}
                                    changes={changes}
                                    onImply={onImply}
                                />
                            );
                        })}
                </tbody>
            ))}
        </table>
    );
}
