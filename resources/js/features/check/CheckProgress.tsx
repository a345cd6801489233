import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { ask } from '../../lib/ask';
import { to } from '../../lib/route';
import { usePolling } from '../../lib/usePolling';
import type { Progress } from '../../types/views';

const EVERY = 1000;

function long(seconds: number): string {
    return seconds < 90 ? `${seconds} s` : t`${Math.round(seconds / 60)} min`;
}

function inWords({ state, done, all }: Progress): string {
    if (state === 'queued') {
        return t`Waiting for its turn.`;
    }

    return all === null
        ? t`Reading names.`
        : t`${done.toLocaleString('en')} of ${all.toLocaleString('en')} files read.`;
}

/** A check under way: how far, what is being read, how long still; and a way to stop it. */
export function CheckProgress({ running }: { running: Progress }) {
    const [now, setNow] = useState(running);
    const [lost, setLost] = useState(false);
    const check = running.id;

    usePolling(async (stop) => {
        try {
            const progress = await ask<Progress>(to('check.progress', { check }), stop);
            setNow(progress);
            setLost(false);
            if (progress.state !== 'queued' && progress.state !== 'running') {
                router.reload();

                return null;
            }
        } catch {
            setLost(true);
        }

        return EVERY;
    }, EVERY);

    return (
        <section className="mx-6 my-3 border border-edge px-3 py-2" aria-label={t`Check under way`}>
            <p className="flex items-baseline gap-3">
                <span className="said" role="status">
                    {inWords(now)}
                </span>
                {now.still !== null && now.state === 'running' && (
                    <span className="text-faint">
                        <Trans>nothing has moved for {long(now.still)}</Trans>
                    </span>
                )}
                {now.left !== null && (
                    <span className="text-faint">
                        <Trans>about {long(now.left)} still</Trans>
                    </span>
                )}
                <button type="button" className="btn ml-auto" onClick={() => router.post(to('check.stop', { check }))}>
                    <Trans>Stop</Trans>
                </button>
            </p>
            <progress
                className="progress mt-1"
                value={now.all === null ? undefined : now.done}
                max={now.all ?? 1}
                aria-label={t`Files read`}
            />
            <p className="mono text-[12.5px] text-faint [overflow-wrap:anywhere]">
                {lost ? t`The server does not answer just now.` : now.at}
            </p>
        </section>
    );
}
