import { t } from '@lingui/core/macro';
import { useState, type KeyboardEvent } from 'react';
import { tell } from '../../lib/ask';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { useQuestion } from '../../lib/useQuestion';
import type { EntrySheet, TypedAttempt } from '../../types/views';

/** Which way a key goes along the fields; 0: it is none of them. */
function wayOf(key: string): -1 | 0 | 1 {
    if (key === 'Enter' || key === 'ArrowDown') {
        return 1;
    }

    return key === 'ArrowUp' ? -1 : 0;
}

/** To the next field or the one before; after the last one to the button. */
function go(form: HTMLFormElement, from: HTMLInputElement, way: -1 | 1) {
    const fields = [...form.querySelectorAll<HTMLInputElement>('input[data-field]')];
    const next = fields[fields.indexOf(from) + way];
    if (next !== undefined) {
        next.focus();
        next.select();
    } else if (way === 1) {
        form.querySelector<HTMLButtonElement>('button[type=submit]')?.focus();
    }
}

/** What is typed in, how it stands meanwhile, and how one goes from field to field. */
export function useEntry(deliverable: number, entry: EntrySheet) {
    const { part } = entry;
    const [typed, setTyped] = useState<Record<string, string>>(() => ({ ...entry.typed }));
    const action = useAction(t`This could not be saved.`);
    const { answer, fault } = useQuestion(
        JSON.stringify(typed),
        (stop) => tell<TypedAttempt>(to('scene.try', { deliverable }), { part, typed }, stop),
        { wait: 120, otherwise: t`This could not be checked just now.` },
    );
    const keep = () =>
        action.send('post', to('scene.typed', { deliverable }), { part, typed }, { names: ['settings'] });
    /** Enter and arrows go from field to field; Ctrl Enter keeps all. */
    const walk = (event: KeyboardEvent<HTMLFormElement>) => {
        const way = wayOf(event.key);
        if (!(event.target instanceof HTMLInputElement) || way === 0) {
            return;
        }
        event.preventDefault();
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            keep();
        } else {
            go(event.currentTarget, event.target, way);
        }
    };

    return {
        typed,
        set: (field: string, value: string) => setTyped({ ...typed, [field]: value }),
        answer,
        trouble: action.fault ?? fault ?? answer?.fault ?? null,
        busy: action.busy,
        keep,
        walk,
    };
}
