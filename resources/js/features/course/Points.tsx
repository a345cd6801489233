import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Breaking } from '../../parts/Breaking';
import { Heading } from '../../parts/Heading';
import { LedgerHead } from '../../parts/LedgerHead';
import type { FeedbackShown } from '../../types/views';

/** What each group of lines came to. */
export function Points({ feedback }: { feedback: FeedbackShown }) {
    return (
        <section aria-labelledby="points">
            <Heading className="pt-4">
                <span id="points">
                    <Trans>Points</Trans>
                </span>
            </Heading>
            <table className="ledger max-w-[760px]">
                <LedgerHead
                    columns={[
                        [t`for`, '60%'],
                        [t`points`, '26%'],
                        [t`of`, '14%'],
                    ]}
                />
                <tbody>
                    {feedback.lines.map(({ label, earned, open, of, bad, untold }) => (
                        <tr key={label}>
                            <th scope="row">
                                {label}
                                {bad.length > 0 && (
                                    <span className="block text-red">
                                        <Trans>differs: {bad.join(', ')}</Trans>
                                    </span>
                                )}
                                {untold.length > 0 && (
                                    <span className="aside block">
                                        <Trans>could not be checked: {untold.join(', ')}</Trans>
                                    </span>
                                )}
                            </th>
                            <td className="column mono">
                                {earned}
                                {open !== '' && (
                                    <span className="block text-[13px] text-ochre">
                                        <Trans>+{open} by eye</Trans>
                                    </span>
                                )}
                            </td>
                            <td className="column mono">{of}</td>
                        </tr>
                    ))}
                    {feedback.sums.map(({ label, points }) => (
                        <tr key={label}>
                            <th scope="row">{label}</th>
                            <td className="column mono">{points}</td>
                            <td className="column" />
                        </tr>
                    ))}
                    <tr className="font-semibold [&>*]:border-t-4 [&>*]:border-double [&>*]:border-t-ink">
                        <th scope="row">
                            <Trans>Together</Trans>
                        </th>
                        <td className="column mono">{feedback.total ?? t`to be agreed on`}</td>
                        <td className="column mono">{feedback.possible}</td>
                    </tr>
                </tbody>
            </table>
        </section>
    );
}

/** What went wrong, and what to do next time. */
export function NextTime({ causes }: { causes: FeedbackShown['causes'] }) {
    return (
        <section aria-labelledby="next-time">
            <Heading className="pt-6">
                <span id="next-time">
                    <Trans>What went wrong, and what to do next time</Trans>
                </span>
            </Heading>
            {causes.length === 0 ? (
                <p className="said pt-2">
                    <Trans>Nothing: all that could be checked is as it was asked.</Trans>
                </p>
            ) : (
                <ol className="max-w-[70ch] list-decimal pt-2 pl-6">
                    {causes.map(({ says, next }) => (
                        <li key={says} className="pb-2">
                            <Breaking text={says} />
                            {next !== '' && (
                                <span className="said block">
                                    <Breaking text={next} />
                                </span>
                            )}
                        </li>
                    ))}
                </ol>
            )}
        </section>
    );
}

/** What those who marked have to say. */
export function Remarks({ remarks }: { remarks: FeedbackShown['remarks'] }) {
    return remarks.length === 0 ? null : (
        <section aria-labelledby="remarks">
            <Heading className="pt-6">
                <span id="remarks">
                    <Trans>Remarks</Trans>
                </span>
            </Heading>
            {remarks.map(({ by, text }, at) => (
                <blockquote key={`${at} ${by}`} className="max-w-[70ch] pt-2">
                    <span className="aside">{by}</span>
                    <span className="said block whitespace-pre-line">
                        <Breaking text={text} />
                    </span>
                </blockquote>
            ))}
        </section>
    );
}
