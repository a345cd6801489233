import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Breaking } from '../../parts/Breaking';
import { Folded } from '../../parts/Folded';
import { MarkSign } from '../../parts/MarkSign';
import type { AgainstPage } from '../../types/views';

const WORDS = [
    ['put_right', t`put right`],
    ['new', t`new, or come back`],
    ['still', t`still wrong`],
    ['accepted', t`accepted as it is`],
] as const;

/** Requirements whose lines are in order by now, or not any more. */
export function SinceThen({ since }: { since: AgainstPage['since'] }) {
    const said = WORDS.filter(([key]) => since[key].length > 0);

    return said.length === 0 ? (
        <p className="said px-6 pt-4">
            <Trans>No line stands otherwise than it did.</Trans>
        </p>
    ) : (
        <dl className="grid grid-cols-[140px_1fr] gap-x-3 gap-y-1 px-6 pt-4">
            {said.map(([key, word]) => (
                <div key={key} className="contents">
                    <dt className="aside">{word}</dt>
                    <dd>{since[key].join(', ')}</dd>
                </div>
            ))}
        </dl>
    );
}

function Found({ cell }: { cell: AgainstPage['lines'][number]['now'] }) {
    return (
        <td className="py-1 pr-3 align-top">
            {cell === null ? (
                <span className="text-faint">
                    <Trans>not asked</Trans>
                </span>
            ) : (
                <>
                    <MarkSign mark={cell.mark} />{' '}
                    <span className="mono [overflow-wrap:anywhere]">
                        <Folded text={cell.found ?? ''} most={120} />
                    </span>
                </>
            )}
        </td>
    );
}

/** What was found then and now, where that differs. */
export function Lines({ page }: { page: AgainstPage }) {
    return page.lines.length === 0 ? null : (
        <section className="px-6 pt-5">
            <h2 className="aside border-b border-ink pb-1">
                <Trans>Line by line, where the files differ</Trans>
            </h2>
            <table className="w-full">
                <thead>
                    <tr className="text-left text-[13px] text-faint">
                        <th scope="col" className="font-normal">
                            <Trans>requirement</Trans>
                        </th>
                        <th scope="col" className="font-normal">
                            {page.before.made}
                        </th>
                        <th scope="col" className="font-normal">
                            {page.now.made}
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {page.lines.map((line, at) => (
                        <tr key={at} className="border-t border-rule">
                            <th scope="row" className="py-1 pr-3 text-left align-top font-normal">
                                {line.label} <span className="text-[12.5px] text-faint">{line.pass ?? line.part}</span>
                            </th>
                            <Found cell={line.before} />
                            <Found cell={line.now} />
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

/** Kinds of change, each with the frames it is of. */
function Kinds({ kinds }: { kinds: [string, string][] }) {
    const told = kinds.filter(([, frames]) => frames !== '');

    return (
        <dl className="grid grid-cols-[180px_1fr] gap-x-3">
            {told.map(([word, frames]) => (
                <div key={word} className="contents">
                    <dt className="text-faint">{word}</dt>
                    <dd className="mono [overflow-wrap:anywhere]">
                        <Folded text={frames} most={160} />
                    </dd>
                </div>
            ))}
            {told.length === 0 && (
                <dt className="text-faint">
                    <Trans>as before</Trans>
                </dt>
            )}
        </dl>
    );
}

/** What has become of the frames that are owed. */
export function Frames({ frames }: { frames: AgainstPage['frames'] }) {
    return frames.length === 0 ? null : (
        <section className="px-6 pt-5">
            <h2 className="aside border-b border-ink pb-1">
                <Trans>Frame by frame</Trans>
            </h2>
            {frames.map(({ part, pass, come, gone, whole, damaged, rerender }) => (
                <div key={`${part} ${pass}`} className="border-b border-rule py-1.5">
                    <h3 className="font-semibold">{pass === '' ? part : pass}</h3>
                    <Kinds
                        kinds={[
                            ['come', come],
                            ['gone', gone],
                            [t`whole now`, whole],
                            [t`damaged now`, damaged],
                            [t`still to be rendered`, rerender],
                        ]}
                    />
                </div>
            ))}
        </section>
    );
}

/** What has become of the files themselves, by size and time. */
export function Files({ files }: { files: AgainstPage['files'] }) {
    return files.length === 0 ? null : (
        <section className="px-6 pt-5">
            <h2 className="aside border-b border-ink pb-1">
                <Trans>File by file, by size and time</Trans>
            </h2>
            {files.map(({ folder, pattern, same, changed, come, gone, file }) => (
                <div key={`${folder}/${pattern}`} className="border-b border-rule py-1.5">
                    <h3 className="mono text-[13px]">
                        <Breaking text={folder === '' ? pattern : `${folder}/${pattern}`} />
                    </h3>
                    {file === '' ? (
                        <Kinds
                            kinds={[
                                ['unchanged', same],
                                [t`written anew`, changed],
                                ['come', come],
                                ['gone', gone],
                            ]}
                        />
                    ) : (
                        <p className="text-faint">
                            {{ same: 'unchanged', changed: t`written anew`, come: 'come', gone: 'gone' }[file]}
                        </p>
                    )}
                </div>
            ))}
        </section>
    );
}
