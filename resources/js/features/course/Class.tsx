import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { counted } from '../../lib/frames';
import { Breaking } from '../../parts/Breaking';
import { Heading } from '../../parts/Heading';
import type { AssignmentPage } from '../../types/views';

/** How points are spread, a bar a tenth. */
export function Spread({ bins }: { bins: AssignmentPage['distribution'] }) {
    const most = Math.max(1, ...bins.map(({ count }) => count));
    const all = bins.reduce((sum, { count }) => sum + count, 0);

    return all === 0 ? null : (
        <section aria-labelledby="spread">
            <Heading className="pt-6">
                <span id="spread">
                    <Trans>How points are spread</Trans>
                </span>
            </Heading>
            <table className="mt-2 w-full max-w-[520px] text-[13px]">
                <caption className="sr-only">
                    <Trans>How many have which share of the points</Trans>
                </caption>
                <tbody>
                    {[...bins].reverse().map(({ from, to, count }) => (
                        <tr key={from}>
                            <th scope="row" className="mono w-24 pr-3 text-right font-normal whitespace-nowrap">
                                {from === 90 ? t`90 % and more` : `${from}–${to} %`}
                            </th>
                            <td className="w-full">
                                <span className="flex items-center gap-2">
                                    <span
                                        className="inline-block h-3 bg-link"
                                        style={{ width: `${(count / most) * 80}%` }}
                                    />
                                    <span className="mono">{count === 0 ? '' : count}</span>
                                </span>
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

/** What went wrong how often, and with whom. */
export function CommonMistakes({ common }: { common: AssignmentPage['common'] }) {
    return common.length === 0 ? null : (
        <section aria-labelledby="common-mistakes">
            <Heading className="pt-6">
                <span id="common-mistakes">
                    <Trans>Common mistakes</Trans>
                </span>
            </Heading>
            <ul>
                {common.map(({ cause, says, who }) => (
                    <li key={cause} className="flex gap-3 border-b border-rule py-1.5">
                        <strong className="mono w-8 shrink-0 text-right">{who.length}</strong>
                        <span>
                            {cause.replaceAll('-', ' ')}
                            <span className="block text-[13px] text-faint">
                                {who.length === 1 && (
                                    <>
                                        <Breaking text={says} />
                                        <br />
                                    </>
                                )}
                                {who.join(', ')}
                            </span>
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

type Shared = AssignmentPage['same'][number];

function Pairs({ what, pairs, count }: { what: string; pairs: [string, string][]; count: number }) {
    return count === 0 ? null : (
        <div className="pt-1">
            <span className="text-[13px]">{what}</span>
            {pairs.map(([a, b]) => (
                <p key={`${a} ${b}`} className="grid grid-cols-2 gap-x-4 text-[13px]">
                    <span className="mono [overflow-wrap:anywhere]">{a}</span>
                    <span className="mono [overflow-wrap:anywhere]">{b}</span>
                </p>
            ))}
        </div>
    );
}

function Same({ same }: { same: Shared }) {
    return (
        <li className="border-b border-rule py-2">
            <p className="grid grid-cols-2 gap-x-4">
                <strong>{same.a}</strong>
                <strong>{same.b}</strong>
            </p>
            <Pairs
                what={t`${counted(same.fileCount, t`file`, t`files`)} with the same bytes`}
                pairs={same.files}
                count={same.fileCount}
            />
            <Pairs
                what={t`${counted(same.pictureCount, t`picture`, t`pictures`)} with the same pixels`}
                pairs={same.pictures}
                count={same.pictureCount}
            />
            {same.told.map((says) => (
                <p key={says} className="text-[13px]">
                    <Breaking text={says} />
                </p>
            ))}
            {same.timeCount > 0 && (
                <p className="text-[13px]">
                    <Trans>{same.timeCount} files written in the same seconds</Trans>
                </p>
            )}
        </li>
    );
}

/** Whose files have something in common that those of others do not; what that means is not said. */
export function SameFiles({ same }: { same: Shared[] }) {
    return same.length === 0 ? null : (
        <section aria-labelledby="same-files">
            <Heading className="pt-6">
                <span id="same-files">
                    <Trans>Same files</Trans>
                </span>
            </Heading>
            <p className="said max-w-[70ch] pt-1">
                <Trans>
                    What these hand-ins share and others do not. Why they do is not known here: ask before you conclude.
                </Trans>
            </p>
            <ul>
                {same.map((each) => (
                    <Same key={`${each.a} ${each.b}`} same={each} />
                ))}
            </ul>
        </section>
    );
}
