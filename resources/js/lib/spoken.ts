import { t } from '@lingui/core/macro';
/** From the least to the most, in seconds; one time where they are the same. */
export function spokenSpan(least: number, most: number): string {
    return least === most ? spokenTime(most) : t`${spokenTime(least)} to ${spokenTime(most)}`;
}

/** Times as they are said: `7 h 12 min`, `4 min 30 s`, `12 s`. */
export function spokenTime(seconds: number): string {
    const whole = Math.round(seconds);
    const [hours, minutes, rest] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
    if (hours > 0) {
        return `${hours} h${minutes > 0 ? t` ${minutes} min` : ''}`;
    }

    return minutes > 0 ? t`${minutes} min${rest > 0 ? t` ${rest} s` : ''}` : `${rest} s`;
}
