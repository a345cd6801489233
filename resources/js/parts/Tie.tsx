import { useLayoutEffect, useRef } from 'react';

/** Where the hairline runs: from the end of each line that is in sight to the note. */
function route(note: number): string {
    const target = document.getElementById(`note-${note}`);
    const sheet = document.querySelector('[data-region="sheet"]')?.getBoundingClientRect();
    const margin = document.querySelector('[data-region="margin"]')?.getBoundingClientRect();
    if (target === null || sheet === undefined || margin === undefined) {
        return '';
    }
    const y = Math.max(margin.top + 8, Math.min(margin.bottom - 8, target.getBoundingClientRect().top + 18));

    return (
        [...document.querySelectorAll<HTMLElement>('tr[data-notes]')]
            .filter((row) => (row.dataset.notes ?? '').split(' ').includes(String(note)))
            .map((row) => row.getBoundingClientRect())
            .map((box) => box.top + Math.min(14, box.height / 2))
            .filter((from) => from > sheet.top && from < sheet.bottom)
            // eslint-disable-next-line lingui/no-unlocalized-strings -- a drawing
            .map((from) => `M${sheet.right - 22} ${from}H${sheet.right - 6}V${y}H${margin.left + 14}`)
            .join('')
    );
}

/** The hairline between a note and the lines it speaks of, while either has the pointer or the focus. */
export function Tie({ note }: { note: number | null }) {
    const path = useRef<SVGPathElement>(null);

    useLayoutEffect(() => {
        path.current?.setAttribute('d', note === null ? '' : route(note));
    }, [note]);

    return (
        <svg className="pointer-events-none fixed inset-0 z-20 h-full w-full" aria-hidden="true">
            <path ref={path} fill="none" stroke="var(--color-error)" strokeWidth="1" />
        </svg>
    );
}
