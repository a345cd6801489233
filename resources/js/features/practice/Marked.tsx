import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useAction } from '../../lib/useAction';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { MarkSign } from '../../parts/MarkSign';
import type { Mark, TryPage } from '../../types/views';

const MARKS: Record<string, [Mark, string]> = {
    right: ['equal', t`right`],
    near: ['waived', t`nearly right`],
    missed: ['unknown', t`missed`],
    wrong: ['unequal', t`wrong`],
};

/** What of an answer was right, and why the rest is not. */
export function Marked({ page: { marks, exercise } }: { page: TryPage }) {
    const action = useAction(t`There is no other one just now.`);

    return marks === null ? null : (
        <section aria-labelledby="marks" className="mt-5 border border-edge px-4 py-3">
            <h2 id="marks" className="font-serif text-[19px]">
                <Trans>
                    {marks.earned} of {marks.possible} points
                </Trans>
            </h2>
            <ul className="mt-2 border-t border-ink">
                {marks.points.map((point) => {
                    const [mark, name] = MARKS[point.mark] ?? ['unknown', point.mark];

                    return (
                        <li
                            key={`${point.about} ${point.key}`}
                            className="flex items-baseline gap-2 border-b border-rule py-1.5"
                        >
                            <MarkSign mark={mark} label={name} />
                            <span className="grow">
                                {point.about === 'cause' && (
                                    <span className="font-semibold">{point.key.replaceAll('-', ' ')}. </span>
                                )}
                                <Breaking text={point.says} />
                            </span>
                            <span className="shrink-0 text-[13px] text-faint">
                                {point.earned}/{point.possible}
                            </span>
                        </li>
                    );
                })}
            </ul>
            <p className="flex flex-wrap gap-3 pt-3">
                <button
                    type="button"
                    className="btn btn-primary"
                    disabled={action.busy}
                    onClick={() => action.send('post', to('try.begin', { exercise: exercise.id }))}
                >
                    <Trans>Take another one of the kind</Trans>
                </button>
                <button type="button" className="btn print:hidden" onClick={() => window.print()}>
                    <Trans>Print</Trans>
                </button>
            </p>
            <Fault says={action.fault} />
        </section>
    );
}
