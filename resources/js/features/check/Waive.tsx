import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useId, useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import type { Entry, Ledger } from '../../types/views';

/** Accepting an unequal line as it is, with the reason; or taking that back. */
export function Waive({ ledger, entry }: { ledger: Ledger; entry: Entry }) {
    const [open, setOpen] = useState(false);
    const label = ledger.labels[entry.id]?.label ?? entry.id;
    const waiver = entry.waiver?.key;
    if (waiver === undefined && open) {
        return <Reason ledger={ledger} entry={entry} onClose={() => setOpen(false)} />;
    }
    const takeBack = (key: number) =>
        router.delete(to('waiver.drop', { waiver: key }, { check: ledger.id }), { preserveScroll: true });

    return (
        <button
            type="button"
            className="link block text-[12.5px]"
            onClick={() => (waiver === undefined ? setOpen(true) : takeBack(waiver))}
        >
            {waiver === undefined ? t`accept as it is` : t`undo the acceptance`}
            <span className="sr-only">: {label}</span>
        </button>
    );
}

function Reason({ ledger, entry, onClose }: { ledger: Ledger; entry: Entry; onClose: () => void }) {
    const [reason, setReason] = useState('');
    const [all, setAll] = useState(false);
    const action = useAction(t`This could not be saved.`);
    const id = useId();
    const keep = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send(
            'post',
            to('waive', { check: ledger.id }),
            { id: entry.id, part: entry.part, pass: entry.pass ?? null, reason, all },
            { names: ['reason'], done: onClose },
        );
    };

    return (
        <form
            className="mt-1 border border-edge p-2 text-[13px]"
            onSubmit={keep}
            onKeyDown={(event) => event.key === 'Escape' && onClose()}
        >
            <label htmlFor={id}>
                <Trans>Why is it accepted?</Trans>
            </label>
            <input
                id={id}
                autoFocus
                className="input"
                value={reason}
                maxLength={500}
                onChange={(event) => setReason(event.target.value)}
                aria-invalid={action.fault !== null}
            />
            <label className="mt-1 flex items-baseline gap-1.5">
                <input
                    type="checkbox"
                    className="checkbox"
                    checked={all}
                    onChange={(event) => setAll(event.target.checked)}
                />
                <span>
                    <Trans>for all that follow “{ledger.specification}”</Trans>
                </span>
            </label>
            <Fault says={action.fault} />
            <span className="mt-1.5 flex gap-2">
                <button type="submit" className="btn btn-primary" disabled={action.busy}>
                    <Trans>Accept it</Trans>
                </button>
                <button type="button" className="btn" onClick={onClose}>
                    <Trans>Cancel</Trans>
                </button>
            </span>
        </form>
    );
}
