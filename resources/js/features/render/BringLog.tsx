import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import { ask, tellForm } from '../../lib/ask';
import { bytes } from '../../lib/frames';
import type { LogShown } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { FolderBrowser, type Choice } from '../../parts/FolderBrowser';

const PIECE = 7_000_000;

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
    const [logs, setLogs] = useState<{ name: string; bytes: number }[] | null>(null);
    useEffect(() => {
        const stop = new AbortController();
        ask<{ logs: { name: string; bytes: number }[] }>(
            `/deliverables/${deliverable}/logs?root=${at.root}&below=${encodeURIComponent(at.below)}`,
            stop.signal,
        ).then(
            (answer) => setLogs(answer.logs),
            () => setLogs([]),
        );

        return () => stop.abort();
    }, [deliverable, at]);

    return logs === null || logs.length === 0 ? (
        <span className="text-faint">
            {logs === null ? 'Looking for logs…' : 'No log lies in this folder (.log, .txt or .out).'}
        </span>
    ) : (
        <span className="flex flex-wrap gap-2">
            {logs.map((log) => (
                <button
                    key={log.name}
                    type="button"
                    className="btn"
                    onClick={() =>
                        router.post(
                            `/deliverables/${deliverable}/logs/follow`,
                            { ...at, file: log.name, shape: shape === '' ? null : shape },
                            {
                                onError: (errors) =>
                                    onFault(errors.log ?? errors.refused ?? Object.values(errors)[0] ?? null),
                            },
                        )
                    }
                >
                    Follow {log.name} <span className="font-normal">{bytes(log.bytes)}</span>
                </button>
            ))}
        </span>
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
    roots: { id: number; label: string; own: string }[];
}) {
    const [shape, setShape] = useState('');
    const [sent, setSent] = useState<{ done: number; all: number } | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const [browsing, setBrowsing] = useState(false);
    const stopped = useRef(false);
    const field = useRef<HTMLInputElement>(null);

    const send = async (file: File | undefined) => {
        if (file === undefined) {
            return;
        }
        setFault(null);
        stopped.current = false;
        let log: LogShown | null = null;
        try {
            for (let at = 0; at === 0 || at < file.size; at += PIECE) {
                if (stopped.current) {
                    break;
                }
                setSent({ done: at, all: file.size });
                log = await tellForm<LogShown>(`/deliverables/${deliverable}/logs`, {
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
            setFault(trouble instanceof Error ? trouble.message : 'This log could not be sent.');
        } finally {
            setSent(null);
        }
    };

    return (
        <div>
            <p className="flex flex-wrap items-center gap-3 pt-2">
                <label className="sr-only" htmlFor="log">
                    Log file
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
                    Choose a log
                </button>
                {roots.length > 0 && (
                    <button
                        type="button"
                        className="btn"
                        aria-expanded={browsing}
                        onClick={() => setBrowsing(!browsing)}
                    >
                        Follow one that is being written
                    </button>
                )}
                <label className="flex items-center gap-2">
                    <span className="aside">its lines read as</span>
                    <select className="select w-auto!" value={shape} onChange={(event) => setShape(event.target.value)}>
                        <option value="">whatever fits best</option>
                        {shapes.map((name) => (
                            <option key={name}>{name}</option>
                        ))}
                    </select>
                </label>
            </p>
            {sent !== null && (
                <p className="flex items-center gap-3 pt-1">
                    <progress
                        className="progress w-64"
                        value={sent.done}
                        max={Math.max(1, sent.all)}
                        aria-label="Log sent"
                    />
                    <span className="text-faint">
                        {bytes(sent.done)} of {bytes(sent.all)} read
                    </span>
                    <button
                        type="button"
                        className="btn"
                        onClick={() => {
                            stopped.current = true;
                        }}
                    >
                        Stop
                    </button>
                </p>
            )}
            {fault !== null && (
                <p role="alert" className="pt-1 text-red">
                    <Breaking text={fault} />
                </p>
            )}
            {browsing && (
                <FolderBrowser browse={`/deliverables/${deliverable}/intake`} roots={roots} start={null} fault={null}>
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
