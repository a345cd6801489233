import { router } from '@inertiajs/react';

/**
 * After a way to another page the focus goes to its heading, where it got lost: what was pressed is not there any more.
 * An action on the page leaves it where it was.
 */
export function focusHeadings(): void {
    let path = window.location.pathname;
    router.on('navigate', () => {
        const before = path;
        path = window.location.pathname;
        if (path === before || window.location.hash !== '') {
            return;
        }
        requestAnimationFrame(() => {
            const isLost = document.activeElement === null || document.activeElement === document.body;
            const heading = document.querySelector<HTMLElement>('main h1');
            if (isLost && heading !== null) {
                heading.tabIndex = -1;
                heading.focus({ preventScroll: true });
            }
        });
    });
}
