import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { to } from '../../lib/route';
import { SphereView } from '../../parts/SphereView';
import type { Movie } from '../../types/views';
import { rateOf, timecodeOf, type Rate } from '../../lib/timecode';
import { frameOf, isPlayed, pictureAt, timeOf } from './place';

/** Which picture is shown just now, as the browser itself tells. */
function usePicture(video: React.RefObject<HTMLVideoElement | null>, rate: Rate): number {
    const [picture, setPicture] = useState(0);
    useEffect(() => {
        const element = video.current;
        let stopped = false;
        const told: VideoFrameRequestCallback = (_, { mediaTime }) => {
            if (!stopped) {
                setPicture(pictureAt(mediaTime, rate));
                element?.requestVideoFrameCallback(told);
            }
        };
        element?.requestVideoFrameCallback(told);

        return () => {
            stopped = true;
        };
    }, [video, rate]);

    return picture;
}

function Where({ movie, picture, rate }: { movie: Movie; picture: number; rate: Rate }) {
    const timecode = movie.start_timecode ? timecodeOf(movie.start_timecode, picture, rate) : null;

    return (
        <span className="mono text-[13px]" aria-live="off">
            <Trans>
                frame {frameOf(movie, picture)}, picture {picture + 1}
                {movie.count ? t` of ${movie.count}` : ''}
                {timecode !== null && `, ${timecode}`}
            </Trans>
        </span>
    );
}

/** Whether it may be a view all around: it says so, or is twice as wide as high. */
const isSphere = ({ projection, width, height }: Movie): boolean =>
    (projection ?? '').startsWith('lat-long') || (height !== null && height !== undefined && width === 2 * height);

/** The movie played at its own rate, and gone through picture by picture. */
function Playable({ movie, check, rate }: { movie: Movie; check: number; rate: Rate }) {
    const video = useRef<HTMLVideoElement>(null);
    const [state, setState] = useState<'paused' | 'playing' | 'not'>('paused');
    const [loops, setLoops] = useState(false);
    const [around, setAround] = useState(false);
    const [shown, setShown] = useState<HTMLVideoElement | null>(null);
    const picture = usePicture(video, rate);
    const go = (wanted: number) => {
        const last = Math.max(0, (movie.count ?? wanted + 1) - 1);
        video.current?.pause();
        if (video.current !== null) {
            video.current.currentTime = timeOf(Math.min(last, Math.max(0, wanted)), rate);
        }
    };
    const toggle = () => void (state === 'playing' ? video.current?.pause() : video.current?.play());
    const keys = (event: KeyboardEvent) => {
        const steps: Record<string, number> = { ArrowLeft: picture - 1, ArrowRight: picture + 1, Home: 0 };
        const wanted = event.key === 'End' ? (movie.count ?? 1) - 1 : steps[event.key];
        if (wanted !== undefined) {
            event.preventDefault();
            go(wanted);
        }
    };
    if (state === 'not') {
        return (
            <p className="px-6 pt-1 text-[13px] text-faint">
                <Trans>This browser does not play it{movie.codec ? ` (${movie.codec})` : ''}.</Trans>
            </p>
        );
    }

    return (
        <div className="px-6 pt-2" role="group" aria-label={t`Player of ${movie.part}`} onKeyDown={keys}>
            <video
                ref={video}
                src={to('check.movie', { check, part: movie.part })}
                className="max-h-[360px] max-w-full border border-rule bg-black"
                preload="metadata"
                playsInline
                muted
                loop={loops}
                onLoadedData={(event) => setShown(event.currentTarget)}
                onPlay={() => setState('playing')}
                onPause={() => setState('paused')}
                onError={() => setState('not')}
            />
            <p className="flex flex-wrap items-center gap-2 py-1">
                <button type="button" className="btn" onClick={() => go(picture - 1)}>
                    <Trans>Picture before</Trans>
                </button>
                <button type="button" className="btn" onClick={toggle}>
                    {state === 'playing' ? t`Pause` : t`Play`}
                </button>
                <button type="button" className="btn" onClick={() => go(picture + 1)}>
                    <Trans>Next picture</Trans>
                </button>
                <label className="flex items-center gap-1.5 text-[13px]">
                    <input
                        type="checkbox"
                        className="checkbox"
                        checked={loops}
                        onChange={(event) => setLoops(event.target.checked)}
                    />
                    <Trans>over and over</Trans>
                </label>
                {isSphere(movie) && (
                    <label className="flex items-center gap-1.5 text-[13px]">
                        <input
                            type="checkbox"
                            className="checkbox"
                            checked={around}
                            onChange={(event) => setAround(event.target.checked)}
                        />
                        <Trans>all around</Trans>
                    </label>
                )}
                <Where movie={movie} picture={picture} rate={rate} />
            </p>
            {around && <SphereView source={shown} moment={picture} name={t`Picture ${picture + 1}`} />}
        </div>
    );
}

export function Player({ movie, check }: { movie: Movie; check: number }) {
    const rate = rateOf(movie.rate);

    return rate === null || !isPlayed(movie) ? (
        <p className="px-6 pt-1 text-[13px] text-faint">
            <Trans>{movie.kind.toUpperCase()} files are not played by browsers.</Trans>
        </p>
    ) : (
        <Playable movie={movie} check={check} rate={rate} />
    );
}
