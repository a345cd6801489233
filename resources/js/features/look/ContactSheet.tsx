import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef, useState } from 'react';
import { classes } from '../../lib/classes';
import { runs } from '../../lib/frames';
import type { LookPage } from '../../types/views';
import { everyNth, MOST, usualStep } from './look';
import { pictureOf } from './picture';

/** Many frames at once, to look over and to print. */
export function ContactSheet({
    page,
    layer,
    onFrame,
}: {
    page: LookPage;
    layer: string;
    onFrame: (frame: number) => void;
}) {
    const [step, setStep] = useState(String(usualStep(runs(page.present))));
    const every = Math.max(1, Math.floor(Number(step)) || 1);
    const chosen = everyNth(page.present, page.wrong, every);
    const { check, part, pass } = page;
    const list = useRef<HTMLUListElement>(null);
    const [waits, setWaits] = useState(false);
    const print = async () => {
        const pictures = [...(list.current?.querySelectorAll('img') ?? [])];
        setWaits(true);
        // those below the fold have not been asked for yet
        pictures.forEach((picture) => (picture.loading = 'eager'));
        await Promise.allSettled(pictures.map((picture) => picture.decode()));
        setWaits(false);
        window.print();
    };

    return (
        <>
            <p className="flex flex-wrap items-center gap-3 px-6 pt-3 print:hidden">
                <label className="flex items-center gap-1.5">
                    <Trans>every</Trans>
                    <input
                        className="input w-16!"
                        inputMode="numeric"
                        aria-label={t`Every how manieth frame`}
                        value={step}
                        onChange={(event) => setStep(event.target.value)}
                    />
                    {every === 1 ? t`frame` : t`frames`}
                </label>
                <button type="button" className="btn" disabled={waits} onClick={() => void print()}>
                    {waits ? t`Waiting for the pictures…` : t`Print`}
                </button>
                {chosen.length === MOST && (
                    <span className="text-[13px] text-faint">
                        <Trans>the first {MOST}; a larger step shows the rest</Trans>
                    </span>
                )}
            </p>
            <ul
                ref={list}
                className="grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3 px-6 pt-3 print:grid-cols-6"
            >
                {chosen.map(({ frame, isWrong }) => (
                    <li key={`${frame} ${layer}`} className="break-inside-avoid">
                        <button
                            type="button"
                            className={classes(
                                'block w-full cursor-pointer border bg-base-200',
                                isWrong ? 'border-2 border-red' : 'border-rule',
                            )}
                            aria-label={t`Frame ${frame}${isWrong ? t`, not as asked` : ''}: beside another`}
                            onClick={() => onFrame(frame)}
                        >
                            <img
                                src={pictureOf({ check, part, pass, frame, layer })}
                                alt=""
                                loading="lazy"
                                className="aspect-video w-full object-contain"
                            />
                        </button>
                        <span className={classes('mono text-[12px]', isWrong ? 'text-red' : 'text-faint')}>
                            {frame}
                            {isWrong && ' ≠'}
                        </span>
                    </li>
                ))}
            </ul>
        </>
    );
}
