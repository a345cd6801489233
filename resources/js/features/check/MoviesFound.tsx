import { runs, type Run } from '../../lib/frames';
import { Breaking } from '../../parts/Breaking';
import type { Movie } from '../../types/views';
import { beside, sentences } from './movie';

const WIDTH = 700;

const HEIGHT = 34;

const WHOLE = 'color-mix(in oklab, var(--color-success) 45%, var(--color-base-100))';

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
        ? 'Every picture is a keyframe.'
        : `Upright lines are keyframes, up to ${movie.keyframe_interval_max ?? '?'} pictures apart.`;
    const between = (movie.b_frames_max ?? 0) > 0 ? ` Up to ${movie.b_frames_max} B-frames in a row.` : '';

    return keyframes + (uneven ? ` Red stands longer or shorter than the rest: ${movie.uneven}.` : '') + between;
}

/** The movie from its first picture to its last. */
function Timeline({ movie, count }: { movie: Movie; count: number }) {
    const keyframes = places(runs(movie.keyframes ?? ''));
    const uneven = runs(movie.uneven ?? '');
    const every = keyframes.length === count;
    const x = (picture: number) => ((picture - 1) / count) * WIDTH;

    return (
        <figure className="px-6 pt-1 pb-1">
            <svg
                viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                className="block w-full"
                aria-hidden="true"
                preserveAspectRatio="none"
                height={HEIGHT}
            >
                <rect x="0" y="10" width={WIDTH} height="14" fill={WHOLE} />
                {!every && <Keyframes at={keyframes} x={x} />}
                <Uneven runs={uneven} x={x} />
            </svg>
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
