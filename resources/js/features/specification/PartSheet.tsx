import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef } from 'react';
import { isSingleKey, useKeys } from '../../lib/useKeys';
import { useOpenSet } from '../../lib/useOpenSet';
import { Breaking } from '../../parts/Breaking';
import type { AskedPart, ConflictShown, DroppedLine, ImpliedPart, OfferedRequirement, SetBy } from '../../types/views';
import { AskedLines } from './AskedLines';
import { AskMore } from './AskMore';
import type { Changes } from './changes';
import { OF_LAYER } from './layers';
import type { Place } from './useEditor';

/** What a lower layer asks and a higher one asks no more. */
function Dropped({ lines, onAsk }: { lines: DroppedLine[]; onAsk: ((line: DroppedLine) => void) | null }) {
    return lines.length === 0 ? null : (
        <p className="pt-2 text-[13px] text-faint">
            <Trans>No longer asked here: </Trans>
            {lines.map((line, at) => (
                <span key={line.id}>
                    <Trans>
                        {at > 0 && '; '}
                        {line.label.toLowerCase()} <span className="mono">{line.value}</span> of {OF_LAYER[line.from]}
                        {onAsk !== null && (
                            <>
                                {' '}
                                <button type="button" className="link" onClick={() => onAsk(line)}>
                                    <Trans>ask again</Trans>
                                </button>
                            </>
                        )}
                    </Trans>
                </span>
            ))}
        </p>
    );
}

function Title({ part }: { part: AskedPart }) {
    return (
        <h2 className="title pt-4 text-[18px]">
            {part.name}
            {part.madeFrom !== null && (
                <span className="aside font-normal">
                    <Trans> made from {part.madeFrom}</Trans>
                </span>
            )}
        </h2>
    );
}

/** One part of what is asked: its sentences, its lines, and what more can be asked of it. */
export function PartSheet({
    part,
    prose,
    several,
    offered,
    place,
    layer,
    editable,
    conflicts,
    note,
    changes,
    onImply,
}: {
    part: AskedPart;
    prose: string;
    several: boolean;
    offered: OfferedRequirement[];
    place: Place;
    layer: SetBy;
    editable: boolean;
    conflicts: { conflict: ConflictShown; number: number }[];
    note: number | null;
    changes: Changes;
    onImply: (parts: ImpliedPart[] | null) => void;
}) {
    const { open, set } = useOpenSet<string>();
    const finder = useRef<HTMLInputElement>(null);
    const notesOf = (id: string) =>
        conflicts
            .filter(({ conflict }) => conflict.part === part.name && conflict.requirements.some((each) => each === id))
            .map(({ number }) => number);
    const askAgain = (line: DroppedLine) =>
        changes.send('patch', place.keep, {
            id: line.id,
            part: place.part,
            level: 'must',
            scope: line.by,
            drop: true,
            seen: line.tokens[line.by] ?? null,
        });
    useKeys((event) => {
        if (event.key === 'a' && isSingleKey(event)) {
            event.preventDefault();
            finder.current?.focus();
        }
    });

    return (
        <section className="px-6 pb-6" aria-label={several ? part.name : t`What is asked`}>
            {several && <Title part={part} />}
            <p className="said py-3">
                <Breaking text={prose} />
            </p>
            {editable && (
                <div className="pb-3 print:hidden">
                    <AskMore
                        label={several ? t`Ask more of ${part.name}` : t`Ask for more`}
                        offered={offered}
                        asked={Object.fromEntries(part.lines.map((line) => [line.id, line.value]))}
                        field={finder}
                        place={place}
                        changes={changes}
                        onEdit={(id) => set([id], true)}
                        onImply={onImply}
                    />
                </div>
            )}
            {part.lines.length === 0 ? (
                <p className="text-faint">
                    <Trans>Nothing is asked yet.</Trans>
                </p>
            ) : (
                <AskedLines
                    lines={part.lines}
                    title={t`in words, and who set it`}
                    place={place}
                    layer={layer}
                    editable={editable}
                    saysWho
                    notesOf={notesOf}
                    note={note}
                    open={open}
                    onEdit={(id, editing) => set([id], editing)}
                    changes={changes}
                    onImply={onImply}
                />
            )}
            <Dropped lines={part.dropped} onAsk={editable ? askAgain : null} />
        </section>
    );
}
