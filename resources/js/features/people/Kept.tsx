import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';

/** All that is kept of one person: handed out, or deleted whole. */
export function Kept({ production, membership, name }: { production: number; membership: number; name: string }) {
    const of = { production, membership };
    const [typed, setTyped] = useState('');
    const action = useAction(t`It could not be deleted.`);

    return (
        <details className="text-[13px]">
            <summary className="link" aria-label={t`What is kept of ${name}`}>
                <Trans>What is kept</Trans>
            </summary>
            <p className="pt-1">
                <a className="link" href={to('people.data', of)}>
                    <Trans>Take all of it as an archive</Trans>
                </a>
            </p>
            <form
                onSubmit={(event) => {
                    event.preventDefault();
                    action.send('delete', to('people.forget', of), { name: typed }, { names: ['name', 'refused'] });
                }}
            >
                <Labelled label={t`to delete all of it, type the name`}>
                    <input className="input w-full!" value={typed} onChange={(event) => setTyped(event.target.value)} />
                </Labelled>
                <button className="btn mt-1" disabled={action.busy || typed !== name}>
                    <Trans>Delete</Trans>
                </button>
                <Fault says={action.fault} />
            </form>
        </details>
    );
}
