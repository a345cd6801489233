import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import type { CheckedScene } from '../../types/views';

/** What the settings come to, computed. */
export function ComesTo({ lines }: { lines: CheckedScene['comes_to'] }) {
    return lines.length === 0 ? null : (
        <dl
            className="mt-2 grid grid-cols-[150px_1fr] gap-x-3 border-y border-rule py-1.5"
            aria-label={t`What the settings come to`}
        >
            {lines.map((line) => (
                <div key={`${line.part ?? ''}/${line.id}`} className="contents">
                    <dt className="aside">
                        {line.label}
                        {line.part !== undefined && ` (${line.part})`}
                    </dt>
                    <dd className="mono">
                        <Breaking text={line.says} />
                    </dd>
                </div>
            ))}
        </dl>
    );
}

/** Where no settings are known: what they are for, and how they come. */
export function NoScene({ deliverable }: { deliverable: number }) {
    return (
        <div className="said max-w-[62ch] px-6 pt-5">
            <p>
                <Trans>
                    No settings are known of this scene yet. They are compared with what is asked before anything is
                    rendered: the size and its scale, the range, the rate, the camera, the format, the output name.
                </Trans>
            </p>
            <p className="mt-2 text-[15px] text-faint">
                <Trans>
                    Settings come as a <span className="mono">plain-ledger/scene</span> document, a scene or its render
                    settings as USD text, a line for each setting, or a sheet. To fill in, or for an exporter:{' '}
                    <a className="link" href={to('scene.template', { deliverable, format: 'json' })} download>
                        what is asked as JSON
                    </a>{' '}
                    or{' '}
                    <a className="link" href={to('scene.template', { deliverable, format: 'txt' })} download>
                        as lines
                    </a>
                    .
                </Trans>
            </p>
        </div>
    );
}
