import { Trans } from '@lingui/react/macro';
import { Breaking } from '../../parts/Breaking';
import { Folded } from '../../parts/Folded';
import { MarkSign } from '../../parts/MarkSign';
import type { Cell, CheckDocument, Entry } from '../../types/views';

const shown = (entry: Entry): Cell | undefined => entry.files;

function Line({ entry, label, several }: { entry: Entry; label: string; several: boolean }) {
    const cell = shown(entry);

    return (
        <tr>
            <th scope="row" className="py-1 pr-3 text-left align-top font-normal">
                {label}
                {(several || entry.pass !== undefined) && (
                    <span className="block text-[12.5px] text-faint">{[entry.part, entry.pass].join(' ')}</span>
                )}
            </th>
            <td className="mono py-1 pr-3 align-top [overflow-wrap:anywhere]">{entry.required}</td>
            <td className="py-1 align-top">
                {cell === undefined ? (
                    <span className="text-faint">
                        <Trans>not looked at</Trans>
                    </span>
                ) : (
                    <>
                        <MarkSign mark={cell.mark} />{' '}
                        <span className="mono [overflow-wrap:anywhere]">{cell.found ?? ''}</span>
                    </>
                )}
            </td>
        </tr>
    );
}

/** What a check came to, of which nothing is kept: what is wrong and why, what puts it right, and every line. */
export function OwnAnswer({ document, labels }: { document: CheckDocument; labels: Record<string, string> }) {
    const several = new Set(document.entries.map((entry) => entry.part)).size > 1;
    const lines = document.entries.filter((entry) => shown(entry) !== undefined);
    const order = { unequal: 0, unknown: 1, waived: 2, equal: 3 };
    lines.sort((a, b) => order[shown(a)?.mark ?? 'equal'] - order[shown(b)?.mark ?? 'equal']);

    return (
        <>
            {document.causes.length > 0 && (
                <section className="mt-5">
                    <h2 className="aside border-b border-ink pb-1">
                        <Trans>Why</Trans>
                    </h2>
                    <ol>
                        {document.causes.map((cause, at) => (
                            <li key={at} className="note">
                                <Folded text={cause.says} most={420} />
                            </li>
                        ))}
                    </ol>
                </section>
            )}
            {document.fixes.length > 0 && (
                <section className="mt-5">
                    <h2 className="aside border-b border-ink pb-1">
                        <Trans>What puts it right</Trans>
                    </h2>
                    <ol className="ml-5 list-decimal">
                        {document.fixes.map((fix, at) => (
                            <li key={at} className="py-1">
                                <Breaking text={fix.says} />
                            </li>
                        ))}
                    </ol>
                </section>
            )}
            <section className="mt-5">
                <h2 className="aside border-b border-ink pb-1">
                    <Trans>Line by line</Trans>
                </h2>
                <table className="w-full">
                    <thead>
                        <tr className="text-left text-[13px] text-faint">
                            <th scope="col">
                                <Trans>what</Trans>
                            </th>
                            <th scope="col">
                                <Trans>asked</Trans>
                            </th>
                            <th scope="col">
                                <Trans>in the files</Trans>
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {lines.map((entry, at) => (
                            <Line key={at} entry={entry} label={labels[entry.id] ?? entry.id} several={several} />
                        ))}
                    </tbody>
                </table>
            </section>
        </>
    );
}
