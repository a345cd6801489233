import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import type { FeedbackPage } from '../../types/views';

/** What the reader has to say of it: points instead of those that are worked out, and a remark. */
export function Mark({ page: { id, own, feedback } }: { page: FeedbackPage }) {
    const [points, setPoints] = useState(own.points ?? '');
    const [remark, setRemark] = useState(own.remark);
    const action = useAction(t`It could not be kept.`);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send('put', to('feedback.mark', { handIn: id }), { points, remark }, { names: ['points', 'remark'] });
    };

    return (
        <form className="mb-5 text-[13px]" onSubmit={submit} aria-label={t`Mark`}>
            <h2 className="aside border-b border-ink pb-1">
                <Trans>Your marking</Trans>
            </h2>
            <Labelled label={t`points by hand, of ${feedback.possible} (empty: as worked out)`}>
                <input
                    className="input mono w-28!"
                    inputMode="decimal"
                    value={points}
                    onChange={(event) => setPoints(event.target.value)}
                />
            </Labelled>
            <Labelled label={t`remark, which the learner reads`}>
                <textarea
                    className="textarea w-full"
                    rows={5}
                    maxLength={5000}
                    value={remark}
                    onChange={(event) => setRemark(event.target.value)}
                />
            </Labelled>
            <button className="btn btn-primary mt-2" disabled={action.busy}>
                <Trans>Save</Trans>
            </button>
            <Fault says={action.fault} />
        </form>
    );
}

/** What others who mark say, and what all agree on. */
export function Others({ page: { id, others, disputed, agreed } }: { page: FeedbackPage }) {
    const [points, setPoints] = useState(agreed ?? '');
    const action = useAction(t`It could not be kept.`);

    return others.length === 0 && agreed === null ? null : (
        <section className="mb-5 text-[13px]">
            <h2 className="aside border-b border-ink pb-1">
                <Trans>Others who mark</Trans>
            </h2>
            {others.map(({ by, points: given, remark }, at) => (
                <p key={`${at} ${by}`} className="pt-2 whitespace-pre-line">
                    <strong>{by}</strong>: {given ?? t`as worked out`}
                    {remark !== '' && <span className="block">{remark}</span>}
                </p>
            ))}
            {(disputed || agreed !== null) && (
                <form
                    className="pt-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        action.send('put', to('feedback.agree', { handIn: id }), { points }, { names: ['points'] });
                    }}
                >
                    {disputed && (
                        <p className="text-red">
                            <Trans>You gave different points. Until you agree, none are told.</Trans>
                        </p>
                    )}
                    <Labelled label={t`agreed on`}>
                        <input
                            className="input mono w-28!"
                            inputMode="decimal"
                            value={points}
                            onChange={(event) => setPoints(event.target.value)}
                        />
                    </Labelled>
                    <button className="btn mt-2" disabled={action.busy}>
                        <Trans>Agree</Trans>
                    </button>
                    <Fault says={action.fault} />
                </form>
            )}
        </section>
    );
}

/** Gives it back for another attempt. */
export function Return({ page: { id, mayReturn, returned } }: { page: FeedbackPage }) {
    const [why, setWhy] = useState('');
    const [due, setDue] = useState('');
    const action = useAction(t`It could not be returned.`);
    if (!mayReturn) {
        return returned === null ? null : (
            <p className="mb-5 text-[13px] text-ochre">
                <Trans>Returned {returned}</Trans>
            </p>
        );
    }

    return (
        <form
            className="mb-5 text-[13px]"
            aria-label={t`Return for another attempt`}
            onSubmit={(event) => {
                event.preventDefault();
                action.send(
                    'post',
                    to('feedback.return', { handIn: id }),
                    { why, due: due === '' ? null : due },
                    { names: ['why', 'due', 'refused'] },
                );
            }}
        >
            <h2 className="aside border-b border-ink pb-1">
                <Trans>Return for another attempt</Trans>
            </h2>
            <Labelled label={t`why`}>
                <textarea
                    className="textarea w-full"
                    rows={2}
                    maxLength={1000}
                    value={why}
                    onChange={(event) => setWhy(event.target.value)}
                />
            </Labelled>
            <Labelled label={t`due (empty: no later than this one was)`}>
                <input
                    type="datetime-local"
                    className="input w-full!"
                    value={due}
                    onChange={(event) => setDue(event.target.value)}
                />
            </Labelled>
            <button className="btn mt-2" disabled={action.busy}>
                <Trans>Return</Trans>
            </button>
            <Fault says={action.fault} />
        </form>
    );
}
