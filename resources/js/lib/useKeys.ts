import { useEffect, useRef } from 'react';

/** Whether somebody types into something, so that letters are letters. */
export function isTyping(target: EventTarget | null): boolean {
    return target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]');
}

/** Whether single keys do something. */
export function singleKeysOn(): boolean {
    return localStorage.getItem('shortcuts') !== 'off';
}

export function setSingleKeys(on: boolean): void {
    localStorage.setItem('shortcuts', on ? 'on' : 'off');
}

/** A single key, pressed outside of fields and without another one held. */
export function isSingleKey(event: KeyboardEvent): boolean {
    return !isTyping(event.target) && !event.ctrlKey && !event.metaKey && !event.altKey && singleKeysOn();
}

/** Listens to the keys of a whole page. */
export function useKeys(press: (event: KeyboardEvent) => void): void {
    const latest = useRef(press);
    useEffect(() => {
        latest.current = press;
    });

    useEffect(() => {
        const listen = (event: KeyboardEvent) => latest.current(event);
        document.addEventListener('keydown', listen);

        return () => document.removeEventListener('keydown', listen);
    }, []);
}
