import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Changes } from './changes';

/** Whether everything is kept, and the way back. */
export function SavedBar({ changes }: { changes: Changes }) {
    const { state } = changes;

    return (
        <span className="flex items-baseline gap-3 text-[13px] whitespace-nowrap">
            <span role="status" className={state.kind === 'refused' ? 'text-red' : 'text-faint'}>
                {state.kind === 'still' ? t`Everything is saved` : state.says}
            </span>
            <button
                type="button"
                className="link disabled:cursor-default disabled:text-faint disabled:no-underline"
                disabled={!changes.canUndo}
                onClick={changes.undo}
            >
                <Trans>Undo</Trans>
            </button>
            <button
                type="button"
                className="link disabled:cursor-default disabled:text-faint disabled:no-underline"
                disabled={!changes.canRedo}
                onClick={changes.redo}
            >
                <Trans>Redo</Trans>
            </button>
        </span>
    );
}
