import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { tellForm } from '../../lib/ask';
import { bytes } from '../../lib/frames';
import { asText } from '../../lib/spreadsheet';
import { Breaking } from '../../parts/Breaking';
import { DropPlace } from '../../parts/DropPlace';

export const SETTINGS_FILES =
    '.json,.usda,.usd,.txt,.ini,.cfg,.csv,.tsv,.xlsx,.zip,application/json,text/plain,text/csv';

/** More than this does not go as one. */
const LARGE = 4_000_000;

const PIECE = 7_000_000;

/** The ways in for the settings of one scene: dropped, chosen, pasted, or typed in. */
export function BringScene({ deliverable, first }: { deliverable: number; first: boolean }) {
    const [busy, setBusy] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    const [sent, setSent] = useState<{ done: number; all: number } | null>(null);
    const [pasting, setPasting] = useState(false);
    const [text, setText] = useState('');
    const post = (data: Record<string, string | File>) => {
        setBusy(true);
        setFault(null);
        router.post(`/deliverables/${deliverable}/scene`, data, {
            forceFormData: true,
            preserveScroll: true,
            onError: (errors) =>
                setFault(errors.settings ?? errors.refused ?? Object.values(errors)[0] ?? 'This could not be read.'),
            onSuccess: () => {
                setPasting(false);
                setText('');
            },
            onFinish: () => setBusy(false),
        });
    };
    const send = async (files: File[]) => {
        const file = files[0];
        if (file === undefined) {
            return;
        }
        if (files.length > 1) {
            setFault(
                'These are several files, and one scene belongs here. ' +
                    'Many at once are brought on the production’s page “Many scenes”.',
            );

            return;
        }
        try {
            if (file.size > LARGE) {
                await sendPieces(file);
            } else {
                post({ settings: await asText(file) });
            }
        } catch (trouble) {
            setFault(trouble instanceof Error ? trouble.message : 'This file could not be read.');
        }
    };
    /** A scene of many megabytes goes piece by piece. */
    const sendPieces = async (file: File) => {
        setBusy(true);
        setFault(null);
        try {
            for (let at = 0; at < file.size; at += PIECE) {
                setSent({ done: at, all: file.size });
                await tellForm(`/deliverables/${deliverable}/scene/pieces`, {
                    piece: new File([file.slice(at, at + PIECE)], 'piece'),
                    name: file.name,
                    at: String(at),
                    last: at + PIECE >= file.size ? '1' : '0',
                });
            }
            router.visit(`/deliverables/${deliverable}/scene`);
        } finally {
            setBusy(false);
            setSent(null);
        }
    };

    return (
        <div className="px-6 pt-3">
            <DropPlace
                id="settings"
                label="Settings file"
                says={
                    first ? 'Drop the scene’s settings here before you render.' : 'Settings changed? Drop them again.'
                }
                button={busy ? 'Reading…' : 'Choose a file'}
                busy={busy}
                accept={SETTINGS_FILES}
                several={false}
                onFiles={(files) => void send(files)}
            >
                <button type="button" className="btn" aria-expanded={pasting} onClick={() => setPasting(!pasting)}>
                    Paste text
                </button>
                <Link href={`/deliverables/${deliverable}/scene/enter`} className="btn">
                    Type it in
                </Link>
            </DropPlace>
            {pasting && (
                <form
                    className="mt-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        post({ pasted: text });
                    }}
                >
                    <label htmlFor="pasted" className="aside">
                        Settings as text: a document, USD text, lines, or cells copied from a sheet
                    </label>
                    <textarea
                        id="pasted"
                        autoFocus
                        rows={7}
                        className="textarea mono"
                        value={text}
                        onChange={(event) => setText(event.target.value)}
                        placeholder={'resolution = 1920x1080\nfps = 24\nframes = 1001-1096'}
                    />
                    <button type="submit" className="btn btn-primary mt-1" disabled={busy || text.trim() === ''}>
                        Check this
                    </button>
                </form>
            )}
            {sent !== null && (
                <p className="flex items-center gap-3 pt-1">
                    <progress className="progress w-64" value={sent.done} max={sent.all} aria-label="Scene sent" />
                    <span className="text-faint">
                        {bytes(sent.done)} of {bytes(sent.all)}
                    </span>
                </p>
            )}
            {fault !== null && (
                <p role="alert" className="mt-2 text-red">
                    <Breaking text={fault} />
                </p>
            )}
        </div>
    );
}
