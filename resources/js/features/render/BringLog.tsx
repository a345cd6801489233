import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useRef, useState } from 'react';
import { ask } from '../../lib/ask';
import { bytes } from '../../lib/frames';
import { to } from '../../lib/route';
import { refusal } from '../../lib/trouble';
import { useCarried } from '../../lib/useCarried';
import { useQuestion } from '../../lib/useQuestion';
import { Fault } from '../../parts/Fault';
import { FolderBrowser, type Choice } from '../../parts/FolderBrowser';
import type { IntakePlace, LogFile, LogsInFolder } from '../../types/views';
import { useSendLog } from './useSendLog';

/** What lies in a folder that could be a log, each with the way to follow it. */
function Logs({
    deliverable,
    at,
    shape,
    onFault,
}: {
    deliverable: number;
    at: Choice;
    shape: string;
    onFault: (fault: string | null) => void;
}) {
    const url = to('logs', { deliverable }, { root: at.root, below: at.below });
    const { answer, fault } = useQuestion(url, (stop) => ask<LogsInFolder>(url, stop), { wait: 0 });
    const logs = fault === null ? (answer?.logs ?? null) : [];
    const follow = (log: LogFile) =>
        router.post(
            to('logs.begin', { deliverable }),
            { ...at, file: log.name, shape: shape === '' ? null : shape },
            { onError: (errors) => onFault(refusal(errors, t`This log could not be read.`, 'log', 'refused')) },
        );
    if (logs === null || logs.length === 0) {
        return (
            <span className="text-faint">
                {logs === null ? t`Looking for logs…` : t`No log lies in this folder (.log, .txt or .out).`}
            </span>
        );
    }

    return (
        <span className="flex flex-wrap gap-2">
            {logs.map((log) => (
                <button key={log.name} type="button" className="btn" onClick={() => follow(log)}>
                    <Trans>
                        Follow {log.name} <span className="font-normal">{bytes(log.bytes)}</span>
                    </Trans>
                </button>
            ))}
        </span>
    );
}

/** How far it has gone over, with the way to stop. */
function Sent({ done, all, onStop }: { done: number; all: number; onStop: () => void }) {
    return (
        <p className="flex items-center gap-3 pt-1">
            <progress className="progress w-64" value={done} max={Math.max(1, all)} aria-label={t`Log sent`} />
            <span className="text-faint">
                <Trans>
                    {bytes(done)} of {bytes(all)} read
                </Trans>
            </span>
            <button type="button" className="btn" onClick={onStop}>
                <Trans>Stop</Trans>
            </button>
        </p>
    );
}

/** A log that is sent from here, piece by piece, or followed where it is written. */
export function BringLog({
    deliverable,
    shapes,
    roots,
}: {
    deliverable: number;
    shapes: string[];
    roots: IntakePlace[];
}) {
    const [shape, setShape] = useState('');
    const [browsing, setBrowsing] = useState(false);
    const { sent, fault, setFault, send, stop } = useSendLog(deliverable, shape);
    const field = useRef<HTMLInputElement>(null);
    useCarried('log', ({ file }) => void send(file), deliverable);

    return (
        <div>
            <p className="flex flex-wrap items-center gap-3 pt-2">
                <label className="sr-only" htmlFor="log">
                    <Trans>Log file</Trans>
                </label>
                <input
                    id="log"
                    ref={field}
                    type="file"
                    className="sr-only"
                    tabIndex={-1}
                    onChange={(event) =>
                        void send(event.target.files?.[0]).then(() => {
                            event.target.value = '';
                        })
                    }
                />
                <button type="button" className="btn" disabled={sent !== null} onClick={() => field.current?.click()}>
                    <Trans>Choose a log</Trans>
                </button>
                {roots.length > 0 && (
                    <button
                        type="button"
                        className="btn"
                        aria-expanded={browsing}
                        onClick={() => setBrowsing(!browsing)}
                    >
                        <Trans>Follow one that is being written</Trans>
                    </button>
                )}
                <label className="flex items-center gap-2">
                    <span className="aside">
                        <Trans>its lines read as</Trans>
                    </span>
                    <select className="select w-auto!" value={shape} onChange={(event) => setShape(event.target.value)}>
                        <option value="">
                            <Trans>whatever fits best</Trans>
                        </option>
                        {shapes.map((name) => (
                            <option key={name}>{name}</option>
                        ))}
                    </select>
                </label>
            </p>
            {sent !== null && <Sent {...sent} onStop={stop} />}
            <Fault says={fault} className="pt-1" />
            {browsing && (
                <FolderBrowser browse={to('intake', { deliverable })} roots={roots} start={null} fault={null}>
                    {(at) => (
                        <Logs
                            key={`${at.root}/${at.below}`}
                            deliverable={deliverable}
                            at={at}
                            shape={shape}
                            onFault={setFault}
                        />
                    )}
                </FolderBrowser>
            )}
        </div>
    );
}
