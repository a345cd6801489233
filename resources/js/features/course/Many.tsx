import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import type { AssignmentPage } from '../../types/views';

/** Which of them are chosen with one press. */
function Choices({ page: { rows }, onChoose }: { page: AssignmentPage; onChoose: (chosen: number[]) => void }) {
    const sets: [string, number[]][] = [
        [t`all`, rows.map(({ id }) => id)],
        [t`nothing handed in`, rows.filter(({ counting }) => counting === null).map(({ id }) => id)],
        [t`late`, rows.filter(({ counting }) => counting?.late != null).map(({ id }) => id)],
        [
            t`not balanced`,
            rows.filter(({ counting }) => counting !== null && counting.verdict !== 'balanced').map(({ id }) => id),
        ],
        [t`none`, []],
    ];

    return (
        <p className="flex flex-wrap gap-x-4 pt-3 text-[13px] print:hidden">
            <span className="aside">
                <Trans>choose</Trans>
            </span>
            {sets.map(([name, ids]) => (
                <button key={name} type="button" className="link" onClick={() => onChoose(ids)}>
                    {name}
                </button>
            ))}
        </p>
    );
}

/** A message in one's own words to all that are chosen. */
function Letter({ specification, chosen, onDone }: { specification: number; chosen: number[]; onDone: () => void }) {
    const [subject, setSubject] = useState('');
    const [body, setBody] = useState('');
    const action = useAction(t`It could not be written.`);
    const send = () =>
        action.send(
            'post',
            to('assignment.write', { specification }),
            { ids: chosen, subject, body },
            { names: ['subject', 'body', 'ids', 'refused'], done: onDone },
        );

    return (
        <details className="w-full">
            <summary className="link w-fit cursor-pointer">
                <Trans>Write to them</Trans>
            </summary>
            <div className="grid max-w-[80ch] grid-cols-1 justify-items-start gap-2 pt-2 [&>label]:max-w-full">
                <Labelled label={t`about`}>
                    <input
                        className="input w-72!"
                        maxLength={200}
                        value={subject}
                        onChange={(event) => setSubject(event.target.value)}
                    />
                </Labelled>
                <Labelled label={t`what they read`}>
                    <textarea
                        className="textarea w-full"
                        cols={80}
                        rows={4}
                        maxLength={5000}
                        value={body}
                        onChange={(event) => setBody(event.target.value)}
                    />
                </Labelled>
                <button
                    type="button"
                    className="btn"
                    disabled={action.busy || subject.trim() === '' || body.trim() === ''}
                    onClick={send}
                >
                    <Trans>Write it</Trans>
                </button>
                <Fault says={action.fault} className="w-full" />
            </div>
        </details>
    );
}

/** The same points, or the same remark, for what stands of all that are chosen. */
function Marks({ specification, chosen, onDone }: { specification: number; chosen: number[]; onDone: () => void }) {
    const [points, setPoints] = useState('');
    const [remark, setRemark] = useState('');
    const action = useAction(t`They could not be marked.`);
    const send = () =>
        action.send(
            'post',
            to('assignment.mark', { specification }),
            { ids: chosen, points: points.trim() === '' ? null : points, remark },
            { names: ['points', 'remark', 'ids', 'refused'], done: onDone },
        );

    return (
        <details className="w-full">
            <summary className="link w-fit cursor-pointer">
                <Trans>Mark them</Trans>
            </summary>
            <div className="grid max-w-[80ch] grid-cols-1 justify-items-start gap-2 pt-2 [&>label]:max-w-full">
                <Labelled label={t`points by hand, empty: as they are`}>
                    <input
                        className="input w-28!"
                        inputMode="decimal"
                        value={points}
                        onChange={(event) => setPoints(event.target.value)}
                    />
                </Labelled>
                <Labelled label={t`remark, empty: as it is`}>
                    <textarea
                        className="textarea w-full"
                        cols={80}
                        rows={3}
                        maxLength={5000}
                        value={remark}
                        onChange={(event) => setRemark(event.target.value)}
                    />
                </Labelled>
                <button
                    type="button"
                    className="btn"
                    disabled={action.busy || (points.trim() === '' && remark.trim() === '')}
                    onClick={send}
                >
                    <Trans>Mark all that are chosen</Trans>
                </button>
                <Fault says={action.fault} className="w-full" />
            </div>
        </details>
    );
}

/** More time, or back for another attempt, for all that are chosen. */
export function Many({
    page,
    chosen,
    onChoose,
}: {
    page: AssignmentPage;
    chosen: number[];
    onChoose: (chosen: number[]) => void;
}) {
    const [due, setDue] = useState('');
    const [why, setWhy] = useState('');
    const action = useAction(t`That could not be done.`);
    const send = (name: 'assignment.extend' | 'assignment.return') =>
        action.send(
            'post',
            to(name, { specification: page.id }),
            { ids: chosen, due: due === '' ? null : due, why, attempts: 0 },
            { names: ['why', 'due', 'ids', 'refused'], done: () => onChoose([]) },
        );

    return (
        <>
            <Choices page={page} onChoose={onChoose} />
            {chosen.length > 0 && (
                <section
                    className="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2 border border-edge bg-paper px-3 py-2"
                    aria-label={t`What is chosen`}
                >
                    <strong className="self-center">
                        <Trans>{chosen.length} chosen</Trans>
                    </strong>
                    <Labelled label={t`due, ${page.form.zone}`}>
                        <input
                            type="datetime-local"
                            className="input w-52!"
                            value={due}
                            onChange={(event) => setDue(event.target.value)}
                        />
                    </Labelled>
                    <Labelled label={t`why`}>
                        <input
                            className="input w-60!"
                            maxLength={400}
                            value={why}
                            onChange={(event) => setWhy(event.target.value)}
                        />
                    </Labelled>
                    <button
                        type="button"
                        className="btn"
                        disabled={action.busy || due === ''}
                        onClick={() => send('assignment.extend')}
                    >
                        <Trans>Grant that time</Trans>
                    </button>
                    <button
                        type="button"
                        className="btn"
                        disabled={action.busy || why.trim() === ''}
                        onClick={() => send('assignment.return')}
                    >
                        <Trans>Return for another attempt</Trans>
                    </button>
                    <Fault says={action.fault} className="w-full" />
                    <Marks specification={page.id} chosen={chosen} onDone={() => onChoose([])} />
                    <Letter specification={page.id} chosen={chosen} onDone={() => onChoose([])} />
                </section>
            )}
        </>
    );
}
