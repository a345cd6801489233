import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type ReactNode } from 'react';
import { isCarried } from '../../lib/carried';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import type { Choice } from '../../parts/FolderBrowser';
import type { FramesPage, Ledger, ScanDepth, ShownDelivery } from '../../types/views';
import { BrokenOff } from '../../parts/BrokenOff';
import { CheckProgress } from './CheckProgress';
import { ChooseFolder } from './ChooseFolder';
import { FramesHead } from './FramesHead';
import { Watched } from './Watched';

/** Where files were looked at the last time. */
function placeOf(delivery: ShownDelivery | null): Choice | null {
    return delivery === null || delivery.rootId === null ? null : { root: delivery.rootId, below: delivery.folder };
}

/** Nothing was looked at yet, or something was brought for it on the page before. */
const isToChoose = (delivery: ShownDelivery | null, deliverable: number): boolean =>
    delivery === null || isCarried('folder', deliverable) || isCarried('archive', deliverable);

/** A check that is under way; else how the last one ended before its end, and a folder that is followed. */
function Running({ page: { running, broken, watch, deliverable } }: { page: FramesPage }) {
    if (running !== null) {
        return <CheckProgress key={running.id} running={running} />;
    }

    return (
        <>
            {broken !== null && <BrokenOff broken={broken} />}
            {watch !== null && <Watched watch={watch} deliverable={deliverable.id} />}
        </>
    );
}

/** What was looked at, what is being looked at, and the ways to look again. */
export function FramesTop({
    page,
    ledger,
    own,
}: {
    page: FramesPage;
    ledger: Ledger | null;
    /** another way to bring files */
    own: ReactNode;
}) {
    const { deliverable, roots, running } = page;
    const delivery = ledger?.delivery ?? null;
    const last = placeOf(delivery);
    const isRunning = running !== null;
    const [choosing, setChoosing] = useState(() => isToChoose(delivery, deliverable.id));
    const action = useAction(t`This could not be checked.`);
    const check = (choice: Choice, depth: ScanDepth) =>
        action.send(
            'post',
            to('checks.store', { deliverable: deliverable.id }),
            { ...choice, depth },
            { names: ['below', 'root', 'refused'], preserveScroll: false, done: () => setChoosing(false) },
        );
    const follow = (choice: Choice) =>
        action.send(
            'post',
            to('watch', { deliverable: deliverable.id }),
            { ...choice },
            { names: ['below', 'root', 'refused'], preserveScroll: false, done: () => setChoosing(false) },
        );

    return (
        <>
            <Running page={page} />
            {delivery !== null && ledger !== null && (
                <div className="px-6 pt-3">
                    <FramesHead
                        ledger={ledger}
                        delivery={delivery}
                        isRunning={isRunning}
                        canRepeat={roots.some((root) => root.id === last?.root)}
                        choosing={choosing}
                        busy={action.busy}
                        onRepeat={(depth) => last !== null && check(last, depth)}
                        onChoose={() => setChoosing(!choosing)}
                    />
                    {!choosing && <Fault says={action.fault} className="mt-1" />}
                </div>
            )}
            {delivery === null && !isRunning && (
                <p className="said px-6 pt-5">
                    <Trans>No files have been looked at yet. Choose the folder they were rendered to.</Trans>
                </p>
            )}
            {choosing && !isRunning && (
                <>
                    <ChooseFolder
                        deliverable={deliverable.id}
                        roots={roots}
                        start={last}
                        fault={action.fault}
                        busy={action.busy}
                        onCheck={check}
                        onFollow={follow}
                    />
                    {own}
                </>
            )}
        </>
    );
}
