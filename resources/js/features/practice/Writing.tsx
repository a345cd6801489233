import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import type { TryPage } from '../../types/views';

/** What can stand in names for what is told elsewhere. */
const PIECES = '{shot} {task} {version:3} {frame:4} {ext}';

/** The job, as whoever wants it done tells it. */
export function Job({ brief }: { brief: string }) {
    return (
        <blockquote className="said max-w-[70ch] border-l-4 border-link bg-paper px-4 py-3 mt-4">
            <Breaking text={brief} />
        </blockquote>
    );
}

/** What was written for it, beside how it was marked. */
export function Written({ page: { written, offered } }: { page: TryPage }) {
    const lines = Object.entries(written);

    return lines.length === 0 ? null : (
        <section aria-labelledby="written" className="pt-5">
            <h2 id="written" className="aside pb-1">
                <Trans>What you wrote</Trans>
            </h2>
            <table className="ledger max-w-[640px]">
                <tbody>
                    {lines.map(([id, value]) => (
                        <tr key={id}>
                            <th scope="row">{offered.find((one) => one.id === id)?.label ?? id}</th>
                            <td className="column mono text-[13px]">
                                <Breaking text={value} />
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

type Line = { id: string; value: string };

/** One line: what it is about, and the value. */
function Row({
    line,
    label,
    onChange,
    onRemove,
}: {
    line: Line;
    label: string;
    onChange: (value: string) => void;
    onRemove: () => void;
}) {
    return (
        <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            <label className="flex grow flex-wrap items-baseline gap-x-3">
                <span className="w-44">{label}</span>
                <input
                    className="input mono grow"
                    maxLength={300}
                    value={line.value}
                    onChange={(event) => onChange(event.target.value)}
                />
            </label>
            <button type="button" className="link text-[13px]" aria-label={t`Remove ${label}`} onClick={onRemove}>
                <Trans>Remove</Trans>
            </button>
        </li>
    );
}

/** Which of the others is asked too. */
function More({ offered, onAdd }: { offered: TryPage['offered']; onAdd: (id: string) => void }) {
    return (
        <Labelled label={t`ask for more`}>
            <select className="select w-72!" value="" onChange={(event) => onAdd(event.target.value)}>
                <option value="" disabled>
                    {t`choose what`}
                </option>
                {[...new Set(offered.map(({ group }) => group))].map((group) => (
                    <optgroup key={group} label={group}>
                        {offered
                            .filter((one) => one.group === group)
                            .map(({ id, label }) => (
                                <option key={id} value={id}>
                                    {label}
                                </option>
                            ))}
                    </optgroup>
                ))}
            </select>
        </Labelled>
    );
}

/** The specification of a described job, line by line. */
export function Writing({ page: { offered, exercise } }: { page: TryPage }) {
    const [lines, setLines] = useState<Line[]>([]);
    const action = useAction(t`It could not be marked.`);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('post', to('try.write', { exercise: exercise.id }), { lines }, { names: ['refused', 'lines'] });
    };
    const left = offered.filter(({ id }) => lines.every((line) => line.id !== id));

    return (
        <form className="mt-5 border border-edge px-4 py-3" onSubmit={submit} aria-label={t`Your specification`}>
            <p className="aside">
                <Trans>Write down what is asked, so that what is right balances by it and nothing wrong does.</Trans>
            </p>
            <ul className="border-t border-ink">
                {lines.map((line) => (
                    <Row
                        key={line.id}
                        line={line}
                        label={offered.find(({ id }) => id === line.id)?.label ?? line.id}
                        onChange={(value) =>
                            setLines((was) => was.map((one) => (one.id === line.id ? { ...one, value } : one)))
                        }
                        onRemove={() => setLines((was) => was.filter((one) => one.id !== line.id))}
                    />
                ))}
            </ul>
            <div className="flex flex-wrap items-end gap-4 pt-3">
                <More offered={left} onAdd={(id) => setLines((was) => [...was, { id, value: '' }])} />
                <button className="btn btn-primary" disabled={action.busy || lines.length === 0}>
                    {action.busy ? t`Being tried…` : t`Have it marked`}
                </button>
            </div>
            <p className="pt-2 text-[13px] text-faint">
                <Trans>
                    In names, the shot, the task and the version can stand as they are, or as{' '}
                    <span className="mono">{PIECES}</span>
                </Trans>
            </p>
            <Fault says={action.fault} className="pt-1" />
        </form>
    );
}
