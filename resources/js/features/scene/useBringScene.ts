import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { tellForm } from '../../lib/ask';
import { to } from '../../lib/route';
import { asText } from '../../lib/spreadsheet';
import { sentence } from '../../lib/trouble';
import { useAction } from '../../lib/useAction';

/** More than this does not go as one. */
const LARGE = 4_000_000;

const PIECE = 7_000_000;

const SEVERAL =
    t`These are several files, and one scene belongs here. ` +
    t`Many at once are brought on the production’s page “Many scenes”.`;

/** The settings of one scene on their way to the server; a scene of many megabytes goes piece by piece. */
export function useBringScene(deliverable: number) {
    const action = useAction(t`This could not be read.`);
    const [sent, setSent] = useState<{ done: number; all: number } | null>(null);
    const { setFault } = action;
    const post = (data: Record<string, string | File>, done?: () => void) =>
        action.send('post', to('scene.store', { deliverable }), data, {
            names: ['settings', 'refused'],
            forceFormData: true,
            ...(done === undefined ? {} : { done }),
        });
    const sendPieces = async (file: File) => {
        try {
            for (let at = 0; at < file.size; at += PIECE) {
                setSent({ done: at, all: file.size });
                await tellForm(to('scene.piece', { deliverable }), {
                    piece: new File([file.slice(at, at + PIECE)], 'piece'),
                    name: file.name,
                    at: String(at),
                    last: at + PIECE >= file.size ? '1' : '0',
                });
            }
            router.visit(to('scene', { deliverable }));
        } finally {
            setSent(null);
        }
    };
    const send = async (files: File[]) => {
        const file = files[0];
        if (file === undefined || files.length > 1) {
            setFault(file === undefined ? null : SEVERAL);

            return;
        }
        setFault(null);
        try {
            if (file.size > LARGE) {
                await sendPieces(file);
            } else {
                post({ settings: await asText(file) });
            }
        } catch (trouble) {
            setFault(sentence(trouble, t`This file could not be read.`));
        }
    };

    return { busy: action.busy || sent !== null, fault: action.fault, sent, post, send };
}
