import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { ask } from '../../lib/ask';
import { bytes } from '../../lib/frames';
import { to } from '../../lib/route';
import { usePolling } from '../../lib/usePolling';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import type { LogShown } from '../../types/views';
import { LogFacts } from './LogFacts';

/** Milliseconds until the next look: soon where more is there, later where the log waits, or the server does. */
const WAITS = { more: 200, nothing: 3000, lost: 6000 };

const FIRST = 1500;

/** A log as far as it was read; one that lies in the intake is read on as it is written. */
export function LogFollowed({ log: first }: { log: LogShown }) {
    const [log, setLog] = useState(first);
    const [lost, setLost] = useState(false);

    usePolling(
        async (stop) => {
            try {
                const now = await ask<LogShown>(to('log', { log: first.id }), stop);
                setLog(now);
                setLost(false);

                return now.read < now.size ? WAITS.more : WAITS.nothing;
            } catch {
                setLost(true);

                return WAITS.lost;
            }
        },
        first.followed ? FIRST : null,
    );

    return (
        <section className="pt-2" aria-label={t`Log of the render`}>
            <p className="flex flex-wrap items-baseline gap-3 text-[13px] text-faint">
                <span className="mono">
                    <Breaking text={log.name} />
                </span>
                <span>
                    {log.followed ? t`followed as it is written` : t`as it was sent`}
                    {log.shape !== null && t`, read as “${log.shape}”`}
                    {t`; ${bytes(log.read)} of ${bytes(log.size)} read, ${log.at}`}
                </span>
                <button
                    type="button"
                    className="link"
                    onClick={() => router.delete(to('log.drop', { log: log.id }), { preserveScroll: true })}
                >
                    <Trans>forget it</Trans>
                </button>
            </p>
            {lost && (
                <p className="text-faint">
                    <Trans>The server does not answer just now.</Trans>
                </p>
            )}
            <Fault says={log.fault} />
            {log.reading !== null && <LogFacts reading={log.reading} />}
        </section>
    );
}
