/** A rate as two whole numbers. */
export interface Rate {
    over: number;
    under: number;
}

export function rateOf(text: string | null | undefined): Rate | null {
    const [over = 0, under = 1] = (text ?? '').split('/').map(Number);

    return over > 0 && under > 0 ? { over, under } : null;
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
