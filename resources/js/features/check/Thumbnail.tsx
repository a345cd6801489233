import { t } from '@lingui/core/macro';
import { Link } from '@inertiajs/react';
import { useState, type ReactNode } from 'react';
import { classes } from '../../lib/classes';
import { heldBy } from '../../lib/ownDisk';
import { to } from '../../lib/route';
import { useOwnPicture } from './useOwnPicture';

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

/** What is shown of a frame: its picture once that is there, or why there is none. */
function Figure({
    url,
    why,
    alt,
    place,
    caption,
}: {
    url: string | undefined;
    /** why there is none; null as long as there may be one */
    why: string | null;
    alt: string;
    /** where it is seen large */
    place: Place | null;
    caption: ReactNode;
}) {
    // until it is there its place is kept, so that nothing jumps
    const [state, setState] = useState<'coming' | 'there' | 'gone'>('coming');
    const gone = why ?? (state === 'gone' ? t`no longer there, or changed` : null);

    return (
        <figure className="w-[150px]">
            {gone !== null ? (
                <p className="border border-rule h-[84px] px-2 pt-5 text-center text-[12.5px] text-faint">{gone}</p>
            ) : (
                <Way to={place}>
                    <img
                        src={url}
                        alt={alt}
                        loading="lazy"
                        className={classes(
                            'h-[84px]',
                            state === 'there' ? 'w-auto' : 'w-full',
                            'max-w-full border border-rule bg-[length:12px_12px]',
                            'bg-[repeating-conic-gradient(var(--color-base-300)_0_25%,var(--color-base-100)_0_50%)]',
                        )}
                        onLoad={() => setState('there')}
                        onError={() => setState('gone')}
                    />
                </Way>
            )}
            <figcaption className="mono text-[12px] text-faint">{caption}</figcaption>
        </figure>
    );
}

interface Shown extends Place {
    /** whose channels are shown; those in none where it is empty */
    layer: string;
    isStill?: boolean;
}

function captions({ frame, pass, layer, isStill = false }: Shown): { alt: string; caption: ReactNode } {
    const called = isStill ? t`The picture` : t`Frame ${frame}`;

    return {
        alt: [called, pass, layer].filter((word) => word !== null && word !== '').join(', '),
        caption: isStill ? pass : frame,
    };
}

/** As the browser itself draws it, where it can. */
function Own(shown: Shown) {
    const { check, part, pass, frame } = shown;
    const { url, why } = useOwnPicture(check, to('check.place', { check, part, frame }, pass === null ? {} : { pass }));

    return <Figure url={url} why={why} place={null} {...captions(shown)} />;
}

function Kept(shown: Shown) {
    const { check, part, pass, frame, layer, isStill = false } = shown;
    const url = to(
        'check.picture',
        { check, part, frame },
        { ...(pass === null ? {} : { pass }), ...(layer === '' ? {} : { layer }) },
    );

    return <Figure url={url} why={null} place={isStill ? null : shown} {...captions(shown)} />;
}

/** A small picture of one frame; where the file is gone by now, only its number. */
export function Thumbnail(shown: Shown) {
    return heldBy(shown.check) === null ? <Kept {...shown} /> : <Own {...shown} />;
}
