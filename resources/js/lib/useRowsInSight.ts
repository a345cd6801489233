import { useVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { useEffect, useState, type RefObject } from 'react';

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

function inSight(rows: Virtualizer<HTMLElement, HTMLElement>, top: number): RowsInSight {
    const items = rows.getVirtualItems();
    const first = items[0]?.start ?? top;
    const last = items[items.length - 1]?.end ?? top;

    return {
        places: items.map((item) => item.index),
        before: first - top,
        after: Math.max(0, rows.getTotalSize() - (last - top)),
        measure: rows.measureElement,
        goTo: (place) => rows.scrollToIndex(place),
    };
}

/** Of many lines those that are in sight, where what they stand on has a scroll of its own. */
export function useRowsInSight(count: number, body: RefObject<HTMLElement | null>): RowsInSight {
    const printing = usePrinting();
    const [sheet, setSheet] = useState<HTMLElement | null>(null);
    const [top, setTop] = useState(0);
    useEffect(() => {
        const found = body.current?.closest<HTMLElement>(SCROLLS) ?? null;
        const scrolls = found !== null && ['auto', 'scroll'].includes(getComputedStyle(found).overflowY);
        setSheet(scrolls ? found : null);
        if (found !== null && body.current !== null) {
            const above = body.current.getBoundingClientRect().top - found.getBoundingClientRect().top;
            setTop(above + found.scrollTop);
        }
    }, [body, count]);
    // eslint-disable-next-line react-hooks/incompatible-library -- what it gives is used here and nowhere kept
    const rows = useVirtualizer<HTMLElement, HTMLElement>({
        count,
        getScrollElement: () => sheet,
        estimateSize: () => USUAL,
        overscan: BEYOND,
        scrollMargin: top,
    });
    const isWhole = count <= FEW || sheet === null || printing;

    return isWhole
        ? { places: null, before: 0, after: 0, measure: () => undefined, goTo: () => undefined }
        : inSight(rows, top);
}
