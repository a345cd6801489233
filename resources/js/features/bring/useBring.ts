import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { type Dropped } from '../../lib/dropped';
import { sentence } from '../../lib/trouble';
import { look } from './look';
import { lots, type Lot } from './lots';
import { MOST_THINGS, things } from './things';

interface State {
    found: Lot[];
    /** how far it is; null: nothing is under way */
    busy: string | null;
    fault: string | null;
    /** things that were passed over, being too many */
    over: number;
}

/** What was dropped, and what it is. */
export function useBring(production: number) {
    const [state, setState] = useState<State>({ found: [], busy: null, fault: null, over: 0 });
    const read = async (dropped: Dropped[]) => {
        if (dropped.length === 0) {
            return;
        }
        const all = things(dropped);
        const some = all.slice(0, MOST_THINGS);
        const say = (done: number) =>
            setState((was) => ({ ...was, busy: t`${done} of ${some.length} looked at.`, fault: null }));
        say(0);
        try {
            const found = await look(production, some, say);
            setState({ found: lots(some, found), busy: null, fault: null, over: all.length - some.length });
        } catch (trouble) {
            setState({ found: [], busy: null, fault: sentence(trouble, t`This could not be looked at.`), over: 0 });
        }
    };

    return { ...state, read };
}
