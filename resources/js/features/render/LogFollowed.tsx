import { router } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { ask } from '../../lib/ask';
import { bytes } from '../../lib/frames';
import { spokenSpan, spokenTime } from '../../lib/spoken';
import type { LogShown } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';

/** When it will end, by this clock: between two moments where the times differ. */
function endsAt([least, most]: [number, number]): string {
    const moment = (seconds: number) =>
        new Date(Date.now() + seconds * 1000).toLocaleString('en-GB', {
            weekday: 'short',
            hour: '2-digit',
            minute: '2-digit',
        });
    const [from, to] = [moment(least), moment(most)];

    return from === to ? from : `between ${from} and ${to}`;
}

function Progress({ log }: { log: LogShown }) {
    const reading = log.reading;
    const progress = reading?.progress ?? null;
    if (reading === null) {
        return null;
    }
    const left = progress?.secondsLeft ?? null;

    return (
        <>
            {progress !== null && (
                <>
                    <p className="said" role="status">
                        {progress.done} of {progress.count} frames are finished
                        {reading.median !== null && `; a frame takes ${spokenTime(reading.median / 1000)}`}
                        {reading.beside > 1 && `, ${reading.beside} at a time`}.{' '}
                        {progress.leftCount === 0
                            ? 'Nothing is left to render.'
                            : left !== null && `The rest takes ${spokenSpan(left[0], left[1])}.`}
                    </p>
                    {left !== null && progress.leftCount > 0 && (
                        <p className="text-faint">If it goes on from now, it ends {endsAt(left)}.</p>
                    )}
                    <progress
                        className="progress mt-1"
                        value={progress.done}
                        max={progress.count}
                        aria-label="Frames finished"
                    />
                    {progress.leftCount > 0 && (
                        <p className="mt-2 flex flex-wrap items-baseline gap-3">
                            <span>
                                To go on, begin at frame <span className="mono font-semibold">{progress.resume}</span>
                                {' and type in the range '}
                                <span className="mono">
                                    <Breaking text={progress.left} />
                                </span>
                            </span>
                            <CopyButton text={progress.left}>Copy the range</CopyButton>
                        </p>
                    )}
                    {progress.beyond !== '' && (
                        <p className="text-ochre">
                            Frames that nobody asked for:{' '}
                            <span className="mono">
                                <Breaking text={progress.beyond} />
                            </span>
                        </p>
                    )}
                </>
            )}
            {progress === null && (
                <p className="said" role="status">
                    Finished:{' '}
                    <span className="mono">
                        <Breaking text={reading.finished === '' ? 'none yet' : reading.finished} />
                    </span>
                </p>
            )}
            <dl className="mt-3 grid grid-cols-[150px_1fr] gap-x-3 gap-y-1">
                {reading.begun !== '' && (
                    <>
                        <dt className="aside">begun, not finished</dt>
                        <dd className="mono">
                            <Breaking text={reading.begun} />
                        </dd>
                    </>
                )}
                {reading.slow.length > 0 && (
                    <>
                        <dt className="aside">took unusually long</dt>
                        <dd>
                            {reading.slow.slice(0, 8).map(([frame, ms]) => (
                                <span key={frame} className="mr-3 whitespace-nowrap">
                                    <span className="mono">{frame}</span> {spokenTime(ms / 1000)}
                                </span>
                            ))}
                            {reading.slow.length > 8 && `and ${reading.slow.length - 8} more`}
                        </dd>
                    </>
                )}
                {reading.lastFile !== null && (
                    <>
                        <dt className="aside">written last</dt>
                        <dd className="mono">
                            <Breaking text={reading.lastFile} />
                        </dd>
                    </>
                )}
                {(['error', 'warning'] as const).map((event) => {
                    const own = reading.messages.filter((message) => message[0] === event);

                    return own.length === 0 ? null : (
                        <div key={event} className="contents">
                            <dt className="aside">
                                {event === 'error' ? `errors, ${reading.errors}` : `warnings, ${reading.warnings}`}
                            </dt>
                            <dd className={event === 'error' ? 'text-red' : 'text-ochre'}>
                                {own.slice(0, 6).map((message, at) => (
                                    <span key={at} className="block">
                                        <Breaking text={message[1]} />
                                        {message[2] > 1 && <span className="text-faint"> {message[2]} times</span>}
                                    </span>
                                ))}
                            </dd>
                        </div>
                    );
                })}
            </dl>
        </>
    );
}

/** A log as far as it was read; one that lies in the intake is read on as it is written. */
export function LogFollowed({ log: first }: { log: LogShown }) {
    const [log, setLog] = useState(first);
    const [lost, setLost] = useState(false);

    useEffect(() => {
        if (!first.followed) {
            return;
        }
        let over = false;
        let timer = setTimeout(function look() {
            ask<LogShown>(`/logs/${first.id}`)
                .then(
                    (now) => {
                        if (!over) {
                            setLog(now);
                            setLost(false);
                        }

                        return now.read < now.size ? 200 : 3000;
                    },
                    () => {
                        setLost(true);

                        return 6000;
                    },
                )
                .then((wait) => {
                    if (!over) {
                        timer = setTimeout(look, wait);
                    }
                });
        }, 1500);

        return () => {
            over = true;
            clearTimeout(timer);
        };
    }, [first.id, first.followed]);

    return (
        <section className="pt-2" aria-label="Log of the render">
            <p className="flex flex-wrap items-baseline gap-3 text-[13px] text-faint">
                <span className="mono">
                    <Breaking text={log.name} />
                </span>
                <span>
                    {log.followed ? 'followed as it is written' : 'as it was sent'}
                    {log.shape !== null && `, read as “${log.shape}”`}
                    {`; ${bytes(log.read)} of ${bytes(log.size)} read, ${log.at}`}
                </span>
                <button
                    type="button"
                    className="link"
                    onClick={() => router.delete(`/logs/${log.id}`, { preserveScroll: true })}
                >
                    forget it
                </button>
            </p>
            {lost && <p className="text-faint">The server does not answer just now.</p>}
            {log.fault !== null && (
                <p role="alert" className="text-red">
                    <Breaking text={log.fault} />
                </p>
            )}
            <Progress log={log} />
        </section>
    );
}
