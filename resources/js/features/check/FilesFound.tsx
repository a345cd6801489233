import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useId, useState } from 'react';
import { to } from '../../lib/route';
import { rendered } from '../../lib/frames';
import { heldBy } from '../../lib/ownDisk';
import type { CheckDocument, Ledger, NameReading, Sequence, Strip } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { Folded } from '../../parts/Folded';
import { FrameStrip } from './FrameStrip';
import { MoviesFound } from './MoviesFound';
import { NamePieces } from './NamePieces';
import { Thumbnail } from './Thumbnail';

const AGAIN = { all: t`To render again:`, none: t`To render:`, some: t`To render, some of them again:` };

/** So many are shown before somebody wants all. */
const FIRST = 6;

const MOST_NAMES = 5;

/** So many frames that were chosen are shown. */
const CHOSEN = 8;

/** On somebody's own disk, and not chosen in this page: then there are no pictures to be had. */
const isOutOfReach = ({ id, delivery }: Ledger): boolean => delivery?.origin === 'own' && heldBy(id) === null;

/** What is shown of each picture. */
function Layers({ layers, layer, onChoose }: { layers: string[]; layer: string; onChoose: (layer: string) => void }) {
    const id = useId();

    return (
        <p className="flex items-center gap-2 px-6 pb-2 text-[13px] print:hidden">
            <label htmlFor={id} className="text-faint">
                <Trans>Shown of them</Trans>
            </label>
            <select
                id={id}
                className="select w-auto!"
                value={layer}
                onChange={(event) => onChoose(event.currentTarget.value)}
            >
                {layers.map((each) => (
                    <option key={each} value={each}>
                        {each === '' ? t`colours` : each}
                    </option>
                ))}
            </select>
        </p>
    );
}

function Pictures({
    ledger,
    part,
    pass,
    frames,
    layers = [''],
}: {
    ledger: Ledger;
    part: string;
    pass: string | null;
    frames: number[];
    layers: string[] | undefined;
}) {
    const [layer, setLayer] = useState(layers[0] ?? '');

    return frames.length === 0 || isOutOfReach(ledger) ? null : (
        <>
            <ul className="flex flex-wrap gap-3 px-6 pt-2 pb-2">
                {frames.map((frame) => (
                    // a picture by itself for each layer, so that none is shown for another until it is there
                    <li key={`${frame} ${layer}`}>
                        <Thumbnail check={ledger.id} part={part} pass={pass} frame={frame} layer={layer} />
                    </li>
                ))}
            </ul>
            {layers.length > 1 && ledger.delivery?.origin !== 'own' && (
                <Layers layers={layers} layer={layer} onChoose={setLayer} />
            )}
        </>
    );
}

/** Frames worth a look anyway, then those that were chosen. */
function shownOf(strip: Strip | undefined, chosen: number[]): number[] {
    return [...new Set([...(strip?.pictures ?? []), ...chosen])];
}

/** To all of its frames at once. */
function SeenAsOne({ ledger, sequence }: { ledger: Ledger; sequence: Sequence }) {
    const { part, pass, present } = sequence;

    return part === null || present === '' || ledger.delivery?.origin === 'own' ? null : (
        <p className="px-6 pb-1 print:hidden">
            <Link className="link" href={to('look', { check: ledger.id, part }, pass === null ? {} : { pass })}>
                <Trans>See them: contact sheet, play, two beside each other</Trans>
            </Link>
        </p>
    );
}

/** One sequence that is owed: its frames as a strip, some as pictures, and what is to be rendered. */
function Owed({ ledger, sequence, isNamed }: { ledger: Ledger; sequence: Sequence; isNamed: boolean }) {
    const strip = ledger.document.strip.find((each) => each.part === sequence.part && each.pass === sequence.pass);
    const { part } = sequence;
    const [chosen, setChosen] = useState<number[]>([]);
    const pictures = shownOf(strip, chosen);
    // those that somebody chose come after those that are worth a look anyway, the latest ones
    const choose = (frame: number) => setChosen((old) => [...old.filter((one) => one !== frame), frame].slice(-CHOSEN));

    return (
        <section>
            {isNamed && <h2 className="aside px-6 pt-3">{sequence.pass ?? part}</h2>}
            <FrameStrip
                sequence={sequence}
                wrong={strip?.wrong ?? ''}
                sizes={strip?.sizes ?? []}
                took={ledger.took}
                onChoose={choose}
            />
            {part !== null && (
                <Pictures ledger={ledger} part={part} pass={sequence.pass} frames={pictures} layers={strip?.layers} />
            )}
            <SeenAsOne ledger={ledger} sequence={sequence} />
            {sequence.rerender !== '' && (
                <p className="flex flex-wrap items-center gap-3 px-6 pb-1">
                    <span>{AGAIN[rendered(sequence)]}</span>
                    <span className="mono text-red">
                        <Folded text={sequence.rerender} most={160} />
                    </span>
                    <CopyButton text={sequence.rerender}>{t`Copy the range`}</CopyButton>
                </p>
            )}
        </section>
    );
}

