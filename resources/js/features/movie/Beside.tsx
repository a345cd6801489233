import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useRef, useState } from 'react';
import { runs } from '../../lib/frames';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { MarkSign } from '../../parts/MarkSign';
import type { Movie } from '../../types/views';
import { rateOf } from '../../lib/timecode';
import { frameOf, pictureOf } from './place';
import { play, spread, type Played } from './played';

/** So many pictures are laid beside their frames. */
const SHOWN = 4;

const MOST_APART = 6;

/** So many are held against the frames, the first and the last among them. */
const HELD = 24;

/** Pictures that a range text names, counted from 0; the first of many. */
function apart(text: string): number[] {
    return runs(text)
        .flatMap(([first, last, step]) =>
            Array.from({ length: Math.floor((last - first) / step) + 1 }, (_, i) => first + i * step - 1),
        )
        .slice(0, MOST_APART);
}

function chosen(movie: Movie, frame: number | null): number[] {
    const own = frame === null ? null : pictureOf(movie, frame);
    const all = new Set([
        ...spread(movie.count ?? 0, SHOWN),
        ...apart(movie.against?.apart ?? ''),
        ...(own !== null && own < (movie.count ?? 0) ? [own] : []),
    ]);

    return [...all].sort((a, b) => a - b);
}

/** Pictures that this browser plays, as they come. */
function usePlayed(src: string | null, pictures: string, movie: Movie) {
    const [played, setPlayed] = useState<Record<number, Played>>({});
    const [fault, setFault] = useState<string | null>(null);
    const rate = rateOf(movie.rate);
    const [over, under] = [rate?.over ?? 0, rate?.under ?? 1];
    useEffect(() => {
        let stopped = false;
        if (src !== null && over > 0) {
            play(
                src,
                pictures.split(' ').map(Number),
                { over, under },
                (picture, one) => !stopped && setPlayed((before) => ({ ...before, [picture]: one })),
                () => stopped,
            ).catch((error: unknown) => !stopped && setFault(error instanceof Error ? error.message : String(error)));
        }

        return () => {
            stopped = true;
        };
    }, [src, pictures, over, under]);

    return { played, fault };
}

function Picture({ src, alt }: { src: string | null; alt: string }) {
    return src === null ? (
        <span className="block aspect-video w-[150px] border border-rule p-2 text-[13px] text-faint">
            <Trans>on its way</Trans>
        </span>
    ) : (
        <img src={src} alt={alt} loading="lazy" className="w-[150px] border border-rule bg-base-200" />
    );
}

interface Pair {
    picture: number;
    frame: number;
    src: string | null;
    differs: boolean;
}

function Pairs({ movie, check, pairs }: { movie: Movie; check: number; pairs: Pair[] }) {
    const source = movie.against?.part ?? '';

    return (
        <ul className="flex flex-wrap gap-4 px-6 pt-2">
            {pairs.map(({ picture, frame, src, differs }) => (
                <li key={picture} className="w-[150px]">
                    <Picture src={src} alt={t`Picture ${picture + 1} of ${movie.part}`} />
                    <Picture
                        src={to('check.picture', { check, part: source, frame })}
                        alt={t`Frame ${frame} of ${source}`}
                    />
                    <span className="mono block text-[13px]">
                        {differs && <MarkSign mark="unequal" label={t`another than it should be`} />}{' '}
                        {`${picture + 1} · ${frame}`}
                    </span>
                </li>
            ))}
        </ul>
    );
}

/** Has what this browser shows of the movie held against the frames, where it cannot be unpacked otherwise. */
function Held({ movie, check }: { movie: Movie; check: number }) {
    const { busy, fault, setFault, send } = useAction(t`Its pictures could not be sent. Try again.`);
    const [done, setDone] = useState<number | null>(null);
    const over = useRef(false);
    useEffect(
        () => () => {
            over.current = true;
        },
        [],
    );
    const rate = rateOf(movie.rate);
    const pictures = spread(movie.count ?? 0, HELD);
    const hold = async () => {
        const grids: Record<number, string> = {};
        over.current = false;
        setFault(null);
        setDone(0);
        try {
            if (rate !== null) {
                await play(
                    to('check.movie', { check, part: movie.part }),
                    pictures,
                    rate,
                    (picture, { grid }) => {
                        grids[picture] = grid;
                        setDone(Object.keys(grids).length);
                    },
                    () => over.current,
                );
            }
            send('post', to('check.shown', { check, part: movie.part }), { pictures: grids }, { names: ['pictures'] });
        } catch (error) {
            setFault(error instanceof Error ? error.message : String(error));
        } finally {
            setDone(null);
        }
    };

    return (
        <div className="px-6 pt-2 text-[13px]">
            <p>
                <button type="button" className="btn" disabled={busy || done !== null} onClick={() => void hold()}>
                    <Trans>Hold its pictures against {movie.against?.part}</Trans>
                </button>{' '}
                <span className="text-faint" role="status">
                    {done === null
                        ? t`This browser plays ${pictures.length} of them, and only their lightness is sent.`
                        : t`${done} of ${pictures.length} played`}
                </span>
            </p>
            <Fault says={fault} />
        </div>
    );
}

interface Of {
    movie: Movie;
    check: number;
    /** whether its pictures are unpacked by the server; else this browser plays them, where it can */
    drawn: boolean;
    /** one that was chosen on the strip */
    frame: number | null;
}

/** The pictures that are looked at, each above its frame. */
function Open({ movie, check, drawn, frame }: Of) {
    const pictures = chosen(movie, frame);
    const src = drawn ? null : to('check.movie', { check, part: movie.part });
    const { played, fault } = usePlayed(src, pictures.join(' '), movie);
    const others = new Set(apart(movie.against?.apart ?? ''));
    const pairs = pictures.map((picture) => ({
        picture,
        frame: frameOf(movie, picture),
        src: drawn ? to('check.movie.picture', { check, part: movie.part, picture }) : (played[picture]?.url ?? null),
        differs: others.has(picture),
    }));

    return (
        <>
            <Pairs movie={movie} check={check} pairs={pairs} />
            <Fault says={fault} className="px-6" />
        </>
    );
}

/** How many frames a range text names. */
const many = (text: string): number =>
    runs(text).reduce((sum, [first, last, step]) => sum + Math.floor((last - first) / step) + 1, 0);

const isToBeHeld = ({ against, count }: Movie, frames: number): boolean =>
    against?.looked !== 'pictures' && count === frames;

/** Pictures of a movie above the frames that they should be. */
export function Beside({ mayCheck, ...of }: Of & { mayCheck: boolean }) {
    const { movie, check, drawn, frame } = of;
    const [asked, setAsked] = useState(false);
    const [left, setLeft] = useState<number | null>(null);
    // whoever chooses a frame wants to see it
    const open = asked || frame !== left;
    const toggle = () => {
        setAsked(!open);
        setLeft(frame);
    };
    const { against } = movie;
    const frames = many(against?.frames ?? '');

    return against === undefined || frames === 0 ? null : (
        <section aria-label={t`${movie.part} beside ${against.part}`}>
            <p className="px-6 pt-2 text-[13px]">
                <button type="button" className="link" aria-expanded={open} onClick={toggle}>
                    <Trans>Its pictures above {against.part}</Trans>
                </button>
            </p>
            {open && <Open {...of} />}
            {!drawn && mayCheck && isToBeHeld(movie, frames) && <Held movie={movie} check={check} />}
        </section>
    );
}
