/** Questions of a worker to the server. */
import type { Why } from './words';

/** How often a question that went wrong on its way is asked again, and after how many milliseconds. */
const TRIES = 8;
export const PAUSE = 1000;

export class Refused extends Error {
    constructor(
        readonly why: Why,
        says = '',
    ) {
        super(says);
    }
}

/** By which the server knows that a question comes from its own pages, and what is done while it does not answer. */
export interface Asking {
    token: string;
    onWaiting: () => void;
}

type Init = Omit<RequestInit, 'headers'> & { headers?: Record<string, string> };

async function answerOf(response: Response): Promise<unknown> {
    const data: unknown = await response.json().catch(() => null);
    if (response.ok) {
        return data;
    }
    const says = typeof data === 'object' && data !== null && 'message' in data ? String(data.message) : '';
    throw new Refused(says === '' ? 'unexpected' : 'server', says);
}

export const pause = (milliseconds: number) => new Promise((done) => setTimeout(done, milliseconds));

/** A connection that breaks is tried again; what the server refuses is not. */
export async function ask<T>({ token, onWaiting }: Asking, url: string, init: Init, tries = TRIES): Promise<T> {
    for (let tried = 1; ; tried++) {
        try {
            const headers = { Accept: 'application/json', 'X-XSRF-TOKEN': token, ...init.headers };

            return (await answerOf(await fetch(url, { ...init, headers }))) as T;
        } catch (trouble) {
            if (trouble instanceof Refused || tried >= tries) {
                throw trouble;
            }
            onWaiting();
            await pause(PAUSE * tried);
        }
    }
}

export const post = <T>(asking: Asking, url: string, data: unknown) =>
    ask<T>(asking, url, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(data),
    });
