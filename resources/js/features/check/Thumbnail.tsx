import { useState } from 'react';
import { classes } from '../../lib/classes';
import { to } from '../../lib/route';

/** A small picture of one frame; where the file is gone by now, only its number. */
export function Thumbnail({
    check,
    part,
    pass,
    frame,
    layer,
    isStill = false,
}: {
    check: number;
    part: string;
    pass: string | null;
    frame: number;
    /** whose channels are shown; those in none where it is empty */
    layer: string;
    isStill?: boolean;
}) {
    const called = isStill ? 'The picture' : `Frame ${frame}`;
    const [gone, setGone] = useState(false);
    // until it is there its place is kept, so that nothing jumps
    const [there, setThere] = useState(false);
    const url = to(
        'check.picture',
        { check, part, frame },
        { ...(pass === null ? {} : { pass }), ...(layer === '' ? {} : { layer }) },
    );

    return (
        <figure className="w-[150px]">
            {gone ? (
                <p className="border border-rule h-[84px] px-2 pt-5 text-center text-[12.5px] text-faint">
                    no longer there, or changed
                </p>
            ) : (
                <img
                    src={url}
                    alt={[called, pass, layer].filter((word) => word !== null && word !== '').join(', ')}
                    loading="lazy"
                    className={classes(
                        'h-[84px]',
                        there ? 'w-auto' : 'w-full',
                        'max-w-full border border-rule bg-[length:12px_12px]',
                        'bg-[repeating-conic-gradient(var(--color-base-300)_0_25%,var(--color-base-100)_0_50%)]',
                    )}
                    onLoad={() => setThere(true)}
                    onError={() => setGone(true)}
                />
            )}
            <figcaption className="mono text-[12px] text-faint">{isStill ? pass : frame}</figcaption>
        </figure>
    );
}
