import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { classes } from '../../lib/classes';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import type { Ledger } from '../../types/views';

/** Which part of several the settings make, and another where that was concluded wrongly. */
export function PartMade({ deliverable, ledger }: { deliverable: number; ledger: Ledger }) {
    const { busy, send } = useAction(t`This could not be saved.`);
    const made = ledger.document.scene?.makes ?? [];
    const isTold = ledger.scene?.part != null;
    const isOpen = ledger.newest && made.length < 2;
    const tell = (part: string | null) => send('put', to('scene.part', { deliverable }), { part });

    return (
        <p className="tabs tabs-sm mt-1 flex-wrap!" role="group" aria-label={t`Which part these settings make`}>
            <span>
                <Trans>These settings make:</Trans>
            </span>
            {ledger.parts.map((part) => {
                const on = made.includes(part);

                return isOpen ? (
                    <button
                        key={part}
                        type="button"
                        disabled={busy}
                        aria-pressed={on}
                        onClick={() => (on ? undefined : tell(part))}
                        className={classes('tab mono', on && 'tab-active')}
                    >
                        {part}
                    </button>
                ) : (
                    <span key={part} className={on ? 'mono font-semibold' : 'mono text-faint line-through'}>
                        {part}
                    </span>
                );
            })}
            {isTold && isOpen && (
                <span className="text-[13px] text-faint">
                    <Trans>as somebody said; </Trans>
                    <button type="button" className="link" disabled={busy} onClick={() => tell(null)}>
                        <Trans>let their format and name say it</Trans>
                    </button>
                </span>
            )}
            {!(isTold && isOpen) && made.length < 2 && (
                <span className="text-[13px] text-faint">
                    <Trans>as their format and name say</Trans>
                </span>
            )}
        </p>
    );
}
