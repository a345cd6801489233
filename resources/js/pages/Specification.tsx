import { t } from '@lingui/core/macro';
import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { useChanges } from '../features/specification/changes';
import { Parts } from '../features/specification/Parts';
import { PartSheet } from '../features/specification/PartSheet';
import { usePresence } from '../features/specification/presence';
import { SpecificationHead } from '../features/specification/SpecificationHead';
import { SpecificationMargin } from '../features/specification/SpecificationMargin';
import type { Place } from '../features/specification/useEditor';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Folios } from '../parts/Folios';
import { Tie } from '../parts/Tie';
import type { ConflictShown, ImpliedPart, SetBy, SpecificationPage, SuggestedChange } from '../types/views';

/**
 * What is asked, as sentences beside values, edited in place; what follows from it stands in the margin as it is typed.
 */
export default function Specification(page: SpecificationPage) {
    const { book, deliverable, asked, may } = page;
    const { person } = usePage<{ person: { name: string } | null; [key: string]: unknown }>().props;
    const [scope, setScope] = useState<SetBy>('deliverable');
    const [typed, setTyped] = useState<ImpliedPart[] | null>(null);
    const [note, setNote] = useState<number | null>(null);
    const changes = useChanges(`deliverable-${deliverable.id}`);
    const presence = usePresence(deliverable.id, asked.state, person?.name);
    const shown: ImpliedPart[] = typed ?? asked.parts;
    const several = asked.parts.length > 1;
    const conflicts = shown.flatMap((part) => part.conflicts).map((conflict, at) => ({ conflict, number: at + 1 }));
    const own = { deliverable: deliverable.id };
    const place = (part: string): Place => ({
        understand: to('understand', own),
        keep: to('requirements', own),
        approved: to('approved', own),
        part: several ? part : null,
        scope,
    });
    const take = (conflict: ConflictShown, change: SuggestedChange) => {
        const part = asked.parts.find((each) => each.name === conflict.part);
        const line = part?.lines.find((each) => each.id === change.requirement);
        changes.send('patch', to('requirements', own), {
            id: change.requirement,
            part: several ? conflict.part : null,
            value: change.value,
            level: line?.level ?? 'must',
            why: line?.why ?? null,
            scope,
            drop: change.value === null,
            seen: line?.tokens[scope] ?? null,
        });
    };

    return (
        <Book
            title={t`${deliverable.code}, specification`}
            book={book}
            deliverable={deliverable}
            margin={
                <SpecificationMargin
                    page={page}
                    typed={typed}
                    conflicts={conflicts}
                    changes={changes}
                    onTouch={setNote}
                    onTake={take}
                />
            }
        >
            <Folios deliverable={deliverable} at="specification" />
            <SpecificationHead
                deliverable={deliverable}
                asked={asked}
                editable={may.specify}
                scope={scope}
                onScope={setScope}
                changes={changes}
                presence={presence}
            />
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
                    changes={changes}
                    onImply={setTyped}
                />
            ))}
            {may.specify && <Parts parts={asked.parts} specification={asked.specification} usedBy={asked.usedBy} />}
            <Tie note={note} />
        </Book>
    );
}
