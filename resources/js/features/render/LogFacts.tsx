import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { spokenSpan, spokenTime } from '../../lib/spoken';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import type { LogFacts as Facts, LogProgress } from '../../types/views';

/** So many are named; the rest are counted. */
const MOST_SLOW = 8;

const MOST_MESSAGES = 6;

/** When it will end, by this clock: between two moments where the times differ. */
function endsAt([least, most]: [number, number]): string {
    const moment = (seconds: number) =>
        new Date(Date.now() + seconds * 1000).toLocaleString('en-GB', {
            weekday: 'short',
            hour: '2-digit',
            minute: '2-digit',
        });
    const [from, until] = [moment(least), moment(most)];

    return from === until ? from : t`between ${from} and ${until}`;
}

/** What is still to come, in a sentence. */
function restInWords({ leftCount, secondsLeft }: LogProgress): string {
    if (leftCount === 0) {
        return t`Nothing is left to render.`;
    }

    return secondsLeft === null ? '' : t`The rest takes ${spokenSpan(secondsLeft[0], secondsLeft[1])}.`;
}

/** How far it is, when it ends, and from where to go on. */
function Progress({ reading, progress }: { reading: Facts; progress: LogProgress }) {
    const isOpen = progress.leftCount > 0;

    return (
        <>
            <p className="said" role="status">
                <Trans>
                    {progress.done} of {progress.count} frames are finished
                    {reading.median !== null && t`; a frame takes ${spokenTime(reading.median / 1000)}`}
                    {reading.beside > 1 && t`, ${reading.beside} at a time`}. {restInWords(progress)}
                </Trans>
            </p>
            {progress.secondsLeft !== null && isOpen && (
                <p className="text-faint">
                    <Trans>If it goes on from now, it ends {endsAt(progress.secondsLeft)}.</Trans>
                </p>
            )}
            <progress
                className="progress mt-1"
                value={progress.done}
                max={progress.count}
                aria-label={t`Frames finished`}
            />
            {isOpen && (
                <p className="mt-2 flex flex-wrap items-baseline gap-3">
                    <span>
                        <Trans>
                            To go on, begin at frame <span className="mono font-semibold">{progress.resume}</span>
                            {t` and type in the range `}
                            <span className="mono">
                                <Breaking text={progress.left} />
                            </span>
                        </Trans>
                    </span>
                    <CopyButton text={progress.left}>{t`Copy the range`}</CopyButton>
                </p>
            )}
            {progress.beyond !== '' && (
                <p className="text-ochre">
                    <Trans>
                        Frames that nobody asked for:{' '}
                        <span className="mono">
                            <Breaking text={progress.beyond} />
                        </span>
                    </Trans>
                </p>
            )}
        </>
    );
}

function Text({ name, text }: { name: string; text: string | null }) {
    return text === null || text === '' ? null : (
        <>
            <dt className="aside">{name}</dt>
            <dd className="mono">
                <Breaking text={text} />
            </dd>
        </>
    );
}

function Slow({ frames }: { frames: Facts['slow'] }) {
    return frames.length === 0 ? null : (
        <>
            <dt className="aside">
                <Trans>took unusually long</Trans>
            </dt>
            <dd>
                {frames.slice(0, MOST_SLOW).map(([frame, ms]) => (
                    <span key={frame} className="mr-3 whitespace-nowrap">
                        <span className="mono">{frame}</span> {spokenTime(ms / 1000)}
                    </span>
                ))}
                {frames.length > MOST_SLOW && t`and ${frames.length - MOST_SLOW} more`}
            </dd>
        </>
    );
}

function Messages({ reading, event, ink }: { reading: Facts; event: 'error' | 'warning'; ink: string }) {
    const own = reading.messages.filter((message) => message[0] === event);
    const name = event === 'error' ? t`errors, ${reading.errors}` : t`warnings, ${reading.warnings}`;

    return own.length === 0 ? null : (
        <>
            <dt className="aside">{name}</dt>
            <dd className={ink}>
                {own.slice(0, MOST_MESSAGES).map((message, at) => (
                    <span key={at} className="block">
                        <Breaking text={message[1]} />
                        {message[2] > 1 && (
                            <span className="text-faint">
                                {' '}
                                <Trans>{message[2]} times</Trans>
                            </span>
                        )}
                    </span>
                ))}
            </dd>
        </>
    );
}

/** What a log has told so far. */
export function LogFacts({ reading }: { reading: Facts }) {
    return (
        <>
            {reading.progress === null ? (
                <p className="said" role="status">
                    <Trans>
                        Finished:{' '}
                        <span className="mono">
                            <Breaking text={reading.finished === '' ? t`none yet` : reading.finished} />
                        </span>
                    </Trans>
                </p>
            ) : (
                <Progress reading={reading} progress={reading.progress} />
            )}
            <dl className="mt-3 grid grid-cols-[150px_1fr] gap-x-3 gap-y-1">
                <Text name={t`begun, not finished`} text={reading.begun} />
                <Slow frames={reading.slow} />
                <Text name={t`written last`} text={reading.lastFile} />
                <Messages reading={reading} event="error" ink="text-red" />
                <Messages reading={reading} event="warning" ink="text-ochre" />
            </dl>
        </>
    );
}
