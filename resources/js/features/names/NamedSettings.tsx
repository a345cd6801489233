import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useRef, useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import { FieldChoice } from '../../parts/FieldChoice';
import { LedgerHead } from '../../parts/LedgerHead';
import type { NamedField, NamedSetting } from '../../types/views';

function NamedLine({ production, line }: { production: number; line: NamedSetting }) {
    const forget = () =>
        router.patch(to('names.update', { production }), { name: line.name, drop: true }, { preserveScroll: true });
    const words = Object.entries(line.words).map(([word, stands]) => `${word} = ${stands}`);

    return (
        <tr>
            <th scope="row" className="mono">
                <Breaking text={line.name} />
            </th>
            <td className="column">
                {line.label ?? (
                    <span className="text-faint">
                        <Trans>nothing that matters here</Trans>
                    </span>
                )}
            </td>
            <td className="column">{line.unit}</td>
            <td className="column mono text-[13px]">
                <Breaking text={words.join(', ')} />
            </td>
            <td className="column">
                <button type="button" className="link" onClick={forget}>
                    <Trans>
                        forget<span className="sr-only"> {line.name}</span>
                    </Trans>
                </button>
            </td>
        </tr>
    );
}

/** What names in scenes stand for here. */
export function NamedSettings({ production, names }: { production: number; names: NamedSetting[] }) {
    return names.length === 0 ? null : (
        <table className="ledger mt-2">
            <LedgerHead
                columns={[
                    [t`name`],
                    [t`is`],
                    [t`in`],
                    [t`words`],
                    [
                        <span className="sr-only">
                            <Trans>forget</Trans>
                        </span>,
                    ],
                ]}
            />
            <tbody>
                {names.map((line) => (
                    <NamedLine key={line.name} production={production} line={line} />
                ))}
            </tbody>
        </table>
    );
}

/** `Ja = on, Nein = off` as pairs. */
function pairs(words: string): Record<string, string> {
    const sides = words.split(',').map((pair) => pair.split('=').map((side) => side.trim()));

    return Object.fromEntries(sides.filter((pair): pair is [string, string] => pair.length === 2 && pair[0] !== ''));
}

const NEW = { name: '', is: '', unit: '', words: '' };

/** Another name, pointed at what it stands for. */
export function AddName({ production, fields }: { production: number; fields: NamedField[] }) {
    const [given, setGiven] = useState(NEW);
    const action = useAction(t`This could not be saved.`);
    const units = fields.find((field) => field.field === given.is)?.units ?? [];
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        const data = {
            name: given.name,
            is: given.is === '-' || given.is === '' ? null : given.is,
            unit: given.unit === '' ? null : given.unit,
            words: pairs(given.words),
        };
        const done = () => setGiven((was) => ({ ...was, name: '', words: '' }));
        action.send('patch', to('names.update', { production }), data, { names: ['name'], done });
    };

    return (
        <form className="flex flex-wrap items-end gap-3 pt-2" onSubmit={submit}>
            <Labelled label={t`Name as it stands there`}>
                <input
                    className="input w-48!"
                    value={given.name}
                    maxLength={200}
                    onChange={(event) => setGiven({ ...given, name: event.target.value })}
                />
            </Labelled>
            <Labelled label={t`is`}>
                <FieldChoice
                    id="new-field"
                    fields={fields}
                    value={given.is}
                    onChange={(is) => setGiven({ ...given, is, unit: '' })}
                />
            </Labelled>
            {units.length > 0 && (
                <Labelled label={t`in`}>
                    <select
                        className="select w-auto!"
                        value={given.unit}
                        onChange={(event) => setGiven({ ...given, unit: event.target.value })}
                    >
                        <option value="">
                            <Trans>as usual</Trans>
                        </option>
                        {units.map((each) => (
                            <option key={each}>{each}</option>
                        ))}
                    </select>
                </Labelled>
            )}
            <Labelled label={t`words for values`}>
                <input
                    className="input w-56!"
                    value={given.words}
                    placeholder={t`Ja = on, Nein = off`}
                    onChange={(event) => setGiven({ ...given, words: event.target.value })}
                />
            </Labelled>
            <button type="submit" className="btn" disabled={given.name.trim() === '' || given.is === ''}>
                <Trans>Save the name</Trans>
            </button>
            <Fault says={action.fault} className="w-full" />
        </form>
    );
}

/** Names taken along as a file, and read from one. */
export function NamesAsFile({ production, some }: { production: number; some: boolean }) {
    const file = useRef<HTMLInputElement>(null);
    const action = useAction(t`This file could not be read.`);
    const read = (map: File | undefined) => {
        if (map !== undefined) {
            action.send('post', to('names.import', { production }), { map }, { names: ['map'], forceFormData: true });
        }
    };

    return (
        <>
            <p className="flex flex-wrap items-center gap-3 pt-3">
                {some && (
                    <a className="btn" href={to('names.export', { production })} download>
                        <Trans>Take them as a file</Trans>
                    </a>
                )}
                <label className="sr-only" htmlFor="map">
                    <Trans>Field map</Trans>
                </label>
                <input
                    id="map"
                    ref={file}
                    type="file"
                    accept=".json,application/json"
                    className="sr-only"
                    tabIndex={-1}
                    onChange={(event) => read(event.target.files?.[0])}
                />
                <button type="button" className="btn" onClick={() => file.current?.click()}>
                    <Trans>Read names from a file</Trans>
                </button>
            </p>
            <Fault says={action.fault} className="pt-1" />
        </>
    );
}
