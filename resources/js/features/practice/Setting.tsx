import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import type { PracticePage } from '../../types/views';

/** What is sent of that: of one that ships its number alone. */
function given(number: string, title: string, mistakes: string[]) {
    if (number === 'write') {
        return { kind: 'write', title };
    }

    return number === '' ? { title, mistakes } : { number };
}

/** What is set: one that ships, mistakes of one's own choice, or a job to be specified. */
export function Setting({ page: { book, ready, mistakes } }: { page: PracticePage }) {
    const [number, setNumber] = useState('1');
    const [title, setTitle] = useState('');
    const [chosen, setChosen] = useState<string[]>([]);
    const action = useAction(t`It could not be set.`);
    const isOwn = number === '';
    const isBrief = number === 'write';
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('post', to('practice.set', { production: book.production.id }), given(number, title, chosen), {
            names: ['title', 'number', 'mistakes', 'refused'],
            done: () => {
                setTitle('');
                setChosen([]);
            },
        });
    };

    return (
        <form className="mt-4 border border-edge bg-paper px-4 py-3" onSubmit={submit} aria-label={t`Set an exercise`}>
            <div className="flex flex-wrap items-end gap-3">
                <Labelled label={t`Exercise`}>
                    <select
                        className="select w-auto! max-w-[min(30rem,70vw)]"
                        value={number}
                        onChange={(event) => setNumber(event.target.value)}
                    >
                        {ready.map((one) => (
                            <option key={one.number} value={one.number}>
                                {one.number}. {one.title} (
                                {one.difficulty === 1 ? t`one mistake at most` : t`${one.difficulty} mistakes`})
                            </option>
                        ))}
                        <option value="">{t`mistakes of your own choice`}</option>
                        <option value="write">{t`write the specification of a described job`}</option>
                    </select>
                </Labelled>
                {(isOwn || isBrief) && (
                    <Labelled label={t`Title`}>
                        <input
                            className="input"
                            maxLength={120}
                            value={title}
                            onChange={(event) => setTitle(event.target.value)}
                        />
                    </Labelled>
                )}
                <button className="btn btn-primary" disabled={action.busy}>
                    <Trans>Set it</Trans>
                </button>
            </div>
            {isOwn && (
                <fieldset className="mt-3 flex flex-wrap gap-x-4 gap-y-1">
                    <legend className="aside">
                        <Trans>What goes wrong, four at most; nothing: it balances</Trans>
                    </legend>
                    {mistakes.map((mistake) => (
                        <label key={mistake} className="flex items-center gap-1.5">
                            <input
                                type="checkbox"
                                className="checkbox"
                                checked={chosen.includes(mistake)}
                                onChange={(event) =>
                                    setChosen(
                                        event.target.checked
                                            ? [...chosen, mistake]
                                            : chosen.filter((each) => each !== mistake),
                                    )
                                }
                            />
                            {mistake.replaceAll('-', ' ')}
                        </label>
                    ))}
                </fieldset>
            )}
            <Fault says={action.fault} className="pt-1" />
        </form>
    );
}
