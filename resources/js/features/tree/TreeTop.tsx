import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { usePolling } from '../../lib/usePolling';
import { Fault } from '../../parts/Fault';
import { FolderBrowser, type Choice } from '../../parts/FolderBrowser';
import type { ShownTree, TreePage } from '../../types/views';

const EVERY = 1000;

/** How far it is, asked for again and again. */
function UnderWay({ tree, production }: { tree: ShownTree; production: number }) {
    const action = useAction(t`It could not be stopped.`);
    usePolling(async () => {
        await new Promise<void>((done) => router.reload({ only: ['tree'], onFinish: () => done() }));

        return EVERY;
    }, EVERY);
    const { progress } = tree;
    const all = progress?.all ?? null;

    return (
        <section className="mx-6 my-3 border border-edge px-3 py-2" aria-label={t`Tree being looked through`}>
            <p className="flex items-baseline gap-3">
                <span className="said" role="status">
                    {progress === null || all === null
                        ? t`Reading names.`
                        : t`${progress.done.toLocaleString('en')} of ${all.toLocaleString('en')} files read.`}
                </span>
                <button
                    type="button"
                    className="btn ml-auto"
                    disabled={action.busy}
                    onClick={() => action.send('delete', to('tree.stop', { production }))}
                >
                    <Trans>Stop</Trans>
                </button>
            </p>
            <progress
                className="progress mt-1"
                value={all === null ? undefined : progress?.done}
                max={all ?? 1}
                aria-label={t`Files read`}
            />
            <p className="mono text-[12.5px] text-faint [overflow-wrap:anywhere]">{progress?.at}</p>
            <Fault says={action.fault} />
        </section>
    );
}

function Said({ tree, choosing, onChoose }: { tree: ShownTree; choosing: boolean; onChoose: () => void }) {
    const { totals } = tree;

    return (
        <div className="px-6 pt-3">
            {totals !== null && (
                <p className="said">
                    <Trans>
                        {totals.balanced} of {totals.deliverables} balance.{' '}
                        {totals.frames_missing > 0 &&
                            t`${totals.frames_missing.toLocaleString('en')} frames are missing. `}
                        {totals.nothing_delivered > 0 && t`Nothing was delivered of ${totals.nothing_delivered}.`}
                    </Trans>
                </p>
            )}
            <p className="mt-1 flex flex-wrap items-center gap-3 text-[13px] text-faint">
                <span>
                    <Trans>
                        in <span className="mono [overflow-wrap:anywhere]">{tree.place}</span>, looked through {tree.at}
                    </Trans>
                </span>
                <button type="button" className="btn" aria-expanded={choosing} onClick={onChoose}>
                    {choosing ? t`Cancel` : t`Another tree`}
                </button>
            </p>
        </div>
    );
}

/** Which folder is to be looked through. */
function ChooseTree({ page, onBegun }: { page: TreePage; onBegun: () => void }) {
    const { tree, roots } = page;
    const production = page.book.production.id;
    const action = useAction(t`This tree could not be looked through.`);
    const begin = (at: Choice) =>
        action.send(
            'post',
            to('tree.begin', { production }),
            { ...at },
            { names: ['below', 'root', 'refused'], done: onBegun },
        );

    return (
        <FolderBrowser
            browse={to('reference', { production })}
            roots={roots}
            start={tree === null ? null : { root: tree.root, below: tree.folder }}
            fault={action.fault}
        >
            {(at, ready) => (
                <button
                    type="button"
                    className="btn btn-primary"
                    disabled={action.busy || !ready}
                    onClick={() => begin(at)}
                >
                    <Trans>Look through this tree</Trans>
                </button>
            )}
        </FolderBrowser>
    );
}

/** Which tree was looked through, how far that is, and the way to another. */
export function TreeTop({ page }: { page: TreePage }) {
    const { tree } = page;
    const fault = tree?.fault ?? null;
    const [choosing, setChoosing] = useState(tree === null || fault !== null);
    if (tree?.running === true) {
        return <UnderWay tree={tree} production={page.book.production.id} />;
    }

    return (
        <>
            {tree === null ? (
                <p className="said px-6 pt-4">
                    <Trans>
                        A folder in which several deliverables were delivered is looked through once; each sequence and
                        movie is matched to the deliverable it answers.
                    </Trans>
                </p>
            ) : (
                fault === null && <Said tree={tree} choosing={choosing} onChoose={() => setChoosing(!choosing)} />
            )}
            <Fault says={fault} className="px-6 pt-3" />
            {choosing && <ChooseTree page={page} onBegun={() => setChoosing(false)} />}
        </>
    );
}
