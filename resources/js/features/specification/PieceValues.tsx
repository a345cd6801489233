import { useState } from 'react';
import { classes } from '../../lib/classes';
import type { Turning } from './turning';
import { Breaking } from '../../parts/Breaking';

/** What the pieces of names stand for here; a value of one's own is kept on Enter or when it is left. */
export function PieceValues({
    values,
    own,
    needed,
    keep,
    turning,
    editable,
}: {
    values: Record<string, string>;
    own: Record<string, string>;
    needed: string[];
    keep: string;
    turning: Turning;
    editable: boolean;
}) {
    const [editing, setEditing] = useState<string | null>(null);
    const names = [...new Set([...Object.keys(values), ...needed])];

    return (
        <section className="mb-5" aria-label="Pieces of names">
            <h2 className="aside pb-1">Pieces of names</h2>
            {names.length === 0 && <p className="note">Nothing stands for a piece here yet.</p>}
            <dl className="border-t border-ink">
                {names.map((name) => (
                    <div key={name} className="flex items-baseline justify-between gap-3 border-b border-rule py-0.5">
                        <dt className="mono text-[13px] text-faint">{`{${name}}`}</dt>
                        <dd className="mono text-right text-[13px]">
                            {editing === name ? (
                                <Value
                                    name={name}
                                    start={values[name] ?? ''}
                                    keep={keep}
                                    turning={turning}
                                    onDone={() => setEditing(null)}
                                />
                            ) : editable ? (
                                <button
                                    type="button"
                                    className={classes(
                                        'cursor-pointer text-right',
                                        'underline decoration-rule decoration-dotted',
                                        'underline-offset-4 hover:decoration-link',
                                    )}
                                    aria-label={`${name}: ${values[name] ?? 'nothing yet'}. Change`}
                                    onClick={() => setEditing(name)}
                                >
                                    {values[name] === undefined ? (
                                        <span className="text-ochre">nothing yet</span>
                                    ) : (
                                        <Breaking text={values[name]} />
                                    )}
                                </button>
                            ) : (
                                <Breaking text={values[name] ?? 'nothing yet'} />
                            )}
                            {editable && own[name] !== undefined && editing !== name && (
                                <button
                                    type="button"
                                    className="link ml-2 font-sans text-[12.5px]"
                                    onClick={() => turning.send('patch', keep, { name, value: '' })}
                                >
                                    take back
                                </button>
                            )}
                        </dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}

function Value({
    name,
    start,
    keep,
    turning,
    onDone,
}: {
    name: string;
    start: string;
    keep: string;
    turning: Turning;
    onDone: () => void;
}) {
    const [value, setValue] = useState(start);
    const [fault, setFault] = useState<string | null>(null);
    const send = () => {
        if (value.trim() === start) {
            onDone();
        } else {
            turning.send(
                'patch',
                keep,
                { name, value: value.trim() },
                {
                    kept: onDone,
                    refused: (errors) =>
                        setFault(errors.value ?? errors.name ?? errors.refused ?? 'This could not be kept.'),
                },
            );
        }
    };

    return (
        <>
            <input
                autoFocus
                aria-label={name}
                aria-invalid={fault !== null}
                className="input w-32!"
                value={value}
                onChange={(event) => setValue(event.target.value)}
                onBlur={send}
                onKeyDown={(event) => {
                    if (event.key === 'Enter') {
                        send();
                    } else if (event.key === 'Escape') {
                        event.stopPropagation();
                        onDone();
                    }
                }}
            />
            {fault !== null && (
                <span role="alert" className="block font-sans text-[12.5px] text-red">
                    {fault}
                </span>
            )}
        </>
    );
}
