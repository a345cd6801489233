import { useState, type RefObject } from 'react';
import { useFocusBack } from '../../lib/focus';
import type { ImpliedPart, OfferedRequirement } from '../../types/views';
import type { Changes } from './changes';
import { Editor } from './Editor';
import { Finder } from '../../parts/Finder';
import type { Place } from './useEditor';

/** Finds something more that can be asked, and asks it; what is asked already is edited where it stands. */
export function AskMore({
    label,
    offered,
    asked,
    field,
    place,
    changes,
    onEdit,
    onImply,
}: {
    label: string;
    offered: OfferedRequirement[];
    asked: Partial<Record<string, string>>;
    field: RefObject<HTMLInputElement | null>;
    place: Place;
    changes: Changes;
    onEdit: (id: string) => void;
    onImply: (parts: ImpliedPart[] | null) => void;
}) {
    const [more, setMore] = useState<OfferedRequirement | null>(null);
    useFocusBack(more !== null, field);

    return (
        <>
            <Finder
                label={label}
                offered={offered}
                asked={asked}
                field={field}
                onTake={(taken) => (asked[taken.id] === undefined ? setMore(taken) : onEdit(taken.id))}
            />
            {more !== null && (
                <div className="mt-2 max-w-[640px] border border-edge px-3 py-2">
                    <p className="font-semibold">
                        {more.label} <span className="aside font-normal">{more.group}</span>
                    </p>
                    <Editor
                        key={more.id}
                        edited={{ id: more.id, start: '', level: 'must', why: '', seen: null }}
                        label={more.label}
                        example={more.example}
                        words={more.words}
                        place={place}
                        changes={changes}
                        mayDrop={false}
                        onDone={() => setMore(null)}
                        onImply={onImply}
                    />
                </div>
            )}
        </>
    );
}
