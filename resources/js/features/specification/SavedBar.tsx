import type { Turning } from './turning';

/** Whether everything is kept, and the way back. */
export function SavedBar({ turning }: { turning: Turning }) {
    const { state } = turning;

    return (
        <span className="flex items-baseline gap-3 text-[13px] whitespace-nowrap">
            <span role="status" className={state.kind === 'refused' ? 'text-red' : 'text-faint'}>
                {state.kind === 'still' ? 'Everything is kept' : state.says}
            </span>
            <button
                type="button"
                className="link disabled:cursor-default disabled:text-faint disabled:no-underline"
                disabled={!turning.canUndo}
                onClick={turning.undo}
            >
                Undo
            </button>
            <button
                type="button"
                className="link disabled:cursor-default disabled:text-faint disabled:no-underline"
                disabled={!turning.canRedo}
                onClick={turning.redo}
            >
                Redo
            </button>
        </span>
    );
}
