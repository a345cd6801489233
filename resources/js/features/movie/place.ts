import { runs } from '../../lib/frames';
import type { Movie } from '../../types/views';

/** A rate as two whole numbers. */
export interface Rate {
    over: number;
    under: number;
}

export function rateOf(text: string | null | undefined): Rate | null {
    const [over = 0, under = 1] = (text ?? '').split('/').map(Number);

    return over > 0 && under > 0 ? { over, under } : null;
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

const DROPS = /[;.]\d+$/;

const two = (number: number): string => String(number).padStart(2, '0');

/**
 * The time address of a picture (SMPTE ST 12-1): with drop-frame two numbers a minute, four at twice the rate, are left
 * out, but not in every tenth.
 */
export function timecodeOf(start: string, picture: number, rate: Rate): string | null {
    const parts = /^(\d+)[:;](\d+)[:;](\d+)[:;.](\d+)$/.exec(start);
    if (parts === null) {
        return null;
    }
    const base = Math.round(rate.over / rate.under);
    const [hours = 0, minutes = 0, seconds = 0, frames = 0] = parts.slice(1).map(Number);
    const drops = DROPS.test(start) ? Math.round(base / 15) : 0;
    const allMinutes = hours * 60 + minutes;
    const left = drops * (allMinutes - Math.floor(allMinutes / 10));
    let number = (allMinutes * 60 + seconds) * base + frames - left + picture;
    if (drops > 0) {
        const tenMinutes = base * 600 - 9 * drops;
        const rest = number % tenMinutes;
        number += 9 * drops * Math.floor(number / tenMinutes);
        number += rest < drops ? 0 : drops * Math.floor((rest - drops) / (base * 60 - drops));
    }
    const all = Math.floor(number / base);

    return (
        `${two(Math.floor(all / 3600) % 24)}:${two(Math.floor(all / 60) % 60)}:${two(all % 60)}` +
        `${drops > 0 ? ';' : ':'}${two(number % base)}`
    );
}
