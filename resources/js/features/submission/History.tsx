import { Trans } from '@lingui/react/macro';
import { Breaking } from '../../parts/Breaking';
import { MarkSign } from '../../parts/MarkSign';
import type { SubmissionPage } from '../../types/views';

/** All that happened, each bound to what happened before. */
export function History({ page: { history, broken } }: { page: SubmissionPage }) {
    return history.length === 0 ? null : (
        <section aria-labelledby="happened" className="pt-5">
            <h2 id="happened" className="aside pb-1">
                <Trans>All that happened</Trans>
            </h2>
            <table className="ledger">
                <thead>
                    <tr>
                        <th scope="col" className="w-10">
                            #
                        </th>
                        <th scope="col">
                            <Trans>what</Trans>
                        </th>
                        <th scope="col">
                            <Trans>who</Trans>
                        </th>
                        <th scope="col">
                            <Trans>when</Trans>
                        </th>
                        <th scope="col">
                            <Trans>its sum</Trans>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {history.map((entry) => (
                        <tr key={entry.number}>
                            <th scope="row">{entry.number}</th>
                            <td className="column">
                                {entry.act}
                                <span className="block text-[12.5px] text-faint">
                                    <Breaking text={entry.about} />
                                </span>
                            </td>
                            <td className="column">{entry.who}</td>
                            <td className="column">{entry.at}</td>
                            <td className="column mono text-[12px]">{entry.sum}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="flex items-baseline gap-2 pt-1 text-[13px] text-faint">
                <MarkSign mark={broken === null ? 'equal' : 'unequal'} />
                {broken === null ? (
                    <Trans>Each entry carries the sum of the one before; nothing in it was changed.</Trans>
                ) : (
                    <span className="text-red">
                        <Trans>This history was changed: {broken}.</Trans>
                    </span>
                )}
            </p>
        </section>
    );
}
