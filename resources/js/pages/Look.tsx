import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { ContactSheet } from '../features/look/ContactSheet';
import { Player } from '../features/look/Player';
import { Sphere, sphereFrame } from '../features/look/Sphere';
import { TwoFrames } from '../features/look/TwoFrames';
import { classes } from '../lib/classes';
import { runs } from '../lib/frames';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Folios } from '../parts/Folios';
import type { LookPage } from '../types/views';

const VIEWS = [
    ['sheet', t`Contact sheet`],
    ['play', t`Play`],
    ['two', t`Two frames`],
    ['around', t`All around`],
] as const;

type View = (typeof VIEWS)[number][0];

/** Where one begins is told behind the address, so that a frame can be linked to. */
function beginning(page: LookPage): { view: View; frame: number } {
    const frame = new URLSearchParams(window.location.search).get('frame');
    const first = runs(page.present)[0]?.[0] ?? 0;

    return frame === null || !/^-?\d+$/.test(frame)
        ? { view: 'sheet', frame: first }
        : { view: 'two', frame: Number(frame) };
}

function Sequences({ page }: { page: LookPage }) {
    return page.sequences.length < 2 ? null : (
        <nav aria-label={t`Sequences`} className="flex flex-wrap gap-3 px-6 pt-2 print:hidden">
            {page.sequences.map(({ part, pass }) => {
                const isHere = part === page.part && pass === page.pass;

                return (
                    <Link
                        key={`${part} ${pass}`}
                        className={classes('link', isHere && 'font-semibold')}
                        aria-current={isHere ? 'page' : undefined}
                        href={to('look', { check: page.check, part }, pass === null ? {} : { pass })}
                    >
                        {pass ?? part}
                    </Link>
                );
            })}
        </nav>
    );
}

/** Frames of one sequence, to be seen: many at once, at their rate, or two beside each other. */
export default function Look(page: LookPage) {
    const { book, deliverable, layers, part, pass } = page;
    const [start] = useState(() => beginning(page));
    const [view, setView] = useState<View>(start.view);
    const [frame, setFrame] = useState(start.frame);
    const [layer, setLayer] = useState(layers[0] ?? '');

    return (
        <Book title={t`${deliverable.code}, frames to be seen`} book={book} deliverable={deliverable}>
            <Folios deliverable={deliverable} at="frames" />
            <div className="pb-10">
                <p className="flex flex-wrap items-baseline gap-x-5 gap-y-1 px-6 pt-3">
                    <span className="said">{pass ?? part}</span>
                    <span role="group" aria-label={t`Ways to see them`} className="flex gap-4 print:hidden">
                        {VIEWS.filter(([key]) => key !== 'around' || page.around).map(([key, name]) => (
                            <button
                                key={key}
                                type="button"
                                className={classes('link', view === key && 'font-semibold')}
                                aria-pressed={view === key}
                                onClick={() => setView(key)}
                            >
                                {name}
                            </button>
                        ))}
                    </span>
                    {layers.length > 1 && (
                        <label className="flex items-center gap-1.5 text-[13px] print:hidden">
                            <Trans>Shown of them</Trans>
                            <select
                                className="select w-auto!"
                                value={layer}
                                onChange={(event) => setLayer(event.target.value)}
                            >
                                {layers.map((each) => (
                                    <option key={each} value={each}>
                                        {each === '' ? t`colours` : each}
                                    </option>
                                ))}
                            </select>
                        </label>
                    )}
                    <Link href={to('frames', { deliverable: deliverable.id })} className="link print:hidden">
                        <Trans>Back to the frames</Trans>
                    </Link>
                </p>
                <Sequences page={page} />
                {view === 'sheet' && (
                    <ContactSheet
                        page={page}
                        layer={layer}
                        onFrame={(chosen) => {
                            setFrame(chosen);
                            setView('two');
                        }}
                    />
                )}
                {view === 'play' && <Player key={layer} page={page} layer={layer} />}
                {view === 'around' && <Sphere page={page} layer={layer} frame={sphereFrame(page, frame)} />}
                {view === 'two' && <TwoFrames page={page} layer={layer} frame={frame} onFrame={setFrame} />}
            </div>
        </Book>
    );
}
