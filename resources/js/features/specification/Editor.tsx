import { useEffect, useId, useRef, useState } from 'react';
import { tell } from '../../lib/ask';
import type { Turning } from './turning';
import type { ImpliedPart } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { PatternBuilder } from './PatternBuilder';
import { ApprovePicture } from './ApprovePicture';

export interface Understood {
    says: string | null;
    sentence?: string;
    fault: string | null;
    parts?: ImpliedPart[];
}

/** Where a change goes, and who says how it is read. */
export interface Place {
    understand: string;
    keep: string;
    part: string | null;
    scope: string;
}

interface Props {
    id: string;
    label: string;
    start: string;
    level: 'must' | 'should';
    why: string;
    example: string;
    words: string[];
    place: Place;
    /** what stood there when this was begun; another's change since is not written over */
    seen: string | null;
    turning: Turning;
    mayDrop: boolean;
    onDone: (kept: boolean) => void;
    onImply: (parts: ImpliedPart[] | null) => void;
}

/** A field that takes what people type, shows how it was understood, and keeps it on Enter or when it is left. */
export function Editor({
    id,
    label,
    start,
    level: startLevel,
    why: startWhy,
    example,
    words,
    place,
    seen,
    turning,
    mayDrop,
    onDone,
    onImply,
}: Props) {
    const [value, setValue] = useState(start);
    const [level, setLevel] = useState(startLevel);
    const [why, setWhy] = useState(startWhy);
    const [understood, setUnderstood] = useState<Understood | null>(null);
    const [token, setToken] = useState(seen);
    const [conflict, setConflict] = useState<string | null>(null);
    const form = useRef<HTMLFormElement>(null);
    const field = useRef<HTMLInputElement>(null);
    const sending = useRef(false);
    const closed = useRef(false);
    const imply = useRef(onImply);
    const name = useId();
    const dirty = value.trim() !== start || level !== startLevel || why !== startWhy;
    const isPattern = id === 'naming.pattern' || id === 'naming.folder';

    useEffect(() => {
        imply.current = onImply;
    });

    useEffect(() => {
        field.current?.focus();
        field.current?.select();

        return () => imply.current(null);
    }, []);

    useEffect(() => {
        if (value.trim() === '') {
            return;
        }
        const stop = new AbortController();
        const timer = setTimeout(() => {
            tell<Understood>(place.understand, { id, value, part: place.part }, stop.signal).then(
                (answer) => {
                    setUnderstood(answer);
                    imply.current(answer.parts ?? null);
                },
                () => undefined,
            );
        }, 150);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [place.understand, place.part, id, value]);

    const leave = (kept: boolean) => {
        closed.current = true;
        onDone(kept);
    };
    const send = (drop: boolean, over: boolean) => {
        if (sending.current) {
            return;
        }
        sending.current = true;
        setConflict(null);
        turning.send(
            'patch',
            place.keep,
            {
                id,
                value,
                level,
                why: why.trim() === '' ? null : why.trim(),
                scope: place.scope,
                part: place.part,
                drop,
                seen: over ? null : token,
            },
            {
                kept: () => leave(true),
                refused: (errors) => {
                    sending.current = false;
                    if (errors.conflict !== undefined) {
                        setConflict(errors.conflict);
                        setToken(null);
                    } else {
                        setUnderstood({
                            says: null,
                            fault:
                                errors.value ?? errors.refused ?? Object.values(errors)[0] ?? 'This could not be kept.',
                        });
                    }
                },
            },
        );
    };
    const blank = value.trim() === '';

    return (
        <form
            ref={form}
            className="py-1"
            onSubmit={(event) => {
                event.preventDefault();
                if (!blank && conflict === null) {
                    if (dirty) {
                        send(false, false);
                    } else {
                        leave(false);
                    }
                }
            }}
            onBlur={(event) => {
                if (closed.current || form.current?.contains(event.relatedTarget)) {
                    return;
                }
                // another window in front is no leaving
                if (event.relatedTarget === null && !document.hasFocus()) {
                    return;
                }
                if (blank || !dirty) {
                    leave(false);
                } else if (conflict === null && understood?.fault == null) {
                    send(false, false);
                }
            }}
            onKeyDown={(event) => {
                if (event.key === 'Escape') {
                    event.stopPropagation();
                    leave(false);
                } else if (event.key === 'Enter' && event.target instanceof HTMLInputElement) {
                    event.preventDefault();
                    form.current?.requestSubmit();
                }
            }}
        >
            <label className="sr-only" htmlFor={name}>
                {label}
            </label>
            <input
                id={name}
                ref={field}
                className="input mono"
                value={value}
                list={words.length > 0 ? `${name}-words` : undefined}
                onChange={(event) => {
                    setValue(event.target.value);
                    if (event.target.value.trim() === '') {
                        setUnderstood(null);
                    }
                }}
                aria-describedby={`${name}-says`}
                aria-invalid={understood?.fault != null}
                placeholder={`like ${example}`}
                autoComplete="off"
                spellCheck={false}
            />
            {id === 'content.reference' && place.keep.startsWith('/deliverables/') && (
                <ApprovePicture
                    to={place.keep.replace(/requirements$/, 'approved')}
                    onPath={(path) =>
                        setValue((before) =>
                            /^(?:frame\s+)?-?\d+\s*:?\s*$/.test(before)
                                ? `${before.trim().replace(/:$/, '')}: ${path}`
                                : `frame 1: ${path}`,
                        )
                    }
                />
            )}
            {words.length > 0 && (
                <datalist id={`${name}-words`}>
                    {words.map((word) => (
                        <option key={word} value={word} />
                    ))}
                </datalist>
            )}
            <p
                id={`${name}-says`}
                aria-live="polite"
                className={`min-h-5 text-[13px] ${understood?.fault != null ? 'text-red' : 'text-faint'}`}
            >
                {understood === null || blank ? (
                    ''
                ) : understood.fault !== null ? (
                    <Breaking text={understood.fault} />
                ) : (
                    <>
                        read as{' '}
                        <span className="mono">
                            <Breaking text={understood.says ?? ''} />
                        </span>
                    </>
                )}
            </p>
            {isPattern && <PatternBuilder value={value} folder={id === 'naming.folder'} onChange={setValue} />}
            {conflict !== null && (
                <p role="alert" className="flex flex-wrap items-baseline gap-2 py-1 text-[13px] text-red">
                    {conflict}
                    <button type="button" className="btn" onClick={() => send(false, true)}>
                        Keep mine instead
                    </button>
                    <button type="button" className="btn" onClick={() => leave(false)}>
                        Leave theirs
                    </button>
                </p>
            )}
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-[13px]">
                {(['must', 'should'] as const).map((each) => (
                    <label key={each} className="flex items-center gap-1">
                        <input
                            type="radio"
                            className="radio"
                            name={`${name}-level`}
                            checked={level === each}
                            onChange={() => setLevel(each)}
                        />
                        {each}
                    </label>
                ))}
                <label className="sr-only" htmlFor={`${name}-why`}>
                    Why
                </label>
                <input
                    id={`${name}-why`}
                    className="input w-40!"
                    placeholder="why, if it helps"
                    value={why}
                    onChange={(event) => setWhy(event.target.value)}
                />
                {mayDrop && (
                    <button type="button" className="link" onClick={() => send(true, false)}>
                        ask no more
                    </button>
                )}
                {dirty && !blank && understood?.fault == null && conflict === null && (
                    <span className="text-faint">Enter keeps it, Escape leaves it</span>
                )}
            </div>
        </form>
    );
}
