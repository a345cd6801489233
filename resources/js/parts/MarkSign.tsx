import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import type { Mark, Verdict } from '../types/views';

const NAMES: Record<Mark, string> = {
    equal: 'equal',
    unequal: 'unequal',
    waived: 'waived',
    unknown: t`could not be read`,
};

const INKS: Record<Mark, string> = {
    equal: 'text-green',
    unequal: 'text-red',
    waived: 'text-ochre',
    unknown: 'text-faint',
};

/** Two lines, crossed where they are not equal. */
function Lines({ crossed }: { crossed: boolean }) {
    return (
        <>
            <path d="M1.500 4.700h11M1.500 9.300h11" />
            {crossed && <path d="M9.800 1 4.200 13" />}
        </>
    );
}

const SHAPES: Record<Mark, ReactNode> = {
    equal: <Lines crossed={false} />,
    unequal: <Lines crossed />,
    waived: (
        <>
            <path d="M1.5 5.6c1.8-2 3.6-2 5.5-.4s3.700 1.600 5.500-.4" />
            <path d="M1.5 10.200c1.800-2 3.600-2 5.500-.4s3.700 1.600 5.500-.4" />
        </>
    ),
    unknown: (
        <>
            <path d="M4 4.700c0-3.600 6-3.600 6-.2 0 2.200-3 2.100-3 4.600" />
            <path d="M7 11v2" strokeWidth="2" />
        </>
    ),
};

/** The four marks, drawn: shapes first, colour second. */
export function MarkSign({ mark, label }: { mark: Mark; label?: string }) {
    return (
        <svg
            width="14"
            height="14"
            viewBox="0 0 14 14"
            role="img"
            aria-label={label ?? NAMES[mark]}
            className={`inline-block shrink-0 align-[-2px] ${INKS[mark]}`}
            fill="none"
            stroke="currentColor"
            strokeWidth="1.8"
        >
            {SHAPES[mark]}
        </svg>
    );
}

/** The mark of a deliverable; a dot where it has not been checked. */
export function VerdictSign({ verdict, waived }: { verdict: Verdict | null; waived: boolean }) {
    const mark = verdictMark(verdict, waived);

    return mark === null ? (
        <span className="text-faint" aria-label={t`not checked`}>
            ·
        </span>
    ) : (
        <MarkSign mark={mark} label={verdict ?? ''} />
    );
}

/** The mark of a whole check; one that balances because a line is accepted as it is says so. */
export function verdictMark(verdict: Verdict | null, waived = false): Mark | null {
    if (verdict === 'balanced' && waived) {
        return 'waived';
    }

    return verdict === null ? null : ({ balanced: 'equal', unbalanced: 'unequal', open: 'unknown' } as const)[verdict];
}
