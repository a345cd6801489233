import { t } from '@lingui/core/macro';
import type { Rate } from '../../lib/timecode';
import { pictureAt, timeOf } from './place';

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

const TRIES = 5;

/** Waits until a film element has come to something; an error where it does not. */
function once(video: HTMLVideoElement, event: 'loadeddata' | 'seeked', begin: () => void): Promise<void> {
    return new Promise((resolve, reject) => {
        const over = setTimeout(() => reject(new Error(t`This browser does not come to its pictures.`)), PATIENCE);
        const end = (then: () => void) => () => {
            clearTimeout(over);
            then();
        };
        video.addEventListener(event, end(resolve), { once: true });
        video.addEventListener(
            'error',
            end(() => reject(new Error(t`This browser does not play it.`))),
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
        throw new Error(t`This browser does not show its pictures.`);
    }
    whole.drawImage(video, 0, 0);
    const grid = gridOf(whole.getImageData(0, 0, canvas.width, canvas.height));
    const small = document.createElement('canvas');
    const scale = Math.min(1, SMALL / Math.max(canvas.width, canvas.height));
    [small.width, small.height] = [Math.max(1, canvas.width * scale), Math.max(1, canvas.height * scale)];
    small.getContext('2d')?.drawImage(canvas, 0, 0, small.width, small.height);

    return { url: small.toDataURL('image/png'), grid };
}

/** When the next picture that is shown stands in the movie, in seconds; null where nothing new is shown for a while. */
function shown(video: HTMLVideoElement): Promise<number | null> {
    return new Promise((resolve) => {
        const over = setTimeout(() => resolve(null), 1_000);
        video.requestVideoFrameCallback((_, { mediaTime }) => {
            clearTimeout(over);
            resolve(mediaTime);
        });
    });
}

/** Goes to a picture, and comes back once that very one is shown: a busy browser shows the one before for a while. */
async function goTo(video: HTMLVideoElement, picture: number, rate: Rate): Promise<void> {
    for (let tries = 0; tries < TRIES; tries += 1) {
        const next = shown(video);
        await once(video, 'seeked', () => {
            // another moment of the same picture each time, so that it is shown anew
            video.currentTime = timeOf(picture, rate) + (tries * rate.under) / (20 * rate.over);
        });
        const seconds = await next;
        if (seconds === null || pictureAt(seconds, rate) === picture) {
            return;
        }
    }
    throw new Error(t`This browser does not come to the pictures that are asked for.`);
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
    // only what stands in the page is shown for certain
    video.setAttribute('aria-hidden', 'true');
    video.className = 'pointer-events-none fixed right-0 bottom-0 h-px w-px opacity-0';
    document.body.append(video);
    try {
        await once(video, 'loadeddata', () => {
            video.src = src;
        });
        for (const picture of pictures) {
            if (isOver()) {
                break;
            }
            await goTo(video, picture, rate);
            told(picture, drawn(video));
        }
    } finally {
        video.removeAttribute('src');
        video.load();
        video.remove();
    }
}
