import { useVirtualizer, useWindowVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useState, type RefObject } from 'react';

/** Fewer than so many are all drawn: nothing is won by leaving any out. */
const FEW = 60;

/** What a line takes before it is measured, in pixels. */
const USUAL = 47;

/** What has a scroll of its own: the sheet, or the index beside it. */
const SCROLLS = '.scroll';

/** Lines that are drawn beyond both ends of what is in sight. */
const BEYOND = 12;

export interface RowsInSight {
    /** which of them are drawn, by their places; null: all */
    places: number[] | null;
    /** room for those that are not drawn, in pixels */
    before: number;
    after: number;
    /** whether it is known which are in sight */
    isSettled: boolean;
    measure: (row: HTMLElement | null) => void;
    goTo: (place: number) => void;
}

/** Whether something is being printed: paper has no scroll. */
function usePrinting(): boolean {
    const [printing, setPrinting] = useState(false);
    useEffect(() => {
        const media = window.matchMedia('print');
        const follow = () => setPrinting(media.matches);
        const begin = () => setPrinting(true);
        const end = () => setPrinting(false);
        media.addEventListener('change', follow);
        window.addEventListener('beforeprint', begin);
        window.addEventListener('afterprint', end);

        return () => {
            media.removeEventListener('change', follow);
            window.removeEventListener('beforeprint', begin);
            window.removeEventListener('afterprint', end);
        };
    }, []);

    return printing;
}

/** What scrolls the lines, where they begin on it, and what a line takes. */
interface Ground {
    /** what they stand on where that has a scroll of its own; null: the page itself scrolls */
    sheet: HTMLElement | null;
    /** pixels above the first line */
    top: number;
    /** pixels of a line that was not measured yet: the mean of those that are drawn */
    usual: number;
}

const NOTHING: Ground = { sheet: null, top: 0, usual: USUAL };

const ROWS = ':scope > :not([aria-hidden])';

function groundOf(body: HTMLElement): Ground {
    const found = body.closest<HTMLElement>(SCROLLS);
    const sheet = found !== null && ['auto', 'scroll'].includes(getComputedStyle(found).overflowY) ? found : null;
    const above = body.getBoundingClientRect().top;
    const drawn = [...body.querySelectorAll(ROWS)].slice(0, FEW).map((row) => row.getBoundingClientRect().height);
    const height = drawn.reduce((sum, each) => sum + each, 0);

    return {
        sheet,
        top: sheet === null ? above + window.scrollY : above - sheet.getBoundingClientRect().top + sheet.scrollTop,
        usual: height > 0 ? height / drawn.length : USUAL,
    };
}

/** Found before anything is painted, and anew where lines come or go, or the screen becomes another. */
function useGround(count: number, body: RefObject<HTMLElement | null>): Ground | null {
    const [ground, setGround] = useState<Ground | null>(null);
    useLayoutEffect(() => {
        const look = () => {
            const next = body.current === null ? null : groundOf(body.current);
            setGround((known) =>
                known !== null && next !== null && known.sheet === next.sheet && known.top === next.top ? known : next,
            );
        };
        look();
        window.addEventListener('resize', look);

        return () => window.removeEventListener('resize', look);
    }, [body, count]);

    return ground;
}

function inSight<T extends HTMLElement | Window>(rows: Virtualizer<T, HTMLElement>, top: number): RowsInSight {
    const items = rows.getVirtualItems();
    const first = items[0]?.start ?? top;
    const last = items[items.length - 1]?.end ?? top;

    return {
        places: items.map((item) => item.index),
        before: first - top,
        after: Math.max(0, rows.getTotalSize() - (last - top)),
        isSettled: true,
        measure: rows.measureElement,
        goTo: (place) => rows.scrollToIndex(place),
    };
}

const drawn = (places: number[] | null): RowsInSight => ({
    places,
    before: 0,
    after: 0,
    isSettled: places === null,
    measure: () => undefined,
    goTo: () => undefined,
});

/** Of many lines those that are in sight, on what has a scroll of its own or on the page that scrolls as a whole. */
export function useRowsInSight(count: number, body: RefObject<HTMLElement | null>): RowsInSight {
    const printing = usePrinting();
    const ground = useGround(count, body);
    const { usual, top } = ground ?? NOTHING;
    const options = { estimateSize: () => usual, overscan: BEYOND, scrollMargin: top };
    const sheet = ground?.sheet ?? null;
    // eslint-disable-next-line react-hooks/incompatible-library -- what it gives is used here and nowhere kept
    const own = useVirtualizer<HTMLElement, HTMLElement>({
        ...options,
        count: sheet === null ? 0 : count,
        getScrollElement: () => sheet,
    });
    const page = useWindowVirtualizer<HTMLElement>({ ...options, count: sheet === null ? count : 0 });
    if (count <= FEW || printing) {
        return drawn(null);
    }
    if (ground === null) {
        return drawn(Array.from({ length: FEW }, (_, place) => place));
    }

    return sheet === null ? inSight(page, top) : inSight(own, top);
}
