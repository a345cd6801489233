import { t } from '@lingui/core/macro';
import { runs, type Run } from '../../lib/frames';
import { rateOf, timecodeOf } from '../../lib/timecode';
import { Breaking } from '../../parts/Breaking';
import type { Movie } from '../../types/views';
import { beside, sentences } from './movie';

const WIDTH = 700;

const HEIGHT = 34;

const WHOLE = 'color-mix(in oklab, var(--color-success) 45%, var(--color-base-100))';

const SOUND = 'color-mix(in oklab, var(--color-info) 60%, var(--color-base-100))';

/** More tracks of sound are not drawn. */
const MOST_TRACKS = 4;

/** More marks than these are one shade. */
const MOST_MARKS = 400;

function places(set: Run[]): number[] {
    const all: number[] = [];
    for (const [first, last, step] of set) {
        for (let at = first; at <= last && all.length <= MOST_MARKS; at += step) {
            all.push(at);
        }
    }

    return all;
}

/** Upright lines; none where every picture is one, or they are too many to be told apart. */
function Keyframes({ at, x }: { at: number[]; x: (picture: number) => number }) {
    return at.length > MOST_MARKS
        ? null
        : at.map((picture) => (
              <rect key={picture} x={x(picture)} y="4" width="1.5" height="26" fill="var(--color-base-content)" />
          ));
}

/** What stands for another time than the rest. */
function Uneven({ runs: uneven, x }: { runs: Run[]; x: (picture: number) => number }) {
    return uneven.map(([first, last]) => (
        <rect
            key={first}
            x={x(first)}
            y="10"
            width={Math.max(3, x(last + 1) - x(first))}
            height="14"
            fill="var(--color-error)"
        />
    ));
}

/** What the drawing shows, in words. */
function legend(movie: Movie, every: boolean, uneven: boolean): string {
    const keyframes = every
        ? t`Every picture is a keyframe.`
        : t`Upright lines are keyframes, up to ${movie.keyframe_interval_max ?? '?'} pictures apart.`;
    const most = movie.b_frames_max ?? 0;
    const between = most > 0 ? t` Up to ${most} B-frames in a row.` : '';
    const sounds = (movie.audio?.length ?? 0) > 0 ? t` The blue below is sound.` : '';

    const odd = String(movie.uneven);
    const reds = uneven ? t` Red stands longer or shorter than the rest: ${odd}.` : '';

    return keyframes + sounds + reds + between;
}

/** Below the pictures its sound, a line a track. */
function Sounds({ tracks }: { tracks: number }) {
    return Array.from({ length: Math.min(tracks, MOST_TRACKS) }, (_, i) => (
        <rect key={i} x="0" y={HEIGHT + 6 * i} width={WIDTH} height="4" fill={SOUND} />
    ));
}

/** The addresses of its first picture and its last, where it has any. */
function Addresses({ movie, count }: { movie: Movie; count: number }) {
    const rate = rateOf(movie.rate);
    const start = movie.start_timecode;

    return !start || rate === null ? null : (
        <p className="mono flex justify-between text-[12.5px] text-faint">
            <span>{start}</span>
            <span>{timecodeOf(start, count - 1, rate)}</span>
        </p>
    );
}

/** The movie from its first picture to its last. */
function Timeline({ movie, count }: { movie: Movie; count: number }) {
    const keyframes = places(runs(movie.keyframes ?? ''));
    const uneven = runs(movie.uneven ?? '');
    const every = keyframes.length === count;
    const x = (picture: number) => ((picture - 1) / count) * WIDTH;
    const tracks = Math.min(movie.audio?.length ?? 0, MOST_TRACKS);
    const height = HEIGHT + 6 * tracks;

    return (
        <figure className="px-6 pt-1 pb-1">
            <svg
                viewBox={`0 0 ${WIDTH} ${height}`}
                className="block w-full"
                aria-hidden="true"
                preserveAspectRatio="none"
                height={height}
            >
                <rect x="0" y="10" width={WIDTH} height="14" fill={WHOLE} />
                {!every && <Keyframes at={keyframes} x={x} />}
                <Uneven runs={uneven} x={x} />
                <Sounds tracks={tracks} />
            </svg>
            <Addresses movie={movie} count={count} />
            <figcaption className="text-[13px] text-faint">{legend(movie, every, uneven.length > 0)}</figcaption>
        </figure>
    );
}

function MovieFound({ movie }: { movie: Movie }) {
    const said = sentences(movie);
    const seen = beside(movie);

    return (
        <section className="pt-2">
            <h2 className="aside px-6">{movie.part}</h2>
            <p className="mono px-6 text-[13px]">
                <Breaking text={movie.path} />
            </p>
            {said.length > 0 && <p className="px-6 pt-1 font-serif text-[15px]">{said.join(' ')}</p>}
            {(movie.count ?? 0) > 0 && <Timeline movie={movie} count={movie.count ?? 0} />}
            {seen !== '' && <p className="px-6 pb-1 text-[13px]">{seen}</p>}
            {movie.damage && <p className="px-6 text-red">{movie.damage}</p>}
        </section>
    );
}

/** The movies of a delivery, each in its own words. */
export function MoviesFound({ movies }: { movies: Movie[] }) {
    return movies.map((movie) => <MovieFound key={`${movie.part} ${movie.path}`} movie={movie} />);
}
