import { router } from '@inertiajs/react';
import { useId, useState } from 'react';
import type { Entry, Ledger } from '../../types/views';

/** Accepting an unequal line as it is, with the reason; or taking that back. */
export function Waive({ ledger, entry }: { ledger: Ledger; entry: Entry }) {
    const [open, setOpen] = useState(false);
    const [reason, setReason] = useState('');
    const [all, setAll] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const id = useId();
    const label = ledger.labels[entry.id]?.label ?? entry.id;

    if (entry.waiver?.key !== undefined) {
        const key = entry.waiver.key;

        return (
            <button
                type="button"
                className="link block text-[12.5px]"
                onClick={() => router.delete(`/waivers/${key}?check=${ledger.id}`, { preserveScroll: true })}
            >
                accept it no more<span className="sr-only">: {label}</span>
            </button>
        );
    }
    if (!open) {
        return (
            <button type="button" className="link block text-[12.5px]" onClick={() => setOpen(true)}>
                accept as it is<span className="sr-only">: {label}</span>
            </button>
        );
    }
    const keep = () => {
        setBusy(true);
        router.post(
            `/checks/${ledger.id}/waivers`,
            { id: entry.id, part: entry.part, pass: entry.pass ?? null, reason, all },
            {
                preserveScroll: true,
                onError: (errors) => setFault(errors.reason ?? Object.values(errors)[0] ?? 'This could not be kept.'),
                onSuccess: () => setOpen(false),
                onFinish: () => setBusy(false),
            },
        );
    };

    return (
        <form
            className="mt-1 border border-edge p-2 text-[13px]"
            onSubmit={(event) => {
                event.preventDefault();
                keep();
            }}
            onKeyDown={(event) => {
                if (event.key === 'Escape') {
                    setOpen(false);
                }
            }}
        >
            <label htmlFor={id}>Why is it accepted?</label>
            <input
                id={id}
                autoFocus
                className="input"
                value={reason}
                maxLength={500}
                onChange={(event) => setReason(event.target.value)}
                aria-invalid={fault !== null}
            />
            <label className="mt-1 flex items-baseline gap-1.5">
                <input
                    type="checkbox"
                    className="checkbox"
                    checked={all}
                    onChange={(event) => setAll(event.target.checked)}
                />
                <span>for all that follow “{ledger.specification}”</span>
            </label>
            {fault !== null && (
                <p role="alert" className="text-red">
                    {fault}
                </p>
            )}
            <span className="mt-1.5 flex gap-2">
                <button type="submit" className="btn btn-primary" disabled={busy}>
                    Accept it
                </button>
                <button type="button" className="btn" onClick={() => setOpen(false)}>
                    Leave it
                </button>
            </span>
        </form>
    );
}
