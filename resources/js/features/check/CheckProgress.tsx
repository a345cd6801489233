import { router } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { ask } from '../../lib/ask';
import type { Progress } from '../../types/views';

function long(seconds: number): string {
    return seconds < 90 ? `${seconds} s` : `${Math.round(seconds / 60)} min`;
}

/** A check under way: how far, what is being read, how long still; and a way to stop it. */
export function CheckProgress({ running }: { running: Progress }) {
    const [now, setNow] = useState(running);
    const [lost, setLost] = useState(false);

    useEffect(() => {
        const timer = setInterval(() => {
            ask<Progress>(`/checks/${running.id}/progress`).then(
                (progress) => {
                    setNow(progress);
                    setLost(false);
                    if (progress.state !== 'queued' && progress.state !== 'running') {
                        clearInterval(timer);
                        router.reload();
                    }
                },
                () => setLost(true),
            );
        }, 1000);

        return () => clearInterval(timer);
    }, [running.id]);

    return (
        <section className="mx-6 my-3 border border-edge px-3 py-2" aria-label="Check under way">
            <p className="flex items-baseline gap-3">
                <span className="said" role="status">
                    {now.state === 'queued'
                        ? 'Waiting for its turn.'
                        : now.all === null
                          ? 'Reading names.'
                          : `${now.done.toLocaleString('en')} of ${now.all.toLocaleString('en')} files read.`}
                </span>
                {now.still !== null && now.state === 'running' && (
                    <span className="text-faint">nothing has moved for {long(now.still)}</span>
                )}
                {now.left !== null && <span className="text-faint">about {long(now.left)} still</span>}
                <button type="button" className="btn ml-auto" onClick={() => router.post(`/checks/${running.id}/stop`)}>
                    Stop
                </button>
            </p>
            <progress
                className="progress mt-1"
                value={now.all === null ? undefined : now.done}
                max={now.all ?? 1}
                aria-label="Files read"
            />
            <p className="mono text-[12.5px] text-faint [overflow-wrap:anywhere]">
                {lost ? 'The server does not answer just now.' : now.at}
            </p>
        </section>
    );
}
