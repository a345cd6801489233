import { classes } from '../lib/classes';
import { Breaking } from './Breaking';

/** What went wrong, where somebody looks for it. */
export function Fault({ says, className }: { says: string | null | undefined; className?: string }) {
    return says === null || says === undefined ? null : (
        <p role="alert" className={classes('text-red', className)}>
            <Breaking text={says} />
        </p>
    );
}
