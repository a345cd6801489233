import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { ask } from '../../lib/ask';
import { to } from '../../lib/route';
import { sentence } from '../../lib/trouble';
import { Breaking } from '../../parts/Breaking';
import { Heading } from '../../parts/Heading';
import type { ProofOfAll } from '../../types/views';

function Found({ each }: { each: ProofOfAll['found'][number] }) {
    return (
        <div className="border-b border-rule py-1.5">
            {each.id === null ? (
                <span className="mono">{each.code}</span>
            ) : (
                <Link href={to('specification', { deliverable: each.id })} className="link mono">
                    {each.code}
                </Link>
            )}
            {each.conflicts.map((conflict) => (
                <p key={conflict.says} className="text-red">
                    <Breaking text={conflict.says} />
                </p>
            ))}
        </div>
    );
}

/** What contradicts itself anywhere in the production, looked for when asked. */
export function Proof({ production }: { production: number }) {
    const [proof, setProof] = useState<ProofOfAll | null>(null);
    const [busy, setBusy] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    const look = () => {
        setBusy(true);
        setFault(null);
        ask<ProofOfAll>(to('proof', { production }))
            .then(setProof, (trouble: unknown) => setFault(sentence(trouble, t`This could not be read.`)))
            .finally(() => setBusy(false));
    };

    return (
        <section className="pt-6" aria-label={t`Proofreading`}>
            <Heading>
                <Trans>Proofreading</Trans>
            </Heading>
            <p className="flex flex-wrap items-baseline gap-3 py-2">
                <button type="button" className="btn" disabled={busy} onClick={look}>
                    {busy ? t`Reading…` : t`Proofread all that is asked`}
                </button>
                <span className="text-faint">
                    <Trans>requirements that conflict, and deliverables that would write the same path</Trans>
                </span>
            </p>
            <div aria-live="polite">
                {fault !== null && <p className="text-red">{fault}</p>}
                {proof !== null && proof.found.length === 0 && (
                    <p className="text-green">
                        <Trans>All {proof.read} agree with themselves and with each other.</Trans>
                    </p>
                )}
                {proof?.found.map((each) => (
                    <Found key={each.code} each={each} />
                ))}
            </div>
        </section>
    );
}
