import { useMemo } from 'react';
import { to } from '../../lib/route';
import type { ConflictShown, ImpliedPart, SpecificationPage, SuggestedChange } from '../../types/views';
import type { Changes } from './changes';
import { ConflictNotes } from './ConflictNotes';
import { Implications } from './Implications';
import { MarginSum } from './MarginSum';
import { neededPieces } from './pattern';
import { PieceValues } from './PieceValues';
import { WhoSetWhat } from './WhoSetWhat';

/** What contradicts itself, what follows, what fills the names, who set what, and a sum on the side. */
export function SpecificationMargin({
    page: { asked, may, sums, deliverable },
    typed,
    conflicts,
    changes,
    onTouch,
    onTake,
}: {
    page: SpecificationPage;
    /** what would follow from what is being typed */
    typed: ImpliedPart[] | null;
    conflicts: { conflict: ConflictShown; number: number }[];
    changes: Changes;
    onTouch: (note: number | null) => void;
    onTake: (conflict: ConflictShown, change: SuggestedChange) => void;
}) {
    const { parts, offered } = asked;
    const labels = useMemo(() => Object.fromEntries(offered.map((each) => [each.id, each.label])), [offered]);

    return (
        <>
            <ConflictNotes
                conflicts={conflicts}
                labels={labels}
                onTouch={onTouch}
                onTake={may.specify && typed === null ? onTake : null}
            />
            {(typed ?? parts).map((part) => (
                <Implications key={part.name} part={part} several={parts.length > 1} typed={typed !== null} />
            ))}
            <PieceValues
                values={asked.values}
                own={asked.own}
                needed={neededPieces(parts)}
                keep={to('values', { deliverable: deliverable.id })}
                changes={changes}
                editable={may.specify}
            />
            <WhoSetWhat parts={parts} />
            <MarginSum sums={sums} parts={parts} />
        </>
    );
}
