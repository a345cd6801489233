import { t } from '@lingui/core/macro';
import { counted } from '../../lib/frames';
import type { Movie } from '../../types/views';

const KINDS: Record<string, string> = { mkv: t`Matroska`, webm: 'WebM' };

/** `23.976` of `24000/1001`, for display only. */
export function spokenRate(rate: string): string {
    const [over = '0', under = '1'] = rate.split('/');
    const value = Number(over) / Number(under);

    return Number.isInteger(value) ? String(value) : String(Number(value.toFixed(3)));
}

/** Seconds of a fraction, to a hundredth. */
export function spokenLength(duration: string): string {
    const [over = '0', under = '1'] = duration.split('/');
    const seconds = Number(over) / Number(under);

    const told = String(Number(seconds.toFixed(2)));

    return seconds === 1 ? t`${told} second` : t`${told} seconds`;
}

function length({ count, rate, duration }: Movie): string {
    if (count === null || count === undefined) {
        return '';
    }
    const each = rate === null || rate === undefined ? '' : t` at ${spokenRate(rate)} a second`;
    const lasts = duration === null || duration === undefined ? '' : `: ${spokenLength(duration)}`;

    return `${counted(count, t`picture`, t`pictures`)}${each}${lasts}.`;
}

const turned = (rotation = 0): string => (rotation === 0 ? '' : t`shown turned by ${rotation} degrees`);

function picture(movie: Movie): string {
    const { width, height, codec, profile, bit_depth: bits } = movie;
    const said = [
        width && height ? `${width} × ${height}` : '',
        [codec, profile].filter(Boolean).join(' '),
        bits ? t`${bits} bits` : '',
        movie.chroma ?? '',
        movie.alpha === true ? t`with alpha` : '',
        movie.scan ?? '',
        turned(movie.rotation),
    ].filter((one) => one !== '');

    return said.length === 0 ? '' : t`${said.join(', ')}, in ${KINDS[movie.kind] ?? movie.kind.toUpperCase()}.`;
}

function sound({ audio }: Movie): string {
    const [first] = audio ?? [];
    if (first === undefined) {
        return t`No sound.`;
    }
    const said = [
        first.codec,
        first.sample_rate === null ? '' : t`${first.sample_rate.toLocaleString('en')} Hz`,
        first.channels === null ? '' : counted(first.channels, t`channel`, t`channels`),
        first.bit_depth === null ? '' : t`${first.bit_depth} bits`,
    ].filter((one) => one !== '');

    return t`Sound: ${said.join(', ')}.`;
}

/** What a movie is, in a few sentences; empty where it was only recognised. */
export function sentences(movie: Movie): string[] {
    if (movie.count === undefined) {
        return [];
    }
    const starts = movie.start_timecode ? t`It begins at ${movie.start_timecode}.` : '';

    return [length(movie), picture(movie), sound(movie), starts].filter((one) => one !== '');
}

const ORDERS: Record<string, string> = {
    reversed: t`from the last to the first`,
    mixed: t`not in the order of their numbers`,
    others: t`as other pictures`,
};

const throughWhat = ({ through }: NonNullable<Movie['against']>): string =>
    through === 'browser' ? t` through a browser` : '';

/** What was rendered after the movie was made, which it then cannot show. */
function rendered({ part, frames, newer }: NonNullable<Movie['against']>): string {
    if (newer === undefined || newer === '') {
        return '';
    }

    return newer === frames
        ? t` All of ${part} are newer than it: was it made from them?`
        : t` ${newer} of ${part} are newer than it: were they rendered again since?`;
}

/** What was seen of the frames it is made from. */
export function beside({ against }: Movie): string {
    if (against === undefined) {
        return '';
    }
    const { part, looked, why_not: why, order, repeated, shows } = against;
    if (looked !== 'pictures') {
        return t`Held against ${part} by count, shape and rate${why === null ? '' : `: ${why}`}.${rendered(against)}`;
    }
    const often = Number(repeated);
    const times = often > 1 ? t`each ${often} times` : t`each once`;
    const shown =
        order === 'right' ? t`in their order, ${times}` : (ORDERS[order ?? ''] ?? t`in no order that is known`);
    const which = shows ? ` ${shows}` : '';

    return t`Its pictures were looked at${throughWhat(against)}. They are ${part}${which}, ${shown}.`;
}
