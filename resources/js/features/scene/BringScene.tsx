import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { bytes } from '../../lib/frames';
import { to } from '../../lib/route';
import { DropPlace } from '../../parts/DropPlace';
import { Fault } from '../../parts/Fault';
import { SETTINGS_FILES } from './settingsFiles';
import { useBringScene } from './useBringScene';

/** Settings as text. */
function Paste({ busy, onSend }: { busy: boolean; onSend: (text: string) => void }) {
    const [text, setText] = useState('');

    return (
        <form
            className="mt-2"
            onSubmit={(event) => {
                event.preventDefault();
                onSend(text);
            }}
        >
            <label htmlFor="pasted" className="aside">
                <Trans>Settings as text: a document, USD text, lines, or cells copied from a sheet</Trans>
            </label>
            <textarea
                id="pasted"
                autoFocus
                rows={7}
                className="textarea mono"
                value={text}
                onChange={(event) => setText(event.target.value)}
                placeholder={t`resolution = 1920x1080
fps = 24
frames = 1001-1096`}
            />
            <button type="submit" className="btn btn-primary mt-1" disabled={busy || text.trim() === ''}>
                <Trans>Check this</Trans>
            </button>
        </form>
    );
}

/** The ways in for the settings of one scene: dropped, chosen, pasted, or typed in. */
export function BringScene({ deliverable, first }: { deliverable: number; first: boolean }) {
    const { busy, fault, sent, post, send } = useBringScene(deliverable);
    const [pasting, setPasting] = useState(false);

    return (
        <div className="px-6 pt-3 print:hidden">
            <DropPlace
                id="settings"
                label={t`Settings file`}
                says={
                    first ? t`Drop the scene’s settings here before you render.` : t`Settings changed? Drop them again.`
                }
                button={busy ? t`Reading…` : t`Choose a file`}
                busy={busy}
                accept={SETTINGS_FILES}
                several={false}
                onFiles={(files) => void send(files)}
            >
                <button type="button" className="btn" aria-expanded={pasting} onClick={() => setPasting(!pasting)}>
                    <Trans>Paste text</Trans>
                </button>
                <Link href={to('scene.entry', { deliverable })} className="btn">
                    <Trans>Type it in</Trans>
                </Link>
            </DropPlace>
            {pasting && <Paste busy={busy} onSend={(pasted) => post({ pasted }, () => setPasting(false))} />}
            {sent !== null && (
                <p className="flex items-center gap-3 pt-1">
                    <progress className="progress w-64" value={sent.done} max={sent.all} aria-label={t`Scene sent`} />
                    <span className="text-faint">
                        <Trans>
                            {bytes(sent.done)} of {bytes(sent.all)}
                        </Trans>
                    </span>
                </p>
            )}
            <Fault says={fault} className="mt-2" />
        </div>
    );
}
