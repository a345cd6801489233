import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useState } from 'react';
import { ask } from '../../lib/ask';
import { counted } from '../../lib/frames';
import { folderPicker, heldBy } from '../../lib/ownDisk';
import { to } from '../../lib/route';
import { Fault } from '../../parts/Fault';
import { useOwnFolder } from './useOwnFolder';
import { carryOut, goOn, journalOf, Stopped, undo, type Journal, type Planned } from './renaming';

type State =
    | { kind: 'idle'; fault: string | null }
    | { kind: 'asking'; root: FileSystemDirectoryHandle; journal: Journal | null; moves: Planned[] }
    | { kind: 'working'; done: number; all: number };

const inWords = (trouble: unknown): string =>
    trouble instanceof Error && (trouble instanceof Stopped || trouble.name === 'Error')
        ? trouble.message
        : t`The browser could not change files in this folder. Take the script instead.`;

type Asked = FileSystemDirectoryHandle & { requestPermission?: (wish: { mode: 'readwrite' }) => Promise<string> };

/** The folder, with leave to write in it; null where whoever was asked has declined. */
async function writable(check: number): Promise<FileSystemDirectoryHandle | null> {
    const source = heldBy(check);
    try {
        if (source?.kind !== 'folder') {
            return (await folderPicker()?.({ mode: 'readwrite' })) ?? null;
        }
        const handle: Asked = source.handle;
        const leave = (await handle.requestPermission?.({ mode: 'readwrite' })) ?? 'granted';

        return leave === 'granted' ? handle : null;
    } catch {
        return null;
    }
}

/** What was done in a folder before. */
function before(journal: Journal | null, moves: Planned[]): string {
    if (journal === null) {
        return moves.length > 0 ? '' : t`Nothing is left to rename or to undo in this folder.`;
    }
    const files = counted(journal.steps.length, t`file`, t`files`);

    return journal.phase === 'done'
        ? t`${files} of this folder were renamed or moved before.`
        : t`A renaming of ${files} in this folder was not ended.`;
}

/** What was done here before, and what is to be done. */
function Asking({
    state: { root, journal, moves },
    onWork,
    onLeave,
}: {
    state: Extract<State, { kind: 'asking' }>;
    onWork: (work: (step: (done: number, all: number) => void) => Promise<void>) => void;
    onLeave: () => void;
}) {
    const isHalf = journal !== null && journal.phase !== 'done';

    return (
        <div className="note font-sans! text-[13px]!">
            <p>{before(journal, moves)}</p>
            <p className="flex flex-wrap items-center gap-3 py-1">
                {isHalf && (
                    <button
                        type="button"
                        className="btn btn-primary"
                        onClick={() => onWork((step) => goOn(root, journal, step))}
                    >
                        <Trans>Go on with it</Trans>
                    </button>
                )}
                {!isHalf && moves.length > 0 && (
                    <button
                        type="button"
                        className="btn btn-primary"
                        onClick={() => onWork((step) => carryOut(root, moves, new Date().toISOString(), step))}
                    >
                        <Trans>
                            Do it to {counted(moves.length, t`file`, t`files`)} of{' '}
                            {root.name === '' ? t`this folder` : root.name}
                        </Trans>
                    </button>
                )}
                {journal !== null && !journal.undoes && (
                    <button type="button" className="btn" onClick={() => onWork((step) => undo(root, journal, step))}>
                        <Trans>Undo</Trans>
                    </button>
                )}
                <button type="button" className="link" onClick={onLeave}>
                    <Trans>Not now</Trans>
                </button>
            </p>
        </div>
    );
}

/** Whoever closes the page midway is asked once. */
function useStay(isWorking: boolean) {
    useEffect(() => {
        const stay = (event: BeforeUnloadEvent) => event.preventDefault();
        if (isWorking) {
            addEventListener('beforeunload', stay);
        }

        return () => removeEventListener('beforeunload', stay);
    }, [isWorking]);
}

/** Names and places put right on this machine, by the browser, where it may write. */
export function OwnMoves({
    check,
    movable,
    again,
    onEnded,
}: {
    check: number;
    /** whether there is anything to rename, to move or to set aside */
    movable: boolean;
    /** where a look at the folder as it is afterwards is begun */
    again: string;
    onEnded: () => void;
}) {
    const [state, setState] = useState<State>({ kind: 'idle', fault: null });
    const look = useOwnFolder(again, onEnded);
    useStay(state.kind === 'working');
    if (folderPicker() === null) {
        return null;
    }
    const begin = async () => {
        try {
            const root = await writable(check);
            if (root === null) {
                return;
            }
            const journal = await journalOf(root);
            const plan = movable
                ? await ask<{ moves: Planned[] }>(to('moves.script', { check, format: 'json' }))
                : { moves: [] };
            setState({ kind: 'asking', root, journal, moves: plan.moves });
        } catch (trouble) {
            setState({ kind: 'idle', fault: inWords(trouble) });
        }
    };
    const work = async (
        root: FileSystemDirectoryHandle,
        doIt: (step: (done: number, all: number) => void) => Promise<void>,
    ) => {
        setState({ kind: 'working', done: 0, all: 1 });
        try {
            await doIt((done, all) => setState({ kind: 'working', done, all }));
            setState({ kind: 'idle', fault: null });
            look.start({ folder: root.name, source: { kind: 'folder', handle: root } }, false);
        } catch (trouble) {
            setState({ kind: 'idle', fault: inWords(trouble) });
        }
    };

    return (
        <section className="mt-2 print:hidden" aria-label={t`Names and places on this machine`}>
            {look.state.kind !== 'idle' && (
                <p role="status" className="note font-sans! text-[13px]!">
                    <Trans>Done. The folder is being looked at again.</Trans>
                </p>
            )}
            {look.state.kind === 'idle' && <Fault says={look.state.fault} />}
            {state.kind === 'idle' && look.state.kind === 'idle' && (
                <>
                    <button type="button" className="btn my-1" onClick={() => void begin()}>
                        {movable ? t`Rename on this machine…` : t`Undo a renaming on this machine…`}
                    </button>
                    <p className="note font-sans! text-[13px]!">
                        <Trans>
                            The browser asks whether it may change files in the folder. Nothing is written over or
                            deleted.
                        </Trans>
                    </p>
                    <Fault says={state.fault} />
                </>
            )}
            {state.kind === 'asking' && (
                <Asking
                    state={state}
                    onWork={(doIt) => void work(state.root, doIt)}
                    onLeave={() => setState({ kind: 'idle', fault: null })}
                />
            )}
            {state.kind === 'working' && (
                <div role="status" className="note font-sans! text-[13px]!">
                    <Trans>
                        At work: {state.done} of {state.all}. Leave the page open.
                    </Trans>
                    <progress
                        className="progress mt-1"
                        value={state.done}
                        max={state.all}
                        aria-label={t`Files renamed`}
                    />
                </div>
            )}
        </section>
    );
}
