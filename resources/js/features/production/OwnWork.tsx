import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { VerdictSign } from '../../parts/MarkSign';
import type { OwnLine } from '../../types/views';

function Next({ line }: { line: OwnLine }) {
    if (line.verdict === null) {
        return (
            <p>
                <Trans>Nothing was checked yet.</Trans>
            </p>
        );
    }

    return line.verdict === 'balanced' ? (
        <p className="text-green">
            <Trans>It balances. Nothing is left to do.</Trans>
        </p>
    ) : (
        <>
            <p>
                <strong>{line.holdsUp}</strong>
            </p>
            {line.cause !== null && (
                <p className="said text-[15px]">
                    <Breaking text={line.cause} />
                </p>
            )}
        </>
    );
}

function Work({ line, isCourse }: { line: OwnLine; isCourse: boolean }) {
    const of = { deliverable: line.id };

    return (
        <li className="border-b border-rule py-3" aria-label={line.code}>
            <h2 className="flex flex-wrap items-baseline gap-x-3">
                <VerdictSign verdict={line.verdict} waived={line.waived} />
                <Link href={to(line.folio, of)} className="link mono text-[16px] [overflow-wrap:anywhere]">
                    {line.code}
                </Link>
                <span className="aside">{line.title}</span>
                {line.due !== null && (
                    <span className={line.due.late ? 'ml-auto text-red' : 'ml-auto text-faint'}>
                        {line.due.at}, {line.due.words}
                    </span>
                )}
            </h2>
            <div className="grid gap-x-8 gap-y-2 pt-1 pl-7 lg:grid-cols-2">
                <div>
                    <h3 className="aside text-[13px]">
                        <Trans>what is asked</Trans>
                    </h3>
                    {line.asked.map((says) => (
                        <p key={says}>
                            <Breaking text={says} />
                        </p>
                    ))}
                    <p>
                        <Link href={to('hand-out', of)} className="link">
                            <Trans>All of it as one page</Trans>
                        </Link>
                    </p>
                </div>
                <div>
                    <h3 className="aside text-[13px]">
                        <Trans>what is next</Trans>
                    </h3>
                    <Next line={line} />
                    <p className="flex flex-wrap gap-3 pt-2">
                        <Link href={to('scene', of)} className="btn">
                            <Trans>Check my settings</Trans>
                        </Link>
                        <Link href={to('frames', of)} className="btn btn-primary">
                            {line.verdict === 'balanced' ? t`See my files` : t`Check my files`}
                        </Link>
                        {isCourse && (
                            <Link href={to('hand-in', of)} className="btn">
                                <Trans>Hand in</Trans>
                            </Link>
                        )}
                    </p>
                </div>
                {line.folders.map((folder) => (
                    <p key={folder} className="flex flex-wrap items-center gap-2 text-[13px] lg:col-span-2">
                        <span className="text-faint">
                            <Trans>Its files are looked for in</Trans>
                        </span>
                        <span className="mono [overflow-wrap:anywhere]">{folder}</span>
                        <CopyButton text={folder}>{t`Copy`}</CopyButton>
                    </p>
                ))}
            </div>
        </li>
    );
}

/** What somebody owes: what is asked, what is next, and the way to hand it in. */
export function OwnWork({ lines, isCourse }: { lines: OwnLine[]; isCourse: boolean }) {
    return (
        <ul className="mt-2">
            {lines.map((line) => (
                <Work key={line.id} line={line} isCourse={isCourse} />
            ))}
        </ul>
    );
}
