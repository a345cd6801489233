import { Trans } from '@lingui/react/macro';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import type { EntryRow, TypedAttempt } from '../../types/views';

function Where({ row }: { row: EntryRow | undefined }) {
    return row?.where == null ? null : (
        <section className="pb-3">
            <h2 className="aside pb-1">{row.label}</h2>
            <p className="note">{row.where}</p>
        </section>
    );
}

/** What stands beside the sheet: where a setting is found, why something is unequal, and what all of it comes to. */
export function EntryMargin({
    row,
    answer,
    trouble,
}: {
    row: EntryRow | undefined;
    answer: TypedAttempt | null;
    trouble: string | null;
}) {
    const causes = answer?.causes ?? [];
    const comesTo = answer?.comesTo ?? [];

    return (
        <div aria-live="polite">
            <Fault says={trouble} className="pb-2" />
            <Where row={row} />
            {causes.length > 0 && (
                <section>
                    <h2 className="aside pb-1">
                        <Trans>Why</Trans>
                    </h2>
                    <ol>
                        {causes.map((cause, n) => (
                            <li key={n} className="note">
                                <Breaking text={cause.says} />
                            </li>
                        ))}
                    </ol>
                </section>
            )}
            {comesTo.length > 0 && (
                <section>
                    <h2 className="aside pb-1">
                        <Trans>What it comes to</Trans>
                    </h2>
                    <dl className="note">
                        {comesTo.map((line) => (
                            <div key={line.id} className="pb-1">
                                <dt className="aside text-[13px]">{line.label}</dt>
                                <dd className="mono text-[13px]">
                                    <Breaking text={line.says} />
                                </dd>
                            </div>
                        ))}
                    </dl>
                </section>
            )}
        </div>
    );
}
