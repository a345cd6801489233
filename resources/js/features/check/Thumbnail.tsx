import { Link } from '@inertiajs/react';
import { useState, type ReactNode } from 'react';
import { classes } from '../../lib/classes';
import { to } from '../../lib/route';

interface Place {
    check: number;
    part: string;
    pass: string | null;
    frame: number;
}

/** To where a frame is seen large, beside others. */
function Way({ to: place, children }: { to: Place | null; children: ReactNode }) {
    if (place === null) {
        return children;
    }
    const { check, part, pass, frame } = place;

    return (
        <Link href={to('look', { check, part }, { ...(pass === null ? {} : { pass }), frame })} className="block w-fit">
            {children}
        </Link>
    );
}

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
                <Way to={isStill ? null : { check, part, pass, frame }}>
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
                </Way>
            )}
            <figcaption className="mono text-[12px] text-faint">{isStill ? pass : frame}</figcaption>
        </figure>
    );
}
