import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { Labelled, Radios } from '../../parts/Field';
import type { TryPage } from '../../types/views';

const toggled = (all: string[], one: string, on: boolean) => (on ? [...all, one] : all.filter((each) => each !== one));

/** Which lines differ: what is asked, with a box before each. */
function Lines({ asked, lines, onChange }: Pick<TryPage, 'asked'> & Chosen) {
    return (
        <fieldset className="pt-4">
            <legend className="aside">
                <Trans>What differs from what is asked</Trans>
            </legend>
            <ul className="border-t border-ink">
                {asked.map(({ id, label, required }) => (
                    <li key={id} className="border-b border-rule py-1">
                        <label className="flex items-baseline gap-2">
                            <input
                                type="checkbox"
                                className="checkbox"
                                checked={lines.includes(id)}
                                onChange={(event) => onChange(toggled(lines, id, event.target.checked))}
                            />
                            <span>
                                {label} <span className="mono text-[13px] text-faint">{required}</span>
                            </span>
                        </label>
                    </li>
                ))}
            </ul>
        </fieldset>
    );
}

interface Chosen {
    lines: string[];
    onChange: (lines: string[]) => void;
}

/** Why: causes are found by a word of their names or of what they are concluded from. */
function Causes({ causes, lines: chosen, onChange }: Pick<TryPage, 'causes'> & Chosen) {
    const [word, setWord] = useState('');
    const wanted = word.trim().toLowerCase();
    const shown = causes.filter(
        ({ id, name, from }) =>
            chosen.includes(id) || (wanted !== '' && (name.includes(wanted) || from.toLowerCase().includes(wanted))),
    );

    return (
        <fieldset className="pt-4">
            <legend className="aside">
                <Trans>Why</Trans>
            </legend>
            <Labelled label={t`Find a cause`}>
                <input
                    className="input w-full! max-w-[40ch]"
                    placeholder={t`scale, stopped, digits …`}
                    value={word}
                    onChange={(event) => setWord(event.target.value)}
                />
            </Labelled>
            <p className="sr-only" role="status">
                {wanted === '' ? '' : t`${shown.length} causes`}
            </p>
            <ul className="mt-1 border-t border-ink">
                {shown.map(({ id, name, from }) => (
                    <li key={id} className="border-b border-rule py-1">
                        <label className="flex items-baseline gap-2">
                            <input
                                type="checkbox"
                                className="checkbox"
                                checked={chosen.includes(id)}
                                onChange={(event) => onChange(toggled(chosen, id, event.target.checked))}
                            />
                            <span>
                                {name}
                                <span className="block text-[12.5px] text-faint">{from}</span>
                            </span>
                        </label>
                    </li>
                ))}
            </ul>
        </fieldset>
    );
}

/** What is the matter with it, and what is to be done. */
export function Answer({ page: { asked, causes, exercise } }: { page: TryPage }) {
    const [balances, setBalances] = useState<'yes' | 'no' | ''>('');
    const [lines, setLines] = useState<string[]>([]);
    const [why, setWhy] = useState<string[]>([]);
    const [render, setRender] = useState('');
    const action = useAction(t`It could not be marked.`);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send(
            'post',
            to('try.answer', { exercise: exercise.id }),
            balances === 'no' ? { balances: false, lines, causes: why, render } : { balances: true },
            { names: ['balances', 'render', 'lines', 'causes', 'refused'] },
        );
    };

    return (
        <form className="mt-5 border border-edge px-4 py-3" onSubmit={submit} aria-label={t`Your answer`}>
            <fieldset className="flex flex-wrap gap-x-5">
                <legend className="aside">
                    <Trans>Does it balance?</Trans>
                </legend>
                <Radios
                    name="balances"
                    words={[
                        ['yes', t`It balances`],
                        ['no', t`It does not`],
                    ]}
                    chosen={balances}
                    onChoose={setBalances}
                />
            </fieldset>
            {balances === 'no' && (
                <>
                    <div className="grid gap-x-8 lg:grid-cols-2">
                        <Lines asked={asked} lines={lines} onChange={setLines} />
                        <Causes causes={causes} lines={why} onChange={setWhy} />
                    </div>
                    <div className="pt-4">
                        <Labelled label={t`Frames to render again`}>
                            <input
                                className="input mono w-full! max-w-[40ch]"
                                placeholder="1001-1010, 1020"
                                value={render}
                                onChange={(event) => setRender(event.target.value)}
                            />
                        </Labelled>
                    </div>
                </>
            )}
            <p className="pt-3">
                <button className="btn btn-primary" disabled={action.busy || balances === ''}>
                    <Trans>Have it marked</Trans>
                </button>
            </p>
            <Fault says={action.fault} className="pt-1" />
        </form>
    );
}