/** Pictures that are owed and have no frames to be a strip of. */
function Stills({ ledger }: { ledger: Ledger }) {
    const { sequences, strip } = ledger.document;
    const stills = strip.filter(
        ({ part, pass }) => !sequences.some((sequence) => sequence.part === part && sequence.pass === pass),
    );

    return stills.map(({ part, pass, pictures = [], layers }, at) =>
        pictures.map((frame) => (
            <div key={`${at} ${frame}`} className="px-6 pt-3 pb-2">
                <Thumbnail check={ledger.id} part={part} pass={pass} frame={frame} layer={layers?.[0] ?? ''} isStill />
            </div>
        )),
    );
}

/** Names that do not fit, piece by piece. */
function Names({ names, many }: { names: NameReading[]; many: number }) {
    return names.length === 0 ? null : (
        <section className="px-6 pt-2">
            <h2 className="aside">
                <Trans>Names that do not fit</Trans>
            </h2>
            {names.slice(0, MOST_NAMES).map((reading, at) => (
                <div key={at}>
                    {reading.pass !== undefined && (
                        <p className="aside text-[13px]">
                            <Trans>pass {reading.pass}</Trans>
                        </p>
                    )}
                    <NamePieces reading={reading} />
                </div>
            ))}
            {many > MOST_NAMES && (
                <p className="text-faint">
                    <Trans>and {many - MOST_NAMES} more, in the report files</Trans>
                </p>
            )}
        </section>
    );
}

/** Sequences and files that nobody asked for. */
function Others({ document }: { document: CheckDocument }) {
    const [all, setAll] = useState(false);
    const { strays, strays_count: many } = document;
    const others = document.sequences.filter((sequence) => sequence.part === null);

    return others.length === 0 && strays.length === 0 ? null : (
        <section className="px-6 pt-2">
            <h2 className="aside">
                <Trans>Belongs to nothing that is asked</Trans>
            </h2>
            <ul className="mono text-[13px]">
                {others.map(({ folder, pattern, present }, at) => (
                    <li key={at}>
                        <Breaking text={folder === '' ? pattern : `${folder}/${pattern}`} />{' '}
                        <span className="text-faint">
                            <Folded text={present} />
                        </span>
                    </li>
                ))}
                {(all ? strays : strays.slice(0, FIRST)).map((stray) => (
                    <li key={stray}>
                        <Breaking text={stray} />
                    </li>
                ))}
            </ul>
            {strays.length > FIRST && (
                <button type="button" className="link" onClick={() => setAll(!all)}>
                    {all ? t`fewer` : t`${many - FIRST} more`}
                </button>
            )}
            {all && many > strays.length && (
                <p className="text-faint">
                    <Trans>The report files have all {many}.</Trans>
                </p>
            )}
        </section>
    );
}

/** What the delivery holds, drawn: sequences as strips, names piece by piece, and what belongs to nothing. */
export function FilesFound({ ledger }: { ledger: Ledger }) {
    const { document } = ledger;
    const owed = document.sequences.filter((sequence) => sequence.part !== null);

    return (
        <>
            {owed.map((sequence, at) => (
                <Owed
                    key={at}
                    ledger={ledger}
                    sequence={sequence}
                    isNamed={sequence.pass !== null || owed.length > 1}
                />
            ))}
            {isOutOfReach(ledger) ? (
                <p className="px-6 pt-1 text-[13px] text-faint">
                    <Trans>
                        Pictures are not shown: the files lie on the machine they were looked at on. Choose the folder
                        there again to see them.
                    </Trans>
                </p>
            ) : (
                <Stills ledger={ledger} />
            )}
            <MoviesFound movies={document.movies} />
            <Names names={document.names} many={document.names_count} />
            <Others document={document} />
        </>
    );
}
