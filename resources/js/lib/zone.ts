import { router } from '@inertiajs/react';

/** Tells the server which clock this browser's reader looks at; times on pages are written by it. */
export function tellZone(): void {
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const told = document.cookie.split('; ').find((each) => each.startsWith('zone='));
    if (told !== `zone=${encodeURIComponent(zone)}`) {
        const secure = window.location.protocol === 'https:' ? '; Secure' : '';
        document.cookie = `zone=${encodeURIComponent(zone)}; Path=/; Max-Age=31536000; SameSite=Lax${secure}`;
        // without a word the server writes UTC
        if (told !== undefined || !['UTC', 'Etc/UTC'].includes(zone)) {
            router.reload();
        }
    }
}
