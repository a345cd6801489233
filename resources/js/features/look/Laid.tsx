import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useRef, useState } from 'react';
import { difference, meanDifference } from './look';
import type { Way } from './TwoFrames';

/** Milliseconds for which each is seen when they flicker. */
const FLICKER = 400;

/** Differences are shown so many times as large as they are. */
const TIMES = 8;

interface Pair {
    one: HTMLImageElement;
    other: HTMLImageElement;
}

function load(source: string): Promise<HTMLImageElement> {
    return new Promise((done, failed) => {
        const picture = new Image();
        picture.onload = () => done(picture);
        picture.onerror = failed;
        picture.src = source;
    });
}

/** Both of them, once both are here; false where one cannot be had. */
function usePair(one: string, other: string): Pair | null | false {
    const [pair, setPair] = useState<Pair | null | false>(null);
    useEffect(() => {
        let wanted = true;
        Promise.all([load(one), load(other)]).then(
            ([first, second]) => wanted && setPair({ one: first, other: second }),
            () => wanted && setPair(false),
        );

        return () => {
            wanted = false;
        };
    }, [one, other]);

    return pair;
}

function pixels(picture: HTMLImageElement, width: number, height: number): ImageData | null {
    const canvas = new OffscreenCanvas(width, height);
    const on = canvas.getContext('2d');
    on?.drawImage(picture, 0, 0, width, height);

    return on?.getImageData(0, 0, width, height) ?? null;
}

/** What two pictures differ by; null where that cannot be told. */
function compare({ one, other }: Pair): { mean: number; drawn: ImageData } | null {
    const [width, height] = [one.naturalWidth, one.naturalHeight];
    if (other.naturalWidth !== width || other.naturalHeight !== height) {
        return null;
    }
    const [a, b] = [pixels(one, width, height), pixels(other, width, height)];

    return a === null || b === null ? null : { mean: meanDifference(a.data, b.data), drawn: difference(a, b, TIMES) };
}

const percent = (thousandths: number): string => `${(thousandths / 10).toFixed(1)} %`;

const FIGURE = 'block w-full border border-rule bg-base-200';

function Beside({ one, other, says }: { one: string; other: string; says: [string, string] }) {
    return (
        <div className="grid grid-cols-2 gap-3">
            {[one, other].map((source, at) => (
                <figure key={source}>
                    <img src={source} alt={says[at]} className={FIGURE} />
                    <figcaption className="text-[13px] text-faint">{says[at]}</figcaption>
                </figure>
            ))}
        </div>
    );
}

function Wipe({ one, other, says }: { one: string; other: string; says: [string, string] }) {
    const [at, setAt] = useState(50);

    return (
        <>
            <div className="relative">
                <img src={one} alt={says[0]} className={FIGURE} />
                <img
                    src={other}
                    alt={says[1]}
                    className={`${FIGURE} absolute inset-0`}
                    style={{ clipPath: `inset(0 0 0 ${at}%)` }}
                />
                <span aria-hidden className="absolute inset-y-0 w-px bg-red" style={{ left: `${at}%` }} />
            </div>
            <label className="flex items-center gap-2 pt-1 text-[13px] text-faint">
                {says[0]}
                <input
                    type="range"
                    className="grow accent-primary"
                    min={0}
                    max={100}
                    value={at}
                    aria-label={t`Where one becomes the other`}
                    onChange={(event) => setAt(Number(event.target.value))}
                />
                {says[1]}
            </label>
        </>
    );
}

function Flicker({ one, other, says }: { one: string; other: string; says: [string, string] }) {
    const [first, setFirst] = useState(true);
    const [held, setHeld] = useState(false);
    useEffect(() => {
        const timer = held ? null : setInterval(() => setFirst((was) => !was), FLICKER);

        return () => (timer === null ? undefined : clearInterval(timer));
    }, [held]);

    return (
        <>
            <img src={first ? one : other} alt={first ? says[0] : says[1]} className={FIGURE} />
            <p className="flex items-center gap-3 pt-1 text-[13px]">
                <button type="button" className="btn" onClick={() => setHeld(!held)}>
                    {held ? t`Let it flicker` : t`Hold it`}
                </button>
                {held && (
                    <button type="button" className="btn" onClick={() => setFirst(!first)}>
                        <Trans>The other one</Trans>
                    </button>
                )}
                <span className="text-faint">{first ? says[0] : says[1]}</span>
            </p>
        </>
    );
}

function Difference({ drawn }: { drawn: ImageData }) {
    const canvas = useRef<HTMLCanvasElement>(null);
    useEffect(() => {
        canvas.current?.getContext('2d')?.putImageData(drawn, 0, 0);
    }, [drawn]);

    return (
        <>
            <canvas
                ref={canvas}
                width={drawn.width}
                height={drawn.height}
                role="img"
                aria-label={t`Where they differ`}
                className={FIGURE}
            />
            <p className="text-[13px] text-faint">
                <Trans>Black where they agree; differences are drawn {TIMES} times as large.</Trans>
            </p>
        </>
    );
}

/** Two pictures, laid as somebody wants to see them, and how far they are apart. */
export function Laid({ way, one, other, says }: { way: Way; one: string; other: string; says: [string, string] }) {
    const pair = usePair(one, other);
    if (pair === null) {
        return (
            <p className="pt-4 text-faint">
                <Trans>The pictures are on their way.</Trans>
            </p>
        );
    }
    if (pair === false) {
        return (
            <p className="pt-4 text-faint">
                <Trans>
                    One of them cannot be shown: its file is gone or was changed since, or is of a kind that is not
                    decoded here.
                </Trans>
            </p>
        );
    }

    return <Both way={way} one={one} other={other} says={says} compared={compare(pair)} />;
}

function Both({
    way,
    one,
    other,
    says,
    compared,
}: {
    way: Way;
    one: string;
    other: string;
    says: [string, string];
    compared: ReturnType<typeof compare>;
}) {
    return (
        <div className={way === 'beside' ? 'pt-3' : 'max-w-[860px] pt-3'}>
            <p className="pb-2" role="status">
                {compared === null
                    ? t`They are not of the same size.`
                    : t`Mean difference of what is shown: ${percent(compared.mean)}.`}
            </p>
            {way === 'beside' && <Beside one={one} other={other} says={says} />}
            {way === 'wipe' && <Wipe one={one} other={other} says={says} />}
            {way === 'flicker' && <Flicker one={one} other={other} says={says} />}
            {way === 'difference' && compared !== null && <Difference drawn={compared.drawn} />}
        </div>
    );
}
