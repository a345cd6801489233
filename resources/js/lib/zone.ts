import { router } from '@inertiajs/react';

/**
 * Tells the server which clock this browser's reader looks at; times on pages are written by it. To be called before
 * the first page is drawn: it is asked for anew once it stands, since only then it can be.
 */
export function tellZone(): void {
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const told = document.cookie.split('; ').find((each) => each.startsWith('zone='));
    if (told !== `zone=${encodeURIComponent(zone)}`) {
        const secure = window.location.protocol === 'https:' ? '; Secure' : '';
        document.cookie = `zone=${encodeURIComponent(zone)}; Path=/; Max-Age=31536000; SameSite=Lax${secure}`;
        // without a word the server writes UTC
        if (told !== undefined || !['UTC', 'Etc/UTC'].includes(zone)) {
            const stop = router.on('navigate', () => {
                stop();
                router.reload();
            });
        }
    }
}

/** A moment as a field for a time takes it, by this browser's clock: $stamp are seconds since 1970. */
export function typedTime(stamp: number): string {
    const at = new Date(stamp * 1000);

    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}
