import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef, useState } from 'react';
import { StartingValues } from '../features/house/StartingValues';
import { AskedLines } from '../features/specification/AskedLines';
import { AskMore } from '../features/specification/AskMore';
import { useChanges } from '../features/specification/changes';
import { SavedBar } from '../features/specification/SavedBar';
import type { Place } from '../features/specification/useEditor';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Fault } from '../parts/Fault';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { HousePage } from '../types/views';

const NOTHING: number[] = [];

/** What a production asks of everything, and what its untouched scenes show. */
export default function House({ book, lines, starting, offered, faults }: HousePage) {
    const production = book.production.id;
    const changes = useChanges(`house-${production}`);
    const [open, setOpen] = useState<string | null>(null);
    const finder = useRef<HTMLInputElement>(null);
    const keep = to('house.update', { production });
    const place: Place = {
        understand: to('house.understand', { production }),
        keep,
        approved: null,
        part: null,
        scope: 'house',
    };
    const asked = Object.fromEntries(lines.map((line) => [line.id, line.value]));

    return (
        <Book title={t`${book.production.name}, house requirements`} book={book}>
            <ProductionFolios book={book} at="house" />
            <div className="px-6 pt-3 pb-10">
                <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                    <span className="said">
                        <Trans>What every specification of this production asks, unless it says otherwise.</Trans>
                    </span>
                    <SavedBar changes={changes} />
                </p>
                {faults.map((fault) => (
                    <Fault key={fault.says} says={fault.says} />
                ))}
                <div className="py-3">
                    <AskMore
                        label={t`Ask for more`}
                        offered={offered}
                        asked={asked}
                        field={finder}
                        place={place}
                        changes={changes}
                        onEdit={setOpen}
                        onImply={() => undefined}
                    />
                </div>
                {lines.length === 0 ? (
                    <p className="text-faint">
                        <Trans>
                            The house asks nothing yet. A frame rate and a colour space are what most houses settle
                            here.
                        </Trans>
                    </p>
                ) : (
                    <AskedLines
                        lines={lines}
                        title={t`in words`}
                        place={place}
                        layer="house"
                        editable
                        saysWho={false}
                        notesOf={() => NOTHING}
                        note={null}
                        open={new Set(open === null ? [] : [open])}
                        onEdit={(id, editing) => setOpen(editing ? id : null)}
                        changes={changes}
                        onImply={() => undefined}
                    />
                )}
                <StartingValues
                    lines={starting}
                    offered={offered}
                    send={(data, done) => changes.send('patch', keep, data, done)}
                />
            </div>
        </Book>
    );
}
