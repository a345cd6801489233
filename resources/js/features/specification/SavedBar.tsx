import type { Changes } from './changes';

/** Whether everything is kept, and the way back. */
export function SavedBar({ changes }: { changes: Changes }) {
    const { state } = changes;

    return (
        <span className="flex items-baseline gap-3 text-[13px] whitespace-nowrap">
            <span role="status" className={state.kind === 'refused' ? 'text-red' : 'text-faint'}>
                {state.kind === 'still' ? 'Everything is kept' : state.says}
            </span>
            <button
                type="button"
                className="link disabled:cursor-default disabled:text-faint disabled:no-underline"
                disabled={!changes.canUndo}
                onClick={changes.undo}
            >
                Undo
            </button>
            <button
                type="button"
                className="link disabled:cursor-default disabled:text-faint disabled:no-underline"
                disabled={!changes.canRedo}
                onClick={changes.redo}
            >
                Redo
            </button>
        </span>
    );
}
