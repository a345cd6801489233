import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { SinceBefore } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { MarkSign } from '../../parts/MarkSign';

const WORDS: [
    keyof Pick<SinceBefore, 'put_right' | 'accepted' | 'new' | 'back' | 'still'>,
    string,
    'equal' | 'unequal' | 'waived',
][] = [
    ['put_right', t`put right`, 'equal'],
    ['accepted', 'accepted', 'waived'],
    ['back', t`come back`, 'unequal'],
    ['new', 'new', 'unequal'],
    ['still', t`still there`, 'unequal'],
];

/** What has become of it since the check before. */
export function Since({ since }: { since: SinceBefore }) {
    const nothing =
        since.put_right.length + since.accepted.length + since.new.length + since.back.length + since.unasked.length ===
        0;

    return nothing ? null : (
        <section className="pb-3" aria-label={t`Since the last check`}>
            <h2 className="aside pb-1">
                <Trans>Since the last check</Trans>
            </h2>
            <div className="note">
                <dl className="grid grid-cols-[18px_1fr] gap-x-1 font-sans text-[13px]">
                    {WORDS.filter(([set]) => since[set].length > 0).map(([set, word, mark]) => (
                        <div key={set} className="contents">
                            <dt>
                                <MarkSign mark={mark} label={word} />
                            </dt>
                            <dd>
                                <span className="font-semibold">{word}:</span>{' '}
                                {since[set].map((label) => label.toLowerCase()).join(', ')}
                            </dd>
                        </div>
                    ))}
                </dl>
                {since.unasked.length > 0 && (
                    <>
                        <p className="mt-1.5">
                            <Trans>Changed, though nobody was asked to:</Trans>
                        </p>
                        <ul className="font-sans text-[13px]">
                            {since.unasked.map((change) => (
                                <li key={change.id} className="text-ochre">
                                    {change.label}:{' '}
                                    <span className="mono">
                                        <Breaking text={`${change.from} → ${change.to}`} />
                                    </span>
                                </li>
                            ))}
                        </ul>
                    </>
                )}
            </div>
        </section>
    );
}
