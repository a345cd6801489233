import { router } from '@inertiajs/react';
import { useEffect, useId, useRef, useState } from 'react';
import { tell } from '../lib/ask';
import type { Asked, AskedLine } from '../types/book';
import { Breaking } from './Breaking';

export type Scope = 'deliverable' | 'specification';

interface Understood {
    says: string | null;
    sentence?: string;
    fault: string | null;
}

/** A field that takes what people type and shows how it was understood, before it is kept. */
function Editor({ id, label, start, level: startLevel, why: startWhy, example, deliverable, scope, mayDrop, onDone }: { id: string; label: string; start: string; level: 'must' | 'should'; why: string; example: string; deliverable: number; scope: Scope; mayDrop: boolean; onDone: () => void }) {
    const [value, setValue] = useState(start);
    const [level, setLevel] = useState(startLevel);
    const [why, setWhy] = useState(startWhy);
    const [understood, setUnderstood] = useState<Understood | null>(null);
    const [busy, setBusy] = useState(false);
    const field = useRef<HTMLInputElement>(null);
    const name = useId();

    useEffect(() => {
        field.current?.focus();
        field.current?.select();
    }, []);

    useEffect(() => {
        const stop = new AbortController();
        const timer = setTimeout(() => {
            tell<Understood>(`/deliverables/${deliverable}/understand`, { id, value }, stop.signal).then(setUnderstood, () => undefined);
        }, 200);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [deliverable, id, value]);

    const send = (drop: boolean) => {
        setBusy(true);
        router.patch(
            `/deliverables/${deliverable}/requirements`,
            { id, value, level, why: why === '' ? null : why, scope, drop },
            {
                preserveScroll: true,
                onError: (errors) => setUnderstood({ says: null, fault: errors.value ?? errors.refused ?? 'This could not be kept.' }),
                onSuccess: onDone,
                onFinish: () => setBusy(false),
            },
        );
    };

    return (
        <form
            className="py-1"
            onSubmit={(event) => {
                event.preventDefault();
                send(false);
            }}
            onKeyDown={(event) => {
                if (event.key === 'Escape') {
                    event.stopPropagation();
                    onDone();
                }
            }}
        >
            <label className="sr-only" htmlFor={name}>
                {label}
            </label>
            <input id={name} ref={field} className="line-field mono" value={value} onChange={(event) => setValue(event.target.value)} aria-describedby={`${name}-says`} aria-invalid={understood?.fault != null} placeholder={example} autoComplete="off" spellCheck={false} />
            <p id={`${name}-says`} aria-live="polite" className={`min-h-5 text-[13px] ${understood?.fault != null ? 'text-red' : 'text-faint'}`}>
                {understood === null ? '' : understood.fault !== null ? <Breaking text={understood.fault} /> : <>read as <span className="mono"><Breaking text={understood.says ?? ''} /></span></>}
            </p>
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5 text-[13px]">
                {(['must', 'should'] as const).map((each) => (
                    <label key={each} className="flex items-center gap-1">
                        <input type="radio" name={`${name}-level`} checked={level === each} onChange={() => setLevel(each)} />
                        {each}
                    </label>
                ))}
                <label className="sr-only" htmlFor={`${name}-why`}>
                    Why
                </label>
                <input id={`${name}-why`} className="line-field w-40!" placeholder="why, if it helps" value={why} onChange={(event) => setWhy(event.target.value)} />
                <button className="press strong" disabled={busy || understood?.fault != null}>
                    Keep
                </button>
                <button type="button" className="press" onClick={onDone}>
                    Leave it
                </button>
                {mayDrop && (
                    <button type="button" className="plain-link" disabled={busy} onClick={() => send(true)}>
                        ask no more
                    </button>
                )}
            </div>
        </form>
    );
}

const SET_BY = { house: 'house', specification: 'this specification', deliverable: 'this deliverable' };

export function AskedLineRow({ line, deliverable, scope, editable }: { line: AskedLine; deliverable: number; scope: Scope; editable: boolean }) {
    const [editing, setEditing] = useState(false);
    const button = useRef<HTMLButtonElement>(null);
    const done = () => {
        setEditing(false);
        requestAnimationFrame(() => button.current?.focus());
    };
    const revert = () => router.patch(`/deliverables/${deliverable}/requirements`, { id: line.id, level: line.level, scope: 'deliverable', drop: true }, { preserveScroll: true });

    return (
        <tr id={line.id} className={editing ? 'touched' : ''}>
            <th scope="row">
                {line.label}
                {line.level === 'should' && <span className="aside"> should</span>}
            </th>
            {editing ? (
                <td className="column" colSpan={2}>
                    <Editor id={line.id} label={line.label} start={line.value} level={line.level} why={line.why ?? ''} example={line.example} deliverable={deliverable} scope={scope} mayDrop onDone={done} />
                </td>
            ) : (
                <>
                    <td className="column">
                        {editable ? (
                            <button ref={button} type="button" className="mono w-full cursor-pointer text-left underline decoration-rule decoration-dotted underline-offset-4 hover:decoration-link" aria-label={`${line.label}: ${line.value}. Change`} onClick={() => setEditing(true)}>
                                <Breaking text={line.value} />
                            </button>
                        ) : (
                            <span className="mono">
                                <Breaking text={line.value} />
                            </span>
                        )}
                    </td>
                    <td className="column">
                        <Breaking text={line.sentence} />
                        {line.why !== null && <span className="aside"> ({line.why})</span>}
                        <span className="aside block text-[12.5px]">
                            {SET_BY[line.setBy]}
                            {editable && line.setBy === 'deliverable' && (
                                <>
                                    {' · '}
                                    <button type="button" className="plain-link not-italic" onClick={revert}>
                                        take back
                                    </button>
                                </>
                            )}
                        </span>
                    </td>
                </>
            )}
        </tr>
    );
}

/** Something more to ask for. */
export function NewLine({ offered, deliverable, scope }: { offered: Asked['offered']; deliverable: number; scope: Scope }) {
    const [id, setId] = useState('');
    const chosen = offered.find((each) => each.id === id);
    const groups = [...new Set(offered.map((each) => each.group))];

    return (
        <section className="max-w-[520px] px-6 pb-10">
            <label htmlFor="more" className="aside block">
                Ask for something else
            </label>
            <select id="more" className="line-field" value={chosen === undefined ? '' : id} onChange={(event) => setId(event.target.value)}>
                <option value="">choose…</option>
                {groups.map((group) => (
                    <optgroup key={group} label={group}>
                        {offered
                            .filter((each) => each.group === group)
                            .map((each) => (
                                <option key={each.id} value={each.id}>
                                    {each.label}
                                </option>
                            ))}
                    </optgroup>
                ))}
            </select>
            {chosen !== undefined && <Editor key={chosen.id} id={chosen.id} label={chosen.label} start={chosen.example} level="must" why="" example={chosen.example} deliverable={deliverable} scope={scope} mayDrop={false} onDone={() => setId('')} />}
        </section>
    );
}
