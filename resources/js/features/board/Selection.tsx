import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import type { BoardPage } from '../../types/views';

type Given = Pick<BoardPage, 'people' | 'specifications'>;

const LEAVE = 'leave';

/** Who owes them from now on. */
function Owner({
    people,
    value,
    onChange,
}: Pick<Given, 'people'> & { value: string; onChange: (owner: string) => void }) {
    return (
        <Labelled label={t`owner`}>
            <select className="select w-auto!" value={value} onChange={(event) => onChange(event.target.value)}>
                <option value={LEAVE}>
                    <Trans>as it is</Trans>
                </option>
                <option value="">
                    <Trans>nobody</Trans>
                </option>
                {people.map(({ id, name, role }) => (
                    <option key={id} value={id}>
                        {name}, {role}
                    </option>
                ))}
            </select>
        </Labelled>
    );
}

/** What lines that were chosen are given together. */
export function Selection({
    production,
    chosen,
    people,
    specifications,
    onClear,
}: Given & { production: number; chosen: number[]; onClear: () => void }) {
    const [owner, setOwner] = useState(LEAVE);
    const [due, setDue] = useState('');
    const [specification, setSpecification] = useState(LEAVE);
    const action = useAction(t`They could not be changed.`);
    const give = (what: Record<string, string | boolean | null>) =>
        action.send(
            'patch',
            to('deliverables.change', { production }),
            { ids: chosen, ...what },
            { names: ['owner', 'due', 'specification', 'ids'], done: onClear },
        );
    const given = {
        ...(owner === LEAVE ? {} : { owner: owner === '' ? null : owner }),
        ...(due === '' ? {} : { due }),
        ...(specification === LEAVE ? {} : { specification }),
    };

    return (
        <section
            className="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2 border border-edge bg-paper px-3 py-2"
            aria-label={t`What is chosen`}
        >
            <strong className="self-center">
                <Trans>{chosen.length} chosen</Trans>
            </strong>
            <Owner people={people} value={owner} onChange={setOwner} />
            <Labelled label={t`due`}>
                <input
                    type="datetime-local"
                    className="input w-52!"
                    value={due}
                    onChange={(event) => setDue(event.target.value)}
                />
            </Labelled>
            <Labelled label={t`specification`}>
                <select
                    className="select w-auto! max-w-60"
                    value={specification}
                    onChange={(event) => setSpecification(event.target.value)}
                >
                    <option value={LEAVE}>
                        <Trans>as it is</Trans>
                    </option>
                    {specifications.map(({ id, title }) => (
                        <option key={id} value={id}>
                            {title}
                        </option>
                    ))}
                </select>
            </Labelled>
            <button
                type="button"
                className="btn btn-primary"
                disabled={action.busy || Object.keys(given).length === 0}
                onClick={() => give(given)}
            >
                <Trans>Save</Trans>
            </button>
            <button type="button" className="btn" disabled={action.busy} onClick={() => give({ away: true })}>
                <Trans>Put away</Trans>
            </button>
            <button
                type="button"
                className="btn"
                onClick={() => router.post(to('outbox.write', { production }), { deliverables: chosen })}
            >
                <Trans>Write to the owners</Trans>
            </button>
            <button type="button" className="link self-center" onClick={onClear}>
                <Trans>Choose none</Trans>
            </button>
            <Fault says={action.fault} className="w-full" />
        </section>
    );
}
