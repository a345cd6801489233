import { t } from '@lingui/core/macro';
import { tell } from '../../lib/ask';
import { to } from '../../lib/route';
import { useQuestion } from '../../lib/useQuestion';
import type { Plan } from '../../types/views';

/**
 * Another plan of a production, tried on the server as one types; null: what is kept is shown, and nothing is asked.
 * What came last stays until the next comes.
 */
export function useTriedPlan(
    production: number,
    asked: Record<string, string | number> | null,
): { tried: Plan | null; fault: string | null } {
    const { answer, fault } = useQuestion(
        asked === null ? null : JSON.stringify(asked),
        (stop) => tell<{ plan: Plan | null }>(to('plan.try', { production }), asked, stop),
        { wait: 200, otherwise: t`This could not be planned.` },
    );

    return { tried: answer?.plan ?? null, fault };
}
