import type { Rate } from '../../lib/timecode';
import { timeOf } from './place';

/** The points at which the lightness of a picture is taken: the middle of each cell of a grid. */
const ACROSS = 48;
const DOWN = 27;

const SMALL = 320;

/** A picture as the browser shows it: to be seen, and by its lightness at the points of the grid. */
export interface Played {
    url: string;
    grid: string;
}

/** Of eight bits each (ITU-R BT.601, 2.5.1). */
const light = (red: number, green: number, blue: number): number => (77 * red + 150 * green + 29 * blue + 128) >> 8;

/** In base 64, a byte a point. */
export function gridOf({ data, width, height }: ImageData): string {
    let bytes = '';
    for (let y = 0; y < DOWN; y += 1) {
        for (let x = 0; x < ACROSS; x += 1) {
            const left = Math.floor(((2 * x + 1) * width) / (2 * ACROSS));
            const top = Math.floor(((2 * y + 1) * height) / (2 * DOWN));
            const at = 4 * (top * width + left);
            bytes += String.fromCharCode(light(data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0));
        }
    }

    return btoa(bytes);
}

/** So many pictures, the first and the last among them, evenly over all. */
export function spread(count: number, many: number): number[] {
    const chosen = Math.min(count, many);

    return Array.from({ length: chosen }, (_, i) => (chosen === 1 ? 0 : Math.floor((i * (count - 1)) / (chosen - 1))));
}

const PATIENCE = 15_000;

/** Waits until a film element has come to something; an error where it does not. */
function once(video: HTMLVideoElement, event: 'loadeddata' | 'seeked', begin: () => void): Promise<void> {
    return new Promise((resolve, reject) => {
        const over = setTimeout(() => reject(new Error('This browser does not come to its pictures.')), PATIENCE);
        const end = (then: () => void) => () => {
            clearTimeout(over);
            then();
        };
        video.addEventListener(event, end(resolve), { once: true });
        video.addEventListener(
            'error',
            end(() => reject(new Error('This browser does not play it.'))),
            { once: true },
        );
        begin();
    });
}

function drawn(video: HTMLVideoElement): Played {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [video.videoWidth, video.videoHeight];
    const whole = canvas.getContext('2d', { willReadFrequently: true });
    if (whole === null || canvas.width === 0) {
        throw new Error('This browser does not show its pictures.');
    }
    whole.drawImage(video, 0, 0);
    const grid = gridOf(whole.getImageData(0, 0, canvas.width, canvas.height));
    const small = document.createElement('canvas');
    const scale = Math.min(1, SMALL / Math.max(canvas.width, canvas.height));
    [small.width, small.height] = [Math.max(1, canvas.width * scale), Math.max(1, canvas.height * scale)];
    small.getContext('2d')?.drawImage(canvas, 0, 0, small.width, small.height);

    return { url: small.toDataURL('image/png'), grid };
}

/** Pictures of a movie, played by this browser one by one; each is told as it comes. */
export async function play(
    src: string,
    pictures: number[],
    rate: Rate,
    told: (picture: number, played: Played) => void,
    isOver: () => boolean,
): Promise<void> {
    const video = document.createElement('video');
    video.muted = true;
    video.preload = 'auto';
    await once(video, 'loadeddata', () => {
        video.src = src;
    });
    for (const picture of pictures) {
        if (isOver()) {
            break;
        }
        await once(video, 'seeked', () => {
            video.currentTime = timeOf(picture, rate);
        });
        told(picture, drawn(video));
    }
    video.removeAttribute('src');
    video.load();
}
