import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Folded } from '../../parts/Folded';
import { VerdictSign } from '../../parts/MarkSign';
import type { TreeLine, TreeTotals } from '../../types/views';

function Line({ line }: { line: TreeLine }) {
    return (
        <tr className="border-b border-rule align-top">
            <td className="py-1.5 pr-2">
                <VerdictSign verdict={line.verdict} waived={false} />
            </td>
            <th scope="row" className="py-1.5 pr-3 text-left font-normal [overflow-wrap:anywhere]">
                <Link className="link" href={to('frames', { deliverable: line.key })}>
                    {line.deliverable}
                </Link>
            </th>
            <td className="py-1.5 pr-3">
                {line.files === 0 ? t`nothing was delivered` : line.says}
                {line.cause !== null && (
                    <span className="block text-[13px] text-faint">
                        <Folded text={line.cause} most={200} />
                    </span>
                )}
            </td>
            <td className="mono py-1.5 pr-3 text-right">{line.files.toLocaleString('en')}</td>
            <td className="mono py-1.5 pr-3 text-right">{line.frames_missing.toLocaleString('en')}</td>
            <td className="mono py-1.5 text-[13px] [overflow-wrap:anywhere]">{line.folder}</td>
        </tr>
    );
}

/** A line a deliverable, and what all of them come to. */
export function TreeLines({ lines, totals }: { lines: TreeLine[]; totals: TreeTotals }) {
    return (
        <table className="mx-6 mt-3 w-[calc(100%-48px)]">
            <thead>
                <tr className="border-b border-ink text-left text-[13px]">
                    <th scope="col" className="font-normal">
                        <span className="sr-only">{t`verdict`}</span>
                    </th>
                    <th scope="col" className="aside py-1 font-normal">
                        <Trans>deliverable</Trans>
                    </th>
                    <th scope="col" className="aside py-1 font-normal">
                        <Trans>how it stands</Trans>
                    </th>
                    <th scope="col" className="aside py-1 pr-3 text-right font-normal">
                        <Trans>files</Trans>
                    </th>
                    <th scope="col" className="aside py-1 pr-3 text-right font-normal">
                        <Trans>missing</Trans>
                    </th>
                    <th scope="col" className="aside py-1 font-normal">
                        <Trans>folder</Trans>
                    </th>
                </tr>
            </thead>
            <tbody>
                {lines.map((line) => (
                    <Line key={line.key} line={line} />
                ))}
            </tbody>
            <tfoot>
                <tr className="border-t-[3px] border-double border-ink font-semibold">
                    <td />
                    <th scope="row" className="py-1.5 text-left">
                        <Trans>{totals.deliverables} in all</Trans>
                    </th>
                    <td className="py-1.5">
                        <Trans>
                            {totals.balanced} balanced, {totals.unbalanced} not, {totals.open} open
                        </Trans>
                    </td>
                    <td className="mono py-1.5 pr-3 text-right">{totals.files_answering.toLocaleString('en')}</td>
                    <td className="mono py-1.5 pr-3 text-right">{totals.frames_missing.toLocaleString('en')}</td>
                    <td />
                </tr>
            </tfoot>
        </table>
    );
}
