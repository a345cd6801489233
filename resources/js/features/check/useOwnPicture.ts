import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { ask } from '../../lib/ask';
import { fileAt, heldBy, isAsListed } from '../../lib/ownDisk';
import type { FramePlace } from '../../types/views';

interface Seen {
    url: string | undefined;
    /** why there is none */
    why: string | null;
}

const draws = (url: string): Promise<boolean> =>
    new Promise((done) => {
        const image = new Image();
        image.onload = () => done(true);
        image.onerror = () => done(false);
        image.src = url;
    });

/**
 * A picture of a file on this machine, which the browser draws by itself: no byte of it is sent.
 *
 * @param check whose files they are
 * @param place where the server tells which file it is
 */
export function useOwnPicture(check: number, place: string): Seen {
    const [seen, setSeen] = useState<Seen>({ url: undefined, why: null });
    useEffect(() => {
        const source = heldBy(check);
        if (source === null) {
            return;
        }
        const stopped = new AbortController();
        let url: string | undefined;
        const show = async () => {
            const { path, size, modified } = await ask<FramePlace>(place, stopped.signal);
            const file = await fileAt(source, path);
            if (stopped.signal.aborted) {
                return;
            }
            if (file === null || !isAsListed(file, size, modified)) {
                setSeen({ url: undefined, why: t`no longer there, or changed` });

                return;
            }
            url = URL.createObjectURL(file);
            setSeen(
                (await draws(url)) ? { url, why: null } : { url: undefined, why: t`this browser does not draw it` },
            );
        };
        show().catch(() => {
            if (!stopped.signal.aborted) {
                setSeen({ url: undefined, why: t`it could not be opened` });
            }
        });

        return () => {
            stopped.abort();
            if (url !== undefined) {
                URL.revokeObjectURL(url);
            }
        };
    }, [check, place]);

    return seen;
}
