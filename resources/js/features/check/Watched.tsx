import { t } from '@lingui/core/macro';
import { router } from '@inertiajs/react';
import { useEffect, useRef } from 'react';
import { to } from '../../lib/route';
import { usePolling } from '../../lib/usePolling';
import { counted } from '../../lib/frames';
import type { WatchedFolder } from '../../types/views';

const EVERY = 5000;

const long = (seconds: number): string => (seconds < 120 ? `${seconds} s` : t`${Math.round(seconds / 60)} min`);

function inWords({ pictures, expected, arriving }: WatchedFolder): string {
    const there =
        expected === null
            ? counted(pictures, t`picture`, t`pictures`)
            : t`${pictures} of ${counted(expected, t`picture`, t`pictures`)}`;
    const verb = pictures === 1 && expected === null ? 'is' : 'are';

    return t`${there} ${verb} there${arriving > 0 ? t`, ${arriving} just arriving` : ''}.`;
}

/** When it is ready, by the pace so far; or for how long it stands still. */
function pace({ perMinute, readyAt, still, patience }: WatchedFolder): string {
    if (still >= 20) {
        return t`Nothing has come for ${long(still)}; after ${long(patience)} it is checked by itself.`;
    }
    if (perMinute === null) {
        return t`The pace is told when more has come.`;
    }

    return t`${perMinute} a minute${readyAt === null ? '' : t`, so ready by ${readyAt}`}.`;
}

/** A folder that a render fills, followed until it stands still; then it is checked by itself. */
export function Watched({ watch, deliverable }: { watch: WatchedFolder; deliverable: number }) {
    const was = useRef(watch.ended);
    useEffect(() => {
        // it was checked by itself: now all of the page is another
        if (was.current === null && watch.ended !== null) {
            router.reload();
        }
        was.current = watch.ended;
    }, [watch.ended]);
    usePolling(
        async () => {
            const only = ['watch', 'running', 'broken'];
            await new Promise<void>((done) => router.reload({ only, onFinish: () => done() }));

            return EVERY;
        },
        watch.ended === null ? EVERY : null,
    );
    const leave = () => router.delete(to('watch.stop', { deliverable }), { preserveScroll: true });

    return (
        <section className="mx-6 my-3 border border-edge px-3 py-2" aria-label={t`Folder that is followed`}>
            <p className="flex items-baseline gap-3">
                <span className="said" role="status">
                    {watch.ended ?? inWords(watch)}
                </span>
                <button type="button" className="btn ml-auto" onClick={leave}>
                    {watch.ended === null ? t`Stop following it` : t`Good`}
                </button>
            </p>
            {watch.ended === null && (
                <>
                    <progress
                        className="progress mt-1"
                        value={watch.expected === null ? undefined : Math.min(watch.pictures, watch.expected)}
                        max={watch.expected ?? 1}
                        aria-label={t`Pictures that are there`}
                    />
                    <p className="text-[13px] text-faint">{pace(watch)}</p>
                </>
            )}
            <p className="mono text-[12.5px] text-faint [overflow-wrap:anywhere]">{watch.place}</p>
        </section>
    );
}
