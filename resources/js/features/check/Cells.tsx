import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { classes } from '../../lib/classes';
import { Breaking } from '../../parts/Breaking';
import { Folded } from '../../parts/Folded';
import { MarkSign } from '../../parts/MarkSign';
import type { Cell } from '../../types/views';
import { inWords, pickOut } from './difference';

/** So many runs are shown before somebody wants all. */
const FIRST = 4;

/** The ink of what was found, where it stands in place of a mark. */
export const foundClass = (cell: Cell): string =>
    classes('mono', cell.mark === 'unequal' && cell.stale !== true && 'found-wrong');

/** What differs picked out, letter by letter. */
function PickedOut({ required, found }: { required: string; found: string }) {
    const word = inWords(required, found);

    return (
        <span className="found-wrong">
            <span className="mono">
                {pickOut(required, found).map((piece, at) =>
                    piece.differs ? (
                        <em key={at}>
                            <Breaking text={piece.text} />
                        </em>
                    ) : (
                        <Breaking key={at} text={piece.text} />
                    ),
                )}
            </span>
            {word !== null && <span className="aside ml-2 text-red!">{word}</span>}
        </span>
    );
}

/** Found values in their own ink, what differs picked out. */
export function CellText({ cell, required }: { cell: Cell; required: string }) {
    if (cell.found === null) {
        return (
            <span className="text-faint">
                <Trans>not told</Trans>
            </span>
        );
    }
    if (cell.stale === true) {
        return <span className="mono text-faint">{cell.found}</span>;
    }
    // where only some differ, what most of them show is no mistake
    const isRightMostly = (cell.runs ?? []).length > 0 && required.split(' | ').includes(cell.found);

    return cell.mark !== 'unequal' || isRightMostly ? (
        <span className="mono">
            <Breaking text={cell.found} />
        </span>
    ) : (
        <PickedOut required={required} found={cell.found} />
    );
}

/** A cell with its mark. */
export function MarkedCell({ cell, required, given }: { cell: Cell | undefined; required: string; given: boolean }) {
    if (cell === undefined) {
        return given ? null : (
            <span className="sr-only">
                <Trans>not given</Trans>
            </span>
        );
    }

    return (
        <span className="grid grid-cols-[18px_1fr] gap-x-1">
            <span>
                {cell.stale === true ? (
                    <span className="text-faint" aria-label={t`changed since`}>
                        ·
                    </span>
                ) : (
                    <MarkSign mark={cell.mark} />
                )}
            </span>
            <span>
                <CellText cell={cell} required={required} />
                {cell.stale === true && (
                    <span className="aside block text-[12.5px]">
                        <Trans>changed since; the files are right</Trans>
                    </span>
                )}
            </span>
        </span>
    );
}

type Run = NonNullable<Cell['runs']>[number];

function RunLine({ run, range }: { run: Run; range: boolean }) {
    return (
        <span className="block">
            <span className="mono">
                <Folded text={run.found} />
            </span>
            {run.pass !== undefined && t` in ${run.pass}`}
            {run.frames !== '' && !(range && run.pass !== undefined) && (
                <>
                    {run.pass === undefined ? t` in ` : ', '}
                    <span className="mono">
                        <Folded text={run.frames} />
                    </span>
                </>
            )}
        </span>
    );
}

/** Where some frames, or passes, show something else. Of a range it is the range itself that says where. */
export function Runs({ cell, range }: { cell: Cell | undefined; range: boolean }) {
    const [all, setAll] = useState(false);
    const runs = cell?.runs ?? [];

    return runs.length === 0 ? null : (
        <span className={`block text-[12.5px] ${cell?.mark === 'unequal' ? 'text-red' : 'text-faint'}`}>
            {(all ? runs : runs.slice(0, FIRST)).map((run, at) => (
                <RunLine key={at} run={run} range={range} />
            ))}
            {runs.length > FIRST && (
                <button type="button" className="link" onClick={() => setAll(!all)}>
                    {all ? t`fewer` : t`${runs.length - FIRST} more`}
                </button>
            )}
        </span>
    );
}
