import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useRef, useState } from 'react';
import { ask, tellForm } from '../../lib/ask';
import { to } from '../../lib/route';
import { sentence } from '../../lib/trouble';

const PIECE = 7_000_000;

/** How often a piece that did not arrive is sent again, and after how many milliseconds. */
const TRIES = 5;
const PAUSE = 1500;

interface Sent {
    done: number;
    all: number;
}

/** An archive on its way to the server, piece by piece; one that broke off goes on where it was. */
export function useArchive(deliverable: number) {
    const [sent, setSent] = useState<Sent | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const stopping = useRef<AbortController | null>(null);

    const pieces = async (file: File, stop: AbortSignal) => {
        const about = { name: file.name, size: String(file.size), modified: String(file.lastModified) };
        const arrived = async () =>
            (await ask<{ arrived: number }>(to('archive', { deliverable }, about), stop)).arrived;
        let at = await arrived();
        for (let tried = 0; at < file.size;) {
            setSent({ done: at, all: file.size });
            const piece = new File([file.slice(at, at + PIECE)], 'piece');
            try {
                const url = to('archive.piece', { deliverable });
                at = (await tellForm<{ arrived: number }>(url, { ...about, at: String(at), piece }, stop)).arrived;
                tried = 0;
            } catch (trouble) {
                // a connection that broke is a type error; what the server refused is not tried again
                if (!(trouble instanceof TypeError) || ++tried >= TRIES) {
                    throw trouble;
                }
                await new Promise((done) => setTimeout(done, PAUSE));
                at = await arrived();
            }
        }
    };
    const send = async (file: File) => {
        const stop = new AbortController();
        stopping.current = stop;
        setFault(null);
        setSent({ done: 0, all: file.size });
        try {
            await pieces(file, stop.signal);
            router.reload();
        } catch (trouble) {
            setFault(stop.signal.aborted ? null : sentence(trouble, t`This archive could not be sent.`));
        } finally {
            setSent(null);
        }
    };

    return { sent, fault, send, stop: () => stopping.current?.abort() };
}
