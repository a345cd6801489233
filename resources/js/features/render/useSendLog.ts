import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useRef, useState } from 'react';
import { tellForm } from '../../lib/ask';
import { to } from '../../lib/route';
import { sentence } from '../../lib/trouble';
import type { LogShown } from '../../types/views';

const PIECE = 7_000_000;

/** A log on its way to the server, piece by piece, until somebody stops it. */
export function useSendLog(deliverable: number, shape: string) {
    const [sent, setSent] = useState<{ done: number; all: number } | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const stopped = useRef(false);

    const isStopped = () => stopped.current;

    const send = async (file: File | undefined) => {
        if (file === undefined) {
            return;
        }
        setFault(null);
        stopped.current = false;
        let log: LogShown | null = null;
        try {
            for (let at = 0; at === 0 || at < file.size; at += PIECE) {
                if (isStopped()) {
                    break;
                }
                setSent({ done: at, all: file.size });
                log = await tellForm<LogShown>(to('logs.send', { deliverable }), {
                    piece: new File([file.slice(at, at + PIECE)], 'piece'),
                    log: log === null ? null : String(log.id),
                    name: file.name,
                    size: String(file.size),
                    shape: shape === '' ? null : shape,
                    last: at + PIECE >= file.size ? '1' : '0',
                });
            }
            router.reload();
        } catch (trouble) {
            setFault(sentence(trouble, t`This log could not be sent.`));
        } finally {
            setSent(null);
        }
    };
    const stop = () => {
        stopped.current = true;
    };

    return { sent, fault, setFault, send, stop };
}
