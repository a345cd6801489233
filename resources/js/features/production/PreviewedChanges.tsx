import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { LedgerHead } from '../../parts/LedgerHead';
import type { PreviewedChange } from '../../types/views';

const NOT_ASKED = (
    <span className="font-sans text-faint">
        <Trans>not asked</Trans>
    </span>
);

/** What would become of each, and the way to do it. */
export function PreviewedChanges({
    plan,
    busy,
    onWrite,
}: {
    plan: PreviewedChange[];
    busy: boolean;
    onWrite: () => void;
}) {
    const many = plan.filter((each) => each.from !== each.to).length;
    const change = many === 1 ? t`Change one` : t`Change ${many}`;
    const says = many === 0 ? t`Nothing would change` : change;

    return (
        <div className="pt-4" aria-live="polite">
            <table className="ledger">
                <LedgerHead columns={[[t`deliverable`], [t`now`], [t`then`]]} />
                <tbody>
                    {plan.map((each) => (
                        <tr key={each.id}>
                            <th scope="row" className="mono">
                                {each.code}
                            </th>
                            <td className="column mono">{each.from ?? NOT_ASKED}</td>
                            <td className="column mono">
                                {each.from === each.to ? (
                                    <span className="font-sans text-faint">
                                        <Trans>the same</Trans>
                                    </span>
                                ) : (
                                    (each.to ?? NOT_ASKED)
                                )}
                                {each.conflicts.map((conflict) => (
                                    <span key={conflict} className="block font-sans text-[13px] text-red">
                                        {conflict}
                                    </span>
                                ))}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="flex items-baseline gap-3 pt-3">
                <button type="button" className="btn btn-primary" disabled={busy || many === 0} onClick={onWrite}>
                    {says}
                </button>
                {plan.some((each) => each.conflicts.length > 0) && (
                    <span className="text-red">
                        <Trans>Some would contradict themselves.</Trans>
                    </span>
                )}
            </p>
        </div>
    );
}
