import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useRef, useState, type ReactNode } from 'react';
import { tell } from '../../lib/ask';
import { heldBy, type Source } from '../../lib/ownDisk';
import { to } from '../../lib/route';
import { sentence } from '../../lib/trouble';
import { BytesRead } from '../../parts/BytesRead';
import { useFolderField } from '../../parts/useFolderField';
import { useSums, type SumsState } from '../../lib/own/useSums';

/** How far the reading is, and where it can be stopped. */
export function OwnProgress({ state, onStop }: { state: Exclude<SumsState, { kind: 'idle' }>; onStop: () => void }) {
    const isSumming = state.kind === 'summing';
    const says = () => {
        if (!isSumming) {
            return t`Reading names.`;
        }
        if (state.waiting) {
            return t`The server does not answer just now; it is tried again.`;
        }

        return t`${state.files.toLocaleString('en')} of ${state.all_files.toLocaleString('en')} files read.`;
    };

    return (
        <div className="pt-3">
            <BytesRead
                says={says()}
                done={isSumming ? state.bytes : 0}
                all={isSumming ? state.all_bytes : 0}
                onStop={onStop}
            />
            <p className="text-[13px] text-faint">
                <Trans>This page reads them; keep it open until it is done.</Trans>
            </p>
        </div>
    );
}

export interface OwnReading {
    state: SumsState;
    /** the folder is at hand, so that nothing has to be chosen */
    isHeld: boolean;
    begin: () => void;
    stop: () => void;
    /** has to stand on the page */
    field: ReactNode;
}

/**
 * Files on the visitor's own disk are read whole for their checksums: what is wanted is begun on the server, and the
 * rest is done here.
 *
 * @param check of which they are the files
 * @param url where it is begun
 * @param data what is said with that
 */
export function useOwnReading(check: number | null, url: string, data: () => object): OwnReading {
    const [fault, setFault] = useState<string | null>(null);
    const submission = useRef<number | null>(null);
    const giveUp = () => {
        if (submission.current !== null) {
            router.delete(to('seal.stop', { submission: submission.current }), { preserveScroll: true });
            submission.current = null;
        }
    };
    const { state, start, stop } = useSums(() => router.reload(), giveUp);
    const held = check === null ? null : heldBy(check);
    const read = (source: Source) => {
        setFault(null);
        tell<{ id: number }>(url, data()).then(
            ({ id }) => {
                submission.current = id;
                start(source, id);
            },
            (trouble: unknown) => setFault(sentence(trouble, t`It could not be begun.`)),
        );
    };
    const { field, choose } = useFolderField((picked) => picked !== null && read(picked.source));

    return {
        state: state.kind === 'idle' ? { kind: 'idle', fault: fault ?? state.fault } : state,
        isHeld: held !== null,
        field,
        begin: () => (held === null ? choose() : read(held)),
        stop: () => {
            stop(null);
            giveUp();
        },
    };
}
