import { t } from '@lingui/core/macro';
import { useEffect, useReducer, useRef } from 'react';
import { tell } from '../../lib/ask';
import { refusal } from '../../lib/trouble';
import { useQuestion } from '../../lib/useQuestion';
import type { ImpliedPart, Level, Understanding } from '../../types/views';
import type { Changes } from './changes';

/** Where a change goes, and who says how it is read. */
export interface Place {
    understand: string;
    keep: string;
    /** where an approved picture is sent to; null where there is no such place */
    approved: string | null;
    part: string | null;
    scope: string;
}

/** A requirement as it stands when somebody begins to change it. */
export interface Edited {
    id: string;
    start: string;
    level: Level;
    why: string;
    /** what stood there when this was begun; another's change since is not written over */
    seen: string | null;
}

interface State {
    value: string;
    level: Level;
    why: string;
    token: string | null;
    /** what the server did not take */
    refused: string | null;
    /** what another has changed meanwhile */
    conflict: string | null;
}

export type Step =
    | { does: 'type'; value: string }
    | { does: 'set'; level: Level }
    | { does: 'say'; why: string }
    | { does: 'send' }
    | { does: 'refuse'; says: string }
    | { does: 'meet'; conflict: string };

function next(state: State, step: Step): State {
    switch (step.does) {
        case 'type':
            return { ...state, value: step.value, refused: null };
        case 'set':
            return { ...state, level: step.level };
        case 'say':
            return { ...state, why: step.why };
        case 'send':
            return { ...state, conflict: null };
        case 'refuse':
            return { ...state, refused: step.says };
        case 'meet':
            return { ...state, conflict: step.conflict, token: null };
    }
}

export interface Editing {
    state: State;
    take: (step: Step) => void;
    /** how the value is understood, as far as that is known */
    understood: Understanding | null;
    fault: string | null;
    isBlank: boolean;
    isChanged: boolean;
    /** @param over whether what another has changed is written over */
    send: (drop: boolean, over: boolean) => void;
    leave: (kept: boolean) => void;
    /** it is done with, whatever comes of a blur */
    isClosed: () => boolean;
}

/** Shows elsewhere what would follow from what is typed, and takes it away at the end. */
function useImplied(answer: Understanding | null, onImply: (parts: ImpliedPart[] | null) => void) {
    const imply = useRef(onImply);
    useEffect(() => {
        imply.current = onImply;
    });
    useEffect(() => () => imply.current(null), []);
    useEffect(() => {
        if (answer !== null) {
            imply.current(answer.parts.length === 0 ? null : answer.parts);
        }
    }, [answer]);
}

/** Keeps it once, however often it is said; what the server does not take comes back as a step. */
function useKeep(
    { id }: Edited,
    place: Place,
    state: State,
    changes: Changes,
    { take, leave }: Pick<Editing, 'take' | 'leave'>,
): Editing['send'] {
    const sending = useRef(false);
    const refused = (errors: Record<string, string>) => {
        sending.current = false;
        take(
            errors.conflict === undefined
                ? { does: 'refuse', says: refusal(errors, t`This could not be saved.`, 'value', 'refused') }
                : { does: 'meet', conflict: errors.conflict },
        );
    };

    return (drop, over) => {
        if (sending.current) {
            return;
        }
        sending.current = true;
        take({ does: 'send' });
        const { value, level } = state;
        const why = state.why.trim() === '' ? null : state.why.trim();
        const { scope, part } = place;
        const data = { id, value, level, why, scope, part, drop, seen: over ? null : state.token };
        changes.send('patch', place.keep, data, { kept: () => leave(true), refused });
    };
}

/** What is typed for a requirement, how it is understood meanwhile, and how it is kept. */
export function useEditor(
    edited: Edited,
    place: Place,
    changes: Changes,
    onDone: (kept: boolean) => void,
    onImply: (parts: ImpliedPart[] | null) => void,
): Editing {
    const { id, start, level, why, seen } = edited;
    const [state, take] = useReducer(next, {
        value: start,
        level,
        why,
        token: seen,
        refused: null,
        conflict: null,
    });
    const closed = useRef(false);
    const isBlank = state.value.trim() === '';
    const asked = { id, value: state.value, part: place.part };
    const { answer } = useQuestion(isBlank ? null : JSON.stringify(asked), (stop) =>
        tell<Understanding>(place.understand, asked, stop),
    );
    useImplied(answer, onImply);
    const leave = (kept: boolean) => {
        closed.current = true;
        onDone(kept);
    };
    const send = useKeep(edited, place, state, changes, { take, leave });

    return {
        state,
        take,
        understood: isBlank ? null : answer,
        fault: isBlank ? null : (state.refused ?? answer?.fault ?? null),
        isBlank,
        isChanged: state.value.trim() !== start || state.level !== level || state.why !== why,
        send,
        leave,
        isClosed: () => closed.current,
    };
}
