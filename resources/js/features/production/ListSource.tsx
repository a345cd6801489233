import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ReactNode } from 'react';
import { Radios } from '../../parts/Field';
import type { FromListPage } from '../../types/views';
import type { Source, useList } from './useList';

const SOURCES = [
    ['file', t`a file`],
    ['text', t`text pasted in`],
    ['learners', t`the roster, one for each learner`],
] as const satisfies readonly (readonly [Source, string])[];

type List = Pick<ReturnType<typeof useList>, 'state' | 'take' | 'choose'>;

function FileSource({ state, take, choose }: List) {
    return (
        <>
            <label htmlFor="list">
                <Trans>The file</Trans>
            </label>
            <div>
                <input
                    id="list"
                    type="file"
                    accept=".csv,.tsv,.txt,.xlsx,.otio,.json"
                    className="file-input file-input-sm"
                    onChange={(event) => void choose(event.target.files?.[0] ?? null)}
                />
                <p className="text-[13px] text-faint">
                    <Trans>
                        A list as CSV or XLSX with headings such as shot, range, handles, camera, version, owner, due;
                        or a timeline as OpenTimelineIO.
                    </Trans>
                </p>
                {state.sheets.length > 1 && (
                    <label className="flex items-baseline gap-2 pt-1">
                        <Trans>Sheet</Trans>
                        <select
                            className="select w-auto!"
                            value={state.sheet}
                            onChange={(event) => take({ does: 'open', sheet: Number(event.target.value) })}
                        >
                            {state.sheets.map((each, at) => (
                                <option key={each.name} value={at}>
                                    {each.name}
                                </option>
                            ))}
                        </select>
                    </label>
                )}
            </div>
        </>
    );
}

function TextSource({ state, take, code }: List & { code: string }) {
    return (
        <>
            <label htmlFor="pasted">
                <Trans>The list</Trans>
            </label>
            <textarea
                id="pasted"
                className="textarea mono h-36"
                value={state.text}
                spellCheck={false}
                placeholder={t`shot\trange\thandles\towner\n${code}_050\t1001-1048\t8\twren`}
                onChange={(event) => take({ does: 'paste', text: event.target.value })}
            />
        </>
    );
}

function Roster({ state, take, learners }: List & { learners: FromListPage['learners'] }) {
    return (
        <>
            <span id="learners">
                <Trans>Learners</Trans>
            </span>
            {learners.length === 0 ? (
                <p className="text-faint">
                    <Trans>Nobody is a learner in this production.</Trans>
                </p>
            ) : (
                <div role="group" aria-labelledby="learners" className="flex flex-wrap gap-x-4 gap-y-1">
                    {learners.map((each) => (
                        <label key={each.id} className="flex items-baseline gap-1.5">
                            <input
                                type="checkbox"
                                className="checkbox"
                                checked={state.roster.includes(each.handle)}
                                onChange={(event) =>
                                    take({ does: 'call', handle: each.handle, on: event.target.checked })
                                }
                            />
                            {each.name}
                        </label>
                    ))}
                </div>
            )}
            <label htmlFor="code">
                <Trans>Code of each</Trans>
            </label>
            <input
                id="code"
                className="input mono max-w-[320px]"
                value={state.code}
                onChange={(event) => take({ does: 'set', values: { code: event.target.value } })}
            />
        </>
    );
}

/** Where a list comes from, and what new deliverables follow. */
export function ListSource({ page, list }: { page: FromListPage; list: List }) {
    const { state, take } = list;
    const sources: Record<Source, ReactNode> = {
        file: <FileSource {...list} />,
        text: <TextSource {...list} code={page.book.production.code} />,
        learners: <Roster {...list} learners={page.learners} />,
    };

    return (
        <div className="grid items-baseline gap-x-4 sm:grid-cols-[150px_minmax(0,1fr)] gap-y-2">
            <label htmlFor="specification">
                <Trans>New ones follow</Trans>
            </label>
            <select
                id="specification"
                className="select max-w-[440px]"
                value={state.specification}
                onChange={(event) => take({ does: 'set', values: { specification: event.target.value } })}
            >
                {page.specifications.map((each) => (
                    <option key={each.id} value={each.id}>
                        {each.title}
                    </option>
                ))}
            </select>
            <span id="source">
                <Trans>They come from</Trans>
            </span>
            <div role="radiogroup" aria-labelledby="source" className="flex flex-wrap gap-x-4">
                <Radios
                    name="source"
                    words={SOURCES}
                    chosen={state.source}
                    onChoose={(source) => take({ does: 'turn', source })}
                />
            </div>
            {sources[state.source]}
        </div>
    );
}
