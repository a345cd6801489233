import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { refusal } from '../../lib/trouble';
import { Breaking } from '../../parts/Breaking';
import { EditableText } from '../../parts/EditableText';
import { InlineField } from '../../parts/InlineField';
import type { Changes } from './changes';

/** What the pieces of names stand for here; a value of one's own is kept on Enter or when it is left. */
export function PieceValues({
    values,
    own,
    needed,
    keep,
    changes,
    editable,
}: {
    values: Record<string, string>;
    own: Record<string, string>;
    needed: string[];
    keep: string;
    changes: Changes;
    editable: boolean;
}) {
    const [editing, setEditing] = useState<string | null>(null);
    const names = [...new Set([...Object.keys(values), ...needed])];
    const value = (name: string) => {
        if (editing === name) {
            return (
                <Value
                    name={name}
                    start={values[name] ?? ''}
                    keep={keep}
                    changes={changes}
                    onDone={() => setEditing(null)}
                />
            );
        }

        return editable ? (
            <EditableText
                label={name}
                text={values[name]}
                nothing={t`nothing yet`}
                className="text-right"
                onEdit={() => setEditing(name)}
            />
        ) : (
            <Breaking text={values[name] ?? t`nothing yet`} />
        );
    };

    return (
        <section className="mb-5" aria-label={t`Pieces of names`}>
            <h2 className="aside pb-1">
                <Trans>Pieces of names</Trans>
            </h2>
            {names.length === 0 && (
                <p className="note">
                    <Trans>Nothing stands for a piece here yet.</Trans>
                </p>
            )}
            <dl className="border-t border-ink">
                {names.map((name) => (
                    <div key={name} className="flex items-baseline justify-between gap-3 border-b border-rule py-0.5">
                        <dt className="mono text-[13px] text-faint">{`{${name}}`}</dt>
                        <dd className="mono text-right text-[13px]">
                            {value(name)}
                            {editable && own[name] !== undefined && editing !== name && (
                                <button
                                    type="button"
                                    className="link ml-2 font-sans text-[12.5px]"
                                    onClick={() => changes.send('patch', keep, { name, value: '' })}
                                >
                                    <Trans>take back</Trans>
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
    changes,
    onDone,
}: {
    name: string;
    start: string;
    keep: string;
    changes: Changes;
    onDone: () => void;
}) {
    const [value, setValue] = useState(start);
    const [fault, setFault] = useState<string | null>(null);
    const send = () => {
        if (value.trim() === start) {
            onDone();

            return;
        }
        changes.send(
            'patch',
            keep,
            { name, value: value.trim() },
            {
                kept: onDone,
                refused: (errors) => setFault(refusal(errors, t`This could not be saved.`, 'value', 'name', 'refused')),
            },
        );
    };

    return (
        <>
            <InlineField
                label={name}
                value={value}
                className="input w-32!"
                isWrong={fault !== null}
                onChange={setValue}
                onKeep={send}
                onLeave={onDone}
            />
            {fault !== null && (
                <span role="alert" className="block font-sans text-[12.5px] text-red">
                    {fault}
                </span>
            )}
        </>
    );
}
