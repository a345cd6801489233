import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import type { AssignmentPage } from '../../types/views';

/** What learners are told to do next time, in the course's own words. */
export function Phrases({ page: { phrases, book } }: { page: AssignmentPage }) {
    const [own, setOwn] = useState<Record<string, string>>(
        Object.fromEntries(phrases.map(({ cause, own: text }) => [cause, text])),
    );
    const action = useAction(t`It could not be kept.`);

    return phrases.length === 0 ? null : (
        <details className="pt-6">
            <summary className="title border-b border-edge pb-1 text-[18px]">
                <Trans>What is said of each mistake</Trans>
            </summary>
            {phrases.map(({ cause, usual }) => (
                <label key={cause} className="block border-b border-rule py-2">
                    <span className="font-semibold">{cause.replaceAll('-', ' ')}</span>
                    <textarea
                        className="textarea w-full"
                        rows={2}
                        maxLength={600}
                        placeholder={usual}
                        value={own[cause] ?? ''}
                        onChange={(event) => setOwn((was) => ({ ...was, [cause]: event.target.value }))}
                    />
                </label>
            ))}
            <p className="flex items-center gap-3 pt-2">
                <button
                    type="button"
                    className="btn"
                    disabled={action.busy}
                    onClick={() =>
                        action.send(
                            'patch',
                            to('phrases', { production: book.production.id }),
                            { phrases: own },
                            { names: ['phrases'] },
                        )
                    }
                >
                    <Trans>Save</Trans>
                </button>
                <span className="text-[13px] text-faint">
                    <Trans>Where nothing is written, the usual sentence stands.</Trans>
                </span>
            </p>
            <Fault says={action.fault} />
        </details>
    );
}
