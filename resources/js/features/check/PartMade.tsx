import { router } from '@inertiajs/react';
import { useState } from 'react';
import type { Ledger } from '../../types/views';

/** Which part of several the settings make, and another where that was concluded wrongly. */
export function PartMade({ deliverable, ledger }: { deliverable: number; ledger: Ledger }) {
    const [busy, setBusy] = useState(false);
    const made = ledger.document.scene?.makes ?? [];
    const told = ledger.scene?.part ?? null;
    const tell = (part: string | null) =>
        router.put(
            `/deliverables/${deliverable}/scene/part`,
            { part },
            { preserveScroll: true, onStart: () => setBusy(true), onFinish: () => setBusy(false) },
        );
    const changeable = ledger.newest && made.length < 2;

    return (
        <p
            className="mt-1 flex flex-wrap items-baseline gap-x-3"
            role="group"
            aria-label="Which part these settings make"
        >
            <span>These settings make:</span>
            {ledger.parts.map((part) => {
                const on = made.includes(part);

                return changeable ? (
                    <button
                        key={part}
                        type="button"
                        disabled={busy}
                        aria-pressed={on}
                        onClick={() => (on ? undefined : tell(part))}
                        className={
                            on
                                ? 'mono border-b-2 border-ink font-semibold'
                                : 'mono cursor-pointer text-faint hover:text-ink'
                        }
                    >
                        {part}
                    </button>
                ) : (
                    <span key={part} className={on ? 'mono font-semibold' : 'mono text-faint line-through'}>
                        {part}
                    </span>
                );
            })}
            {told !== null && changeable ? (
                <span className="text-[13px] text-faint">
                    as somebody said;{' '}
                    <button type="button" className="link" disabled={busy} onClick={() => tell(null)}>
                        let their format and name say it
                    </button>
                </span>
            ) : (
                made.length < 2 && <span className="text-[13px] text-faint">as their format and name say</span>
            )}
        </p>
    );
}
