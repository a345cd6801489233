import { runs } from '../../lib/frames';
import type { Rate } from '../../lib/timecode';
import type { Movie } from '../../types/views';

/** The picture that a frame is, counted from 0; null where it has no place in the movie. */
export function pictureOf(movie: Movie, frame: number): number | null {
    let before = 0;
    for (const [first, last, step] of runs(movie.against?.frames ?? '')) {
        if (frame >= first && frame <= last && (frame - first) % step === 0) {
            return before + (frame - first) / step;
        }
        before += Math.floor((last - first) / step) + 1;
    }

    return null;
}

const PLAYED = ['mp4', 'mov', 'webm', 'mkv'];

/** Whether browsers play files of its kind, if they know its codec. */
export const isPlayed = ({ kind }: Movie): boolean => PLAYED.includes(kind);

/** The picture that is shown at a time, counted from 0; times that lie on its edge belong to it. */
export const pictureAt = (seconds: number, { over, under }: Rate): number =>
    Math.max(0, Math.floor((seconds * over) / under + 0.001));

/** A time within a picture, far from both its edges. */
export const timeOf = (picture: number, { over, under }: Rate): number => ((picture + 0.5) * under) / over;

/** What its frame is called: of those that it was made from, else counted from 1. */
export function frameOf(movie: Movie, picture: number): number {
    const set = runs(movie.against?.frames ?? '');
    let left = picture;
    for (const [first, last, step] of set) {
        const many = Math.floor((last - first) / step) + 1;
        if (left < many) {
            return first + left * step;
        }
        left -= many;
    }

    return picture + 1;
}
