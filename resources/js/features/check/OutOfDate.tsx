import { router } from '@inertiajs/react';
import { useState } from 'react';
import type { Ledger } from '../../types/views';

/** Says that a check is out of date, since something else is asked or files were arriving, with the way out at hand. */
export function OutOfDate({ ledger }: { ledger: Ledger }) {
    const [busy, setBusy] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    if ((ledger.current && !ledger.arrived) || !ledger.newest) {
        return null;
    }
    const again = () => {
        setFault(null);
        router.post(
            `/checks/${ledger.id}/again`,
            {},
            {
                preserveScroll: true,
                onStart: () => setBusy(true),
                onFinish: () => setBusy(false),
                onError: (errors) => setFault(Object.values(errors)[0] ?? 'This could not be checked again.'),
            },
        );
    };

    return (
        <div role="status" className="mx-6 mt-3 flex flex-wrap items-center gap-3 border border-ochre px-3 py-2">
            <span className="text-ochre">
                {!ledger.current &&
                    `Something else is asked since this check, ${ledger.made}. This page tells of what was asked then.`}
                {ledger.arrived &&
                    ` Files were still arriving at ${ledger.made}; whether they have come since, another look tells.`}
            </span>
            <button type="button" className="btn btn-primary" disabled={busy} onClick={again}>
                {busy ? 'Checking…' : 'Check again'}
            </button>
            {fault !== null && (
                <span role="alert" className="text-red">
                    {fault}
                </span>
            )}
        </div>
    );
}
