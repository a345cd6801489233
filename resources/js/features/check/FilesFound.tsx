import { useState } from 'react';
import { rendered } from '../../lib/frames';
import type { Ledger } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { Folded } from '../../parts/Folded';
import { FrameStrip } from './FrameStrip';
import { NamePieces } from './NamePieces';
import { Thumbnail } from './Thumbnail';

const AGAIN = { all: 'To render again:', none: 'To render:', some: 'To render, some of them again:' };

/** What the delivery holds, drawn: sequences as strips, names piece by piece, and what belongs to nothing. */
export function FilesFound({ ledger }: { ledger: Ledger }) {
    const { document } = ledger;
    const [allStrays, setAllStrays] = useState(false);
    const owed = document.sequences.filter((sequence) => sequence.part !== null);
    const others = document.sequences.filter((sequence) => sequence.part === null);
    const strays = allStrays ? document.strays : document.strays.slice(0, 6);

    return (
        <>
            {owed.map((sequence, at) => {
                const strip = document.strip.find((each) => each.part === sequence.part && each.pass === sequence.pass);

                return (
                    <section key={at}>
                        {(sequence.pass !== null || owed.length > 1) && (
                            <h2 className="aside px-6 pt-3">{sequence.pass ?? sequence.part}</h2>
                        )}
                        <FrameStrip sequence={sequence} wrong={strip?.wrong ?? ''} sizes={strip?.sizes ?? []} />
                        {(strip?.pictures ?? []).length > 0 && sequence.part !== null && (
                            <ul className="flex gap-3 px-6 pb-2">
                                {strip?.pictures?.map((frame) => (
                                    <li key={frame}>
                                        <Thumbnail
                                            check={ledger.id}
                                            part={sequence.part ?? ''}
                                            pass={sequence.pass}
                                            frame={frame}
                                        />
                                    </li>
                                ))}
                            </ul>
                        )}
                        {sequence.rerender !== '' && (
                            <p className="flex flex-wrap items-center gap-3 px-6 pb-1">
                                <span>{AGAIN[rendered(sequence)]}</span>
                                <span className="mono text-red">
                                    <Folded text={sequence.rerender} most={160} />
                                </span>
                                <CopyButton text={sequence.rerender}>Copy the range</CopyButton>
                            </p>
                        )}
                    </section>
                );
            })}
            {document.names.length > 0 && (
                <section className="px-6 pt-2">
                    <h2 className="aside">Names that do not fit</h2>
                    {document.names.slice(0, 5).map((reading, at) => (
                        <div key={at}>
                            {reading.pass !== undefined && <p className="aside text-[13px]">pass {reading.pass}</p>}
                            <NamePieces reading={reading} />
                        </div>
                    ))}
                    {document.names_count > 5 && (
                        <p className="text-faint">and {document.names_count - 5} more, in the report files</p>
                    )}
                </section>
            )}
            {(others.length > 0 || strays.length > 0) && (
                <section className="px-6 pt-2">
                    <h2 className="aside">Belongs to nothing that is asked</h2>
                    <ul className="mono text-[13px]">
                        {others.map((sequence, at) => (
                            <li key={at}>
                                <Breaking
                                    text={`${sequence.folder === '' ? '' : `${sequence.folder}/`}${sequence.pattern}`}
                                />{' '}
                                <span className="text-faint">
                                    <Folded text={sequence.present} />
                                </span>
                            </li>
                        ))}
                        {strays.map((stray) => (
                            <li key={stray}>
                                <Breaking text={stray} />
                            </li>
                        ))}
                    </ul>
                    {document.strays.length > 6 && (
                        <button type="button" className="link" onClick={() => setAllStrays(!allStrays)}>
                            {allStrays ? 'fewer' : `${document.strays_count - 6} more`}
                        </button>
                    )}
                    {allStrays && document.strays_count > document.strays.length && (
                        <p className="text-faint">The report files have all {document.strays_count}.</p>
                    )}
                </section>
            )}
        </>
    );
}
