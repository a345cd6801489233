import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { ask } from '../../lib/ask';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { useQuestion } from '../../lib/useQuestion';
import { Fault } from '../../parts/Fault';
import type { Ledger, PlannedMoves } from '../../types/views';
import { counted } from '../../lib/frames';

const SCRIPTS = [
    ['sh', t`shell script`],
    ['bat', t`batch script`],
    ['csv', t`table`],
] as const;

const files = (many: number) => counted(many, t`file`, t`files`);

/** One line: names that differ in one number alone. */
function Line({ line }: { line: PlannedMoves['lines'][number] }) {
    return (
        <li className="border-t border-rule py-1.5 first:border-0">
            <span className="mono block text-[12.5px] [overflow-wrap:anywhere]">{line.from}</span>
            <span className="mono block text-[12.5px] [overflow-wrap:anywhere]">
                <span className="text-faint">{line.aside ? t`set aside as` : t`to`}</span> {line.to}
            </span>
            <span className="text-[12.5px] text-faint">
                {line.frames !== '' && <span className="mono">{line.frames}, </span>}
                {files(line.count)}
            </span>
        </li>
    );
}

/** What is planned, what is to be done by hand, and the ways to do it. */
function Plan({ plan, ledger, onDone }: { plan: PlannedMoves; ledger: Ledger; onDone: () => void }) {
    const { id: check, elsewhere } = ledger;
    const action = useAction(t`This could not be done.`);

    return (
        <>
            <ol className="note font-sans! text-[13px]!">
                {plan.lines.map((line, at) => (
                    <Line key={at} line={line} />
                ))}
            </ol>
            {plan.more > 0 && (
                <p className="text-faint">
                    <Trans>and {plan.more} more lines, which the table has.</Trans>
                </p>
            )}
            <p className="note font-sans! text-[13px]!">
                <Trans>
                    No file is written over or deleted. What is set aside lies in the folder{' '}
                    <span className="mono">_set-aside</span> afterwards.
                    {plan.left.length > 0 && t` The rest of the list above is left to do.`}
                </Trans>
            </p>
            {!elsewhere && (
                <div className="flex flex-wrap items-center gap-3 py-1">
                    <button
                        type="button"
                        className="btn btn-primary"
                        disabled={action.busy}
                        onClick={() =>
                            action.send('post', to('moves.do', { check }), {}, { names: ['moves'], done: onDone })
                        }
                    >
                        {action.busy ? t`At work…` : t`Do it to ${files(plan.files)}`}
                    </button>
                </div>
            )}
            <p className="note font-sans! text-[13px]!">
                {elsewhere
                    ? t`They are not to be reached from here. For where they are, in that folder: `
                    : t`Or for where they are: `}
                {SCRIPTS.map(([format, name]) => (
                    <a key={format} className="link mr-2" href={to('moves.script', { check, format })} download>
                        {name}
                    </a>
                ))}
            </p>
            <Fault says={action.fault} />
        </>
    );
}

/** What was renamed in this folder last, and the way back. */
function Moved({ moved }: { moved: NonNullable<Ledger['moved']> }) {
    const action = useAction(t`This could not be undone.`);

    return (
        <div className="note font-sans! text-[13px]!">
            <Trans>
                {files(moved.files)} renamed, moved or set aside, {moved.at}
                {moved.by !== null && t`, by ${moved.by}`}.{' '}
            </Trans>
            <button
                type="button"
                className="link"
                disabled={action.busy}
                onClick={() => action.send('delete', to('moves.undo', { move: moved.id }), {}, { names: ['moves'] })}
            >
                <Trans>Undo</Trans>
            </button>
            <Fault says={action.fault} className="mt-1" />
        </div>
    );
}

/** What would be done, once somebody asks. */
function Planned({ ledger, onDone }: { ledger: Ledger; onDone: () => void }) {
    const url = to('moves', { check: ledger.id });
    const { answer, fault } = useQuestion(url, (stop) => ask<PlannedMoves>(url, stop), {
        wait: 0,
        otherwise: t`The folder could not be read.`,
        keeps: false,
    });

    return (
        <div aria-live="polite">
            {answer === null && fault === null && (
                <p className="text-faint">
                    <Trans>Reading the folder…</Trans>
                </p>
            )}
            <Fault says={fault} />
            {answer !== null && <Plan plan={answer} ledger={ledger} onDone={onDone} />}
        </div>
    );
}

/** Names and places put right here, file by file. */
export function Moves({ ledger }: { ledger: Ledger }) {
    const [shown, setShown] = useState(false);
    if (!ledger.movable && ledger.moved === null) {
        return null;
    }

    return (
        <section className="mt-2 print:hidden">
            <h2 className="aside pb-1">
                <Trans>Names and places</Trans>
            </h2>
            {ledger.moved !== null && <Moved moved={ledger.moved} />}
            {ledger.movable && (
                <button type="button" className="btn my-1" aria-expanded={shown} onClick={() => setShown(!shown)}>
                    {shown ? t`Not now` : t`Rename, move, set aside…`}
                </button>
            )}
            {shown && ledger.movable && <Planned ledger={ledger} onDone={() => setShown(false)} />}
        </section>
    );
}
