import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useId, useRef, type FocusEvent, type KeyboardEvent } from 'react';
import { Breaking } from '../../parts/Breaking';
import type { ImpliedPart } from '../../types/views';
import { ApprovePicture } from './ApprovePicture';
import type { Changes } from './changes';
import { PatternBuilder } from './PatternBuilder';
import { useEditor, type Edited, type Editing, type Place } from './useEditor';

const LEVELS = ['must', 'should'] as const;

/** How the value was understood, or why it was not. */
function Says({ id, editing }: { id: string; editing: Editing }) {
    const { understood, fault } = editing;

    return (
        <p id={id} aria-live="polite" className={`min-h-5 text-[13px] ${fault === null ? 'text-faint' : 'text-red'}`}>
            {fault !== null && <Breaking text={fault} />}
            {fault === null && understood !== null && (
                <>
                    <Trans>
                        read as{' '}
                        <span className="mono">
                            <Breaking text={understood.says ?? ''} />
                        </span>
                    </Trans>
                </>
            )}
        </p>
    );
}

/** What another has changed meanwhile, and whose is to stand. */
function Conflict({ editing }: { editing: Editing }) {
    return editing.state.conflict === null ? null : (
        <p role="alert" className="flex flex-wrap items-baseline gap-2 py-1 text-[13px] text-red">
            {editing.state.conflict}
            <button type="button" className="btn" onClick={() => editing.send(false, true)}>
                <Trans>Save mine instead</Trans>
            </button>
            <button type="button" className="btn" onClick={() => editing.leave(false)}>
                <Trans>Leave theirs</Trans>
            </button>
        </p>
    );
}

/** How strictly it is asked, why, and the way to ask it no more. */
function Foot({ name, editing, mayDrop }: { name: string; editing: Editing; mayDrop: boolean }) {
    const { state, take } = editing;
    const isReady = editing.isChanged && !editing.isBlank && editing.fault === null && state.conflict === null;

    return (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-[13px]">
            {LEVELS.map((level) => (
                <label key={level} className="flex items-center gap-1">
                    <input
                        type="radio"
                        className="radio"
                        name={`${name}-level`}
                        checked={state.level === level}
                        onChange={() => take({ does: 'set', level })}
                    />
                    {level}
                </label>
            ))}
            <label className="sr-only" htmlFor={`${name}-why`}>
                <Trans>Why</Trans>
            </label>
            <input
                id={`${name}-why`}
                className="input w-40!"
                placeholder={t`why, if it helps`}
                value={state.why}
                onChange={(event) => take({ does: 'say', why: event.target.value })}
            />
            {mayDrop && (
                <button type="button" className="link" onClick={() => editing.send(true, false)}>
                    <Trans>remove</Trans>
                </button>
            )}
            {isReady && (
                <span className="text-faint">
                    <Trans>Enter saves it, Escape cancels</Trans>
                </span>
            )}
        </div>
    );
}

/** What an uploaded picture makes of a value that may have its frame already. */
function withPicture(before: string, path: string): string {
    return /^(?:frame\s+)?-?\d+\s*:?\s*$/.test(before)
        ? `${before.trim().replace(/:$/, '')}: ${path}`
        : // eslint-disable-next-line lingui/no-unlocalized-strings -- a value as the server reads it
          `frame 1: ${path}`;
}

/** The field itself, begun with what stands there, and helpers for values of some kinds. */
function ValueField({
    name,
    edited,
    example,
    words,
    place,
    editing,
}: {
    name: string;
    edited: Edited;
    example: string;
    words: string[];
    place: Place;
    editing: Editing;
}) {
    const field = useRef<HTMLInputElement>(null);
    const type = (value: string) => editing.take({ does: 'type', value });

    useEffect(() => {
        field.current?.focus();
        field.current?.select();
    }, []);

    return (
        <>
            <input
                id={name}
                ref={field}
                className="input mono"
                value={editing.state.value}
                list={words.length > 0 ? `${name}-words` : undefined}
                onChange={(event) => type(event.target.value)}
                aria-describedby={`${name}-says`}
                aria-invalid={editing.fault !== null}
                placeholder={t`like ${example}`}
                autoComplete="off"
                spellCheck={false}
            />
            {edited.id === 'content.reference' && place.approved !== null && (
                <ApprovePicture to={place.approved} onPath={(path) => type(withPicture(editing.state.value, path))} />
            )}
            {words.length > 0 && (
                <datalist id={`${name}-words`}>
                    {words.map((word) => (
                        <option key={word} value={word} />
                    ))}
                </datalist>
            )}
            <Says id={`${name}-says`} editing={editing} />
            {(edited.id === 'naming.pattern' || edited.id === 'naming.folder') && (
                <PatternBuilder value={editing.state.value} folder={edited.id === 'naming.folder'} onChange={type} />
            )}
        </>
    );
}

/** Enter keeps it, Escape leaves it, and so does going elsewhere; another window in front is no leaving. */
function useLeaving(editing: Editing) {
    const form = useRef<HTMLFormElement>(null);
    const { isBlank, isChanged, fault, state, leave, send } = editing;
    const submit = () => {
        if (isBlank || state.conflict !== null) {
            return;
        }
        if (isChanged) {
            send(false, false);
        } else {
            leave(false);
        }
    };
    const blur = (event: FocusEvent<HTMLFormElement>) => {
        const isInside = form.current?.contains(event.relatedTarget) === true;
        const isElsewhere = event.relatedTarget === null && !document.hasFocus();
        if (editing.isClosed() || isInside || isElsewhere) {
            return;
        }
        if (isBlank || !isChanged) {
            leave(false);
        } else if (state.conflict === null && fault === null) {
            send(false, false);
        }
    };
    const press = (event: KeyboardEvent<HTMLFormElement>) => {
        if (event.key === 'Escape') {
            event.stopPropagation();
            leave(false);
        } else if (event.key === 'Enter' && event.target instanceof HTMLInputElement) {
            event.preventDefault();
            form.current?.requestSubmit();
        }
    };

    return { form, submit, blur, press };
}

/** A field that takes what people type, shows how it was understood, and keeps it on Enter or when it is left. */
export function Editor({
    edited,
    label,
    example,
    words,
    place,
    changes,
    mayDrop,
    onDone,
    onImply,
}: {
    edited: Edited;
    label: string;
    example: string;
    words: string[];
    place: Place;
    changes: Changes;
    mayDrop: boolean;
    onDone: (kept: boolean) => void;
    onImply: (parts: ImpliedPart[] | null) => void;
}) {
    const editing = useEditor(edited, place, changes, onDone, onImply);
    const { form, submit, blur, press } = useLeaving(editing);
    const name = useId();

    return (
        <form
            ref={form}
            className="py-1"
            onSubmit={(event) => {
                event.preventDefault();
                submit();
            }}
            onBlur={blur}
            onKeyDown={press}
        >
            <label className="sr-only" htmlFor={name}>
                {label}
            </label>
            <ValueField name={name} edited={edited} example={example} words={words} place={place} editing={editing} />
            <Conflict editing={editing} />
            <Foot name={name} editing={editing} mayDrop={mayDrop} />
        </form>
    );
}
