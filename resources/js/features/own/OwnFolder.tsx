import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { counted } from '../../lib/frames';
import { useCarried } from '../../lib/useCarried';
import { DropFrame } from '../../parts/DropFrame';
import { Fault } from '../../parts/Fault';
import type { CheckDocument } from '../../types/views';
import { ofDrop, type Picked } from '../../lib/own/pick';
import { useFolderField } from '../../parts/useFolderField';
import { useOwnFolder, type State } from './useOwnFolder';

function inWords(state: Exclude<State, { kind: 'idle' }>): string {
    if (state.kind === 'listing') {
        return state.files === 0
            ? t`Reading names.`
            : t`Reading names: ${counted(state.files, t`file`, t`files`)} so far.`;
    }
    if (state.waiting) {
        return t`The server does not answer just now; it is tried again.`;
    }

    return t`${state.done.toLocaleString('en')} of ${state.all.toLocaleString('en')} files looked at.`;
}

function UnderWay({ state, onStop }: { state: Exclude<State, { kind: 'idle' }>; onStop: () => void }) {
    const [done, all] = state.kind === 'reading' ? [state.done, state.all] : [undefined, 1];

    return (
        <div className="grow">
            <p className="flex items-baseline gap-3">
                <span className="said" role="status">
                    {inWords(state)}
                </span>
                <button type="button" className="btn ml-auto" onClick={onStop}>
                    <Trans>Stop</Trans>
                </button>
            </p>
            <progress className="progress mt-1" value={done} max={all} aria-label={t`Files looked at`} />
        </div>
    );
}

/** The ways to say which folder it is, and what is sent of it. */
function Choose({
    says,
    looks,
    whole,
    onWhole,
    onPicked,
}: {
    says: string;
    looks: boolean;
    whole: boolean;
    onWhole: (whole: boolean) => void;
    onPicked: (picked: Picked | null) => void;
}) {
    const { field, choose } = useFolderField(onPicked);

    return (
        <>
            <span className="said">{says}</span>
            {field}
            <button type="button" className="btn" onClick={choose}>
                <Trans>Choose a folder</Trans>
            </button>
            {looks && (
                <label className="flex items-center gap-1.5">
                    <input
                        type="checkbox"
                        className="checkbox"
                        checked={whole}
                        onChange={(event) => onWhole(event.target.checked)}
                    />
                    <Trans>send the pictures whole, so that their pixels are looked at</Trans>
                </label>
            )}
            <span className="text-[13px] text-faint">
                {whole
                    ? t`The pictures are sent to be looked at, and not kept.`
                    : t`Only names and a few kilobytes of each file are sent.`}
            </span>
        </>
    );
}

/** A place for a folder of one's own, which is checked where it lies. */
export function OwnFolder({
    begin,
    deliverable = null,
    says,
    zip,
    looks,
    onEnded,
}: {
    begin: string;
    /** whose page it is: what was brought for it elsewhere is begun with; null: nothing is */
    deliverable?: number | null;
    says: string;
    /** what is said to somebody who drops an archive */
    zip: string;
    /** pixels are to be looked at, for which whole pictures have to be sent */
    looks: boolean;
    onEnded: (check: number | null, document: CheckDocument | null) => void;
}) {
    const [whole, setWhole] = useState(false);
    const { state, start, stop, refuse } = useOwnFolder(begin, onEnded);
    useCarried('folder', (picked) => start(picked, false), deliverable);
    const take = (picked: Picked | 'archive' | null) => {
        if (picked === 'archive') {
            refuse(zip);
        } else if (picked !== null) {
            start(picked, whole);
        }
    };

    return (
        <DropFrame
            label={t`A folder on this machine`}
            className="mx-6 my-3 px-3 py-2"
            onDrop={(items) => void ofDrop(items).then(take)}
        >
            <div className="flex flex-wrap items-center gap-3">
                {state.kind === 'idle' ? (
                    <Choose says={says} looks={looks} whole={whole} onWhole={setWhole} onPicked={take} />
                ) : (
                    <UnderWay state={state} onStop={stop} />
                )}
            </div>
            <Fault says={state.kind === 'idle' ? state.fault : null} className="pt-1" />
        </DropFrame>
    );
}
