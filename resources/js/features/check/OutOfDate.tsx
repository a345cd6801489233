import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import type { Ledger } from '../../types/views';

/** Says that a check is out of date, since something else is asked or files were arriving, with the way out at hand. */
export function OutOfDate({ ledger }: { ledger: Ledger }) {
    const action = useAction(t`This could not be checked again.`);
    if ((ledger.current && !ledger.arrived) || !ledger.newest) {
        return null;
    }

    return (
        <div role="status" className="alert alert-warning mx-6 mt-3">
            <span>
                {!ledger.current && (
                    <Trans>
                        Something else is asked since this check, {ledger.made}. This page tells of what was asked then.
                    </Trans>
                )}{' '}
                {ledger.arrived && (
                    <Trans>
                        Files were still arriving at {ledger.made}; whether they have come since, another look tells.
                    </Trans>
                )}
            </span>
            <button
                type="button"
                className="btn btn-primary"
                disabled={action.busy}
                onClick={() => action.send('post', to('check.again', { check: ledger.id }))}
            >
                {action.busy ? t`Checking…` : t`Check again`}
            </button>
            <Fault says={action.fault} />
        </div>
    );
}
