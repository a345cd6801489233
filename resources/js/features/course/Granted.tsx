import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import type { HandInPage } from '../../types/views';

/** When it is due, and what being late costs. */
export function Rules({ page: { rules, extension } }: { page: HandInPage }) {
    return (
        <section className="mb-5 text-[13px]">
            <h2 className="aside border-b border-ink pb-1">
                <Trans>When it is due</Trans>
            </h2>
            <p className="pt-2">{rules.due ?? t`Whenever it is done.`}</p>
            {rules.grace > 0 && (
                <p>
                    <Trans>{rules.grace} minutes after that are in time too.</Trans>
                </p>
            )}
            {rules.percent !== '0' && (
                <p>
                    <Trans>Each day begun after it costs {rules.percent} % of the points.</Trans>
                </p>
            )}
            {rules.closes !== null && (
                <p>
                    <Trans>After {rules.closes} days nothing more is accepted.</Trans>
                </p>
            )}
            {rules.due !== null && (
                <p className="text-faint">
                    <Trans>Days are those of the course, in {rules.zone}.</Trans>
                </p>
            )}
            {extension !== null && (
                <p className="pt-1 text-ochre">
                    {[
                        extension.due ? t`Another time was granted.` : '',
                        extension.attempts > 0 ? t`More attempts were granted: ${extension.attempts}.` : '',
                        extension.why === '' ? '' : t`Why: ${extension.why}`,
                    ].join(' ')}
                </p>
            )}
        </section>
    );
}

/** Another time, or more attempts, for this one. */
export function Grant({ page: { deliverable, extension } }: { page: HandInPage }) {
    const [due, setDue] = useState('');
    const [attempts, setAttempts] = useState(String(extension?.attempts ?? 0));
    const [why, setWhy] = useState(extension?.why ?? '');
    const action = useAction(t`It could not be granted.`);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send(
            'put',
            to('extension', { deliverable: deliverable.id }),
            { due: due === '' ? null : due, attempts: Number(attempts) || 0, why },
            { names: ['due', 'attempts', 'why', 'refused'] },
        );
    };

    return (
        <form className="mb-5 text-[13px]" onSubmit={submit} aria-label={t`Grant more time or attempts`}>
            <h2 className="aside border-b border-ink pb-1">
                <Trans>Grant more</Trans>
            </h2>
            <Labelled label={t`due (empty: as everybody)`}>
                <input
                    type="datetime-local"
                    className="input w-full!"
                    value={due}
                    onChange={(event) => setDue(event.target.value)}
                />
            </Labelled>
            <Labelled label={t`more attempts`}>
                <input
                    className="input w-20!"
                    inputMode="numeric"
                    value={attempts}
                    onChange={(event) => setAttempts(event.target.value)}
                />
            </Labelled>
            <Labelled label={t`why`}>
                <input
                    className="input w-full!"
                    maxLength={400}
                    value={why}
                    onChange={(event) => setWhy(event.target.value)}
                />
            </Labelled>
            <button className="btn mt-2" disabled={action.busy}>
                <Trans>Grant</Trans>
            </button>
            <Fault says={action.fault} />
        </form>
    );
}

/** Who answers for it together. */
export function Team({ page: { deliverable, team, may } }: { page: HandInPage }) {
    const [members, setMembers] = useState(team.members.map(({ id }) => id));
    const action = useAction(t`The team could not be changed.`);
    if (!may.decide) {
        return team.members.length === 0 ? null : (
            <section className="mb-5 text-[13px]">
                <h2 className="aside border-b border-ink pb-1">
                    <Trans>Together with</Trans>
                </h2>
                <p className="pt-2">{team.members.map(({ name }) => name).join(', ')}</p>
            </section>
        );
    }

    return (
        <details className="mb-5 text-[13px]" open={team.members.length > 0}>
            <summary className="aside border-b border-ink pb-1">
                <Trans>A team</Trans>
            </summary>
            <fieldset className="pt-2">
                <legend className="sr-only">
                    <Trans>Who answers for it too</Trans>
                </legend>
                {team.possible.map(({ id, name }) => (
                    <label key={id} className="flex items-center gap-1.5">
                        <input
                            type="checkbox"
                            className="checkbox"
                            checked={members.includes(id)}
                            onChange={(event) =>
                                setMembers((was) =>
                                    event.target.checked ? [...was, id] : was.filter((each) => each !== id),
                                )
                            }
                        />
                        {name}
                    </label>
                ))}
            </fieldset>
            <button
                type="button"
                className="btn mt-2"
                disabled={action.busy}
                onClick={() =>
                    action.send(
                        'put',
                        to('team', { deliverable: deliverable.id }),
                        { members },
                        { names: ['refused', 'members'] },
                    )
                }
            >
                <Trans>Save</Trans>
            </button>
            <Fault says={action.fault} />
        </details>
    );
}
