import type { VisitOptions } from '@inertiajs/core';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { refusal } from './trouble';

type Data = NonNullable<VisitOptions['data']>;

interface Action {
    busy: boolean;
    fault: string | null;
    setFault: (fault: string | null) => void;
    /** Sends something that changes the ledger; what comes of it is seen in `busy` and `fault`. */
    send: (method: 'post' | 'patch' | 'put' | 'delete', url: string, data?: Data, more?: Options) => void;
}

interface Options extends Partial<Pick<VisitOptions, 'forceFormData' | 'preserveState' | 'preserveScroll'>> {
    /** under which names a refusal is looked for */
    names?: string[];
    done?: () => void;
}

/** Something that is sent from a page and may be refused. */
export function useAction(otherwise: string): Action {
    const [busy, setBusy] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    const send: Action['send'] = (
        method,
        url,
        data = {},
        { names = [], done, preserveScroll = true, preserveState = true, ...visit } = {},
    ) => {
        setFault(null);
        router.visit(url, {
            ...visit,
            preserveScroll,
            preserveState,
            method,
            data,
            onStart: () => setBusy(true),
            onFinish: () => setBusy(false),
            onError: (errors) => setFault(refusal(errors, otherwise, ...names)),
            onSuccess: () => done?.(),
        });
    };

    return { busy, fault, setFault, send };
}
