import { t } from '@lingui/core/macro';
import { to } from '../lib/route';
import { useAction } from '../lib/useAction';
import type { Unfinished } from '../types/views';

/** Says why the newest check came to no end, with the way to begin it again. */
export function BrokenOff({ broken }: { broken: Unfinished }) {
    const action = useAction(t`This could not be begun again.`);
    const again = () => action.send('post', to('check.again', { check: broken.id }), {}, { preserveScroll: false });

    return (
        <div role="alert" className="alert alert-error mx-6 mt-3">
            <span>{broken.says}</span>
            <button type="button" className="btn" disabled={action.busy} onClick={again}>
                {action.busy ? t`Checking…` : t`Begin again`}
            </button>
            {action.fault !== null && <span>{action.fault}</span>}
        </div>
    );
}
