import { t } from '@lingui/core/macro';
import type { CheckDocument } from '../types/views';
import { counted } from './frames';

/** The verdict as it would be said: the causes that explain most, at most two of them. */
export function verdictInWords(document: CheckDocument): string {
    const says = document.causes.slice(0, 2).map((cause) => cause.says);
    const more = document.causes.length - says.length;
    if (says.length > 0) {
        return `${says.join(' ')}${more > 0 ? t` And ${counted(more, t`more cause`, t`more causes`)}.` : ''}`;
    }

    return document.verdict === 'balanced'
        ? t`It balances: every line that must agree does.`
        : t`Nothing disagrees, and something that must be known could not be read.`;
}
