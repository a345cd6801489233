import { t } from '@lingui/core/macro';
/** Small questions to the server that change no page. */

/** By which the server knows that a question comes from its own pages. */
export function xsrfToken(): string {
    const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);

    return found?.[1] === undefined ? '' : decodeURIComponent(found[1]);
}

/** What was answered, or the sentence that says why not. */
export async function answer<T>(response: Response): Promise<T> {
    const body: unknown = await response.json().catch(() => null);
    if (!response.ok) {
        const message = typeof body === 'object' && body !== null && 'message' in body ? String(body.message) : '';
        throw new Error(
            message !== '' ? message : t`The server did not answer as expected (${response.status}). Try again.`,
        );
    }

    return body as T;
}

export async function ask<T>(url: string, signal?: AbortSignal): Promise<T> {
    return answer<T>(await fetch(url, { headers: { Accept: 'application/json' }, signal: signal ?? null }));
}

export async function tell<T>(url: string, data: unknown, signal?: AbortSignal): Promise<T> {
    return answer<T>(
        await fetch(url, {
            method: 'POST',
            headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': xsrfToken() },
            body: JSON.stringify(data),
            signal: signal ?? null,
        }),
    );
}

/** The same with a file among the fields. */
export async function tellForm<T>(
    url: string,
    data: Record<string, string | Blob | null>,
    signal?: AbortSignal,
): Promise<T> {
    const form = new FormData();
    for (const [key, value] of Object.entries(data)) {
        if (value !== null) {
            form.append(key, value);
        }
    }

    return answer<T>(
        await fetch(url, {
            method: 'POST',
            headers: { Accept: 'application/json', 'X-XSRF-TOKEN': xsrfToken() },
            body: form,
            signal: signal ?? null,
        }),
    );
}

/** Several files under one name. */
export async function tellFiles<T>(url: string, name: string, files: File[]): Promise<T> {
    const form = new FormData();
    for (const file of files) {
        form.append(`${name}[]`, file);
    }

    return answer<T>(
        await fetch(url, {
            method: 'POST',
            headers: { Accept: 'application/json', 'X-XSRF-TOKEN': xsrfToken() },
            body: form,
        }),
    );
}
