import { t } from '@lingui/core/macro';
import { useRef, useState, type ReactNode } from 'react';
import { useFocusBack } from '../../lib/focus';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { EditableText } from '../../parts/EditableText';
import { Fault } from '../../parts/Fault';
import type { BoardRow } from '../../types/views';

type Name = 'owner' | 'due' | 'title' | 'specification';

/** A value of a line that is changed where it stands: saved by Enter and when it is left, given up by Escape. */
export function InPlace({
    row,
    production,
    name,
    label,
    text,
    nothing,
    value,
    field,
    className,
}: {
    row: BoardRow;
    production: number;
    name: Name;
    label: string;
    text: string | undefined;
    /** what is said where there is none */
    nothing: string;
    value: string;
    field: (value: string, change: (value: string) => void) => ReactNode;
    className?: string;
}) {
    const [typed, setTyped] = useState<string | null>(null);
    const button = useRef<HTMLButtonElement>(null);
    const action = useAction(t`It could not be changed.`);
    useFocusBack(typed !== null, button);
    const save = () => {
        if (action.busy) {
            return;
        }
        if (typed === null || typed === value) {
            setTyped(null);

            return;
        }
        action.send(
            'patch',
            to('deliverables.change', { production }),
            { ids: [row.id], [name]: typed === '' ? null : typed },
            { names: [name, 'ids'], done: () => setTyped(null) },
        );
    };
    if (typed === null) {
        return (
            <EditableText
                button={button}
                label={`${row.code}, ${label}`}
                text={text}
                nothing={nothing}
                onEdit={() => setTyped(value)}
                className={className ?? 'text-left'}
            />
        );
    }

    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                save();
            }}
            onBlur={(event) => !event.currentTarget.contains(event.relatedTarget) && save()}
            onKeyDown={(event) => {
                event.stopPropagation();
                // also in a list of choices, where it would do nothing
                if (event.key === 'Enter') {
                    event.preventDefault();
                    save();
                }
                if (event.key === 'Escape') {
                    action.setFault(null);
                    setTyped(null);
                }
            }}
        >
            {field(typed, setTyped)}
            <Fault says={action.fault} />
        </form>
    );
}
