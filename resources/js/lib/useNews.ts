import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import type { News } from '../types/views';
import { ask } from './ask';
import { to } from './route';
import { refreshIndex } from './useIndex';
import { usePolling } from './usePolling';

/** Milliseconds between two looks: while something is under way, and while nothing is. */
const SOON = 4_000;

const LATER = 25_000;

/** What a check that ends changes, on whichever page. */
const LISTS = ['book', 'board', 'needs', 'own', 'productions', 'ledger', 'past', 'running', 'finished', 'broken'];

/** What is known already: it outlasts the page, so that nothing is missed on the way to another. */
const known = { newest: 0, fresh: 0, underWay: new Set<number>() };

export interface Told {
    unread: number;
    /** deliverables that are being checked */
    underWay: ReadonlySet<number>;
    /** the newest sentence, to be said once */
    says: string;
}

/** A word of the browser itself, where it may and nobody looks at the page. */
function notify(says: string): void {
    if ('Notification' in window && Notification.permission === 'granted' && document.hidden) {
        new Notification(t`Plain Ledger`, { body: says, tag: says });
    }
}

/** What is new, also while the page stands open: it is said, and lists are read anew, and the focus stays. */
export function useNews(isSignedIn: boolean, unreadAtFirst: number): Told {
    const [told, setTold] = useState<Told>({ unread: unreadAtFirst, underWay: known.underWay, says: '' });

    const look = async (stop: AbortSignal): Promise<number> => {
        try {
            const news = await ask<News>(`${to('news')}?after=${known.newest}`, stop);
            known.newest = Math.max(known.newest, news.newest);
            const underWay = new Set(news.underWay);
            const says = news.since.map((each) => each.says).join('. ');
            const [first] = news.since;
            if (first !== undefined) {
                known.fresh += news.since.length;
                notify(first.says);
            }
            setTold((was) => ({ unread: news.unread, underWay, says: says === '' ? was.says : says }));
            if ([...known.underWay].some((id) => !underWay.has(id))) {
                // what was told or refused meanwhile stays
                router.reload({ only: LISTS, preserveErrors: true });
                refreshIndex();
            }
            known.underWay = underWay;

            return underWay.size > 0 ? SOON : LATER;
        } catch {
            return LATER;
        }
    };
    usePolling(look, isSignedIn ? 1_500 : null);
    useTitle(told);

    return told;
}

/** So many new ones stand before the title until somebody looks. */
function useTitle(told: Told): void {
    useEffect(() => {
        const show = () => {
            const bare = document.title.replace(/^\(\d+\) /, '');
            if (!document.hidden) {
                known.fresh = 0;
            }
            document.title = known.fresh > 0 ? `(${known.fresh}) ${bare}` : bare;
        };
        show();
        document.addEventListener('visibilitychange', show);

        return () => document.removeEventListener('visibilitychange', show);
    }, [told]);
}
