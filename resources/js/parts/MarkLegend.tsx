import { t } from '@lingui/core/macro';
import { MarkSign } from './MarkSign';

const MARKS = [
    ['equal', t`equal to what is asked`],
    ['unequal', t`not equal`],
    ['unknown', t`could not be read`],
] as const;

/** What the marks mean. */
export function MarkLegend() {
    return (
        <p className="flex flex-wrap gap-x-5 pt-2 text-[13px] text-faint" aria-label={t`What the marks mean`}>
            {MARKS.map(([mark, says]) => (
                <span key={mark}>
                    <MarkSign mark={mark} /> {says}
                </span>
            ))}
        </p>
    );
}
