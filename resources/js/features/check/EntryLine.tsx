import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Fragment } from 'react';
import { Breaking } from '../../parts/Breaking';
import { MarkSign } from '../../parts/MarkSign';
import type { Entry, Ledger } from '../../types/views';
import { CellText, foundClass, MarkedCell, Runs } from './Cells';
import { lineId } from './notes';
import { Waive } from './Waive';

/** Longer values stand below their line. */
const LONG = 24;

const SIDES = ['scene', 'files'] as const;

interface Props {
    entry: Entry;
    ledger: Ledger;
    /** numbers of the notes that speak of it */
    notes: number[];
    touched: boolean;
    mayWaive: boolean;
    onTouch: (note: number | null) => void;
}

function Notes({ notes, onTouch }: Pick<Props, 'notes' | 'onTouch'>) {
    return notes.map((note) => (
        <a
            key={note}
            href={`#note-${note}`}
            className="note-number ml-1.5"
            aria-label={t`note ${note}`}
            onFocus={() => onTouch(note)}
            onBlur={() => onTouch(null)}
        >
            {note}
        </a>
    ));
}

function Accepted({ reason, by }: NonNullable<Entry['waiver']>) {
    return (
        <span className="block text-[12.5px] text-ochre">
            <Trans>
                accepted: <Breaking text={reason} />
                {by !== undefined && ` (${by})`}
            </Trans>
        </span>
    );
}

/** Whether a line can be accepted as it is, or is. */
const isWaivable = (entry: Entry): boolean => entry.mark === 'unequal' || entry.waiver?.key !== undefined;

/** What is asked, and what is to be known of it. */
function Name({ entry, ledger, notes, mayWaive, onTouch }: Props) {
    const { waiver } = entry;
    const isOpen = mayWaive && ledger.newest && isWaivable(entry);

    return (
        <th scope="row">
            {ledger.labels[entry.id]?.label ?? entry.id}
            {entry.level === 'should' && (
                <span className="aside">
                    <Trans> should</Trans>
                </span>
            )}
            <Notes notes={notes} onTouch={onTouch} />
            {entry.pass !== undefined && (
                <span className="aside">
                    <Trans> of {entry.pass}</Trans>
                </span>
            )}
            {waiver !== undefined && <Accepted {...waiver} />}
            {isOpen && <Waive ledger={ledger} entry={entry} />}
            {[entry.find_out, entry.why]
                .filter((says) => says !== undefined)
                .map((says) => (
                    <span key={says} className="aside block text-[12.5px]">
                        {says}
                    </span>
                ))}
        </th>
    );
}

/** Values that are too long for columns, one below the other. */
function LongValues({ entry, touched }: Pick<Props, 'entry' | 'touched'>) {
    return (
        <tr className={touched ? 'touched' : ''}>
            <td colSpan={4} className="pl-6!">
                <dl className="grid grid-cols-[80px_1fr] gap-x-2">
                    <dt className="aside">
                        <Trans>required</Trans>
                    </dt>
                    <dd className="mono">
                        <Breaking text={entry.required} />
                    </dd>
                    {SIDES.map((side) => {
                        const cell = entry[side];

                        return cell === undefined ? null : (
                            <Fragment key={side}>
                                <dt className="aside">{side}</dt>
                                <dd>
                                    {entry.id === 'naming.pattern' && cell.found !== null ? (
                                        <span className={foundClass(cell)}>
                                            <Breaking text={cell.found} />
                                        </span>
                                    ) : (
                                        <CellText cell={cell} required={entry.required} />
                                    )}
                                    <Runs cell={cell} range={entry.id === 'time.range'} />
                                </dd>
                            </Fragment>
                        );
                    })}
                </dl>
            </td>
        </tr>
    );
}

function SideCell({ entry, side, given }: { entry: Entry; side: (typeof SIDES)[number]; given: boolean }) {
    return (
        <td className="column">
            <MarkedCell cell={entry[side]} required={entry.required} given={given} />
            <Runs cell={entry[side]} range={entry.id === 'time.range'} />
        </td>
    );
}

/** One requirement of the ledger: what is asked, and what the scene and the files show. */
export function EntryLine(props: Props) {
    const { entry, ledger, notes, touched, onTouch } = props;
    const values = [entry.required, entry.scene?.found, entry.files?.found];
    const isLong = values.some((text) => (text ?? '').length > LONG);
    const given = { scene: ledger.scene !== null, files: ledger.delivery !== null };

    return (
        <>
            <tr
                id={lineId(entry.part, entry.pass, entry.id)}
                data-notes={notes.join(' ')}
                className={touched ? 'touched' : ''}
                onMouseEnter={() => onTouch(notes[0] ?? null)}
                onMouseLeave={() => onTouch(null)}
            >
                <Name {...props} />
                {isLong ? (
                    <>
                        <td className="column mono">
                            <span className="text-faint">
                                <Trans>below</Trans>
                            </span>
                        </td>
                        {SIDES.map((side) => (
                            <td key={side} className="column">
                                {entry[side] !== undefined && <MarkSign mark={entry[side].mark} />}
                            </td>
                        ))}
                    </>
                ) : (
                    <>
                        <td className="column mono">{entry.required}</td>
                        {SIDES.map((side) => (
                            <SideCell key={side} entry={entry} side={side} given={given[side]} />
                        ))}
                    </>
                )}
            </tr>
            {isLong && <LongValues entry={entry} touched={touched} />}
        </>
    );
}
