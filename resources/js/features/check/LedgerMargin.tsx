import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { Fragment, useState } from 'react';
import { to } from '../../lib/route';
import type { Cause, Entry, Fix, Ledger } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { Folded } from '../../parts/Folded';
import { Shape } from '../../parts/Shape';
import { Moves } from './Moves';
import { lineId } from './notes';
import { Since } from './Since';

/** So many are shown before somebody wants all. */
const FIRST = 12;

function CauseNote({
    cause,
    number,
    ledger,
    touched,
    onTouch,
}: {
    cause: Cause;
    number: number;
    ledger: Ledger;
    touched: boolean;
    onTouch: (note: number | null) => void;
}) {
    // what the sentence says already is no evidence of it
    const evidence = [...new Set(cause.evidence)].filter((each) => !cause.says.includes(each.replace(/\.$/, '')));

    return (
        <li
            id={`note-${number}`}
            tabIndex={-1}
            className={`note ${touched ? 'bg-[color-mix(in_oklab,var(--color-primary)_9%,transparent)]' : ''}`}
            onMouseEnter={() => onTouch(number)}
            onMouseLeave={() => onTouch(null)}
        >
            <p>
                <span className="note-number mr-2 align-[1px]">{number}</span>
                <Folded text={cause.says} most={420} />
            </p>
            <p className="mt-1 font-sans text-[12.5px] text-faint">
                <Trans>seen in the {cause.side}; explains </Trans>
                {cause.explains.map((id, at) => (
                    <Fragment key={id}>
                        {at > 0 && ', '}
                        <a className="hover:underline" href={`#${lineId(cause.part, cause.pass, id)}`}>
                            {(ledger.labels[id]?.label ?? id).toLowerCase()}
                        </a>
                    </Fragment>
                ))}
                {cause.or.length > 0 && t`; or ${cause.or.map((id) => id.replaceAll('-', ' ')).join(', ')}`}
                {'. '}
                <Link className="link" href={`${to('causes')}#${cause.id}`}>
                    <Trans>About {cause.id.replaceAll('-', ' ')}</Trans>
                </Link>
            </p>
            {evidence.length > 0 && (
                <details className="mt-1 font-sans text-[12.5px] text-faint">
                    <summary className="cursor-pointer">
                        <Trans>Evidence</Trans>
                    </summary>
                    <ul className="ml-3 list-disc">
                        {evidence.map((each, at) => (
                            <li key={at}>
                                <Folded text={each} most={240} />
                            </li>
                        ))}
                    </ul>
                </details>
            )}
        </li>
    );
}

function FixLine({ fix, number, deliverable, open }: { fix: Fix; number: number; deliverable: number; open: boolean }) {
    // shown at once; what the server answers makes this line anew
    const [done, setDone] = useState(fix.done);
    const tick = (now: boolean) => {
        setDone(now);
        router.post(
            to('tick', { deliverable }),
            { fix: fix.key, done: now },
            { preserveScroll: true, preserveState: true, onError: () => setDone(!now) },
        );
    };

    return (
        <li className="border-t border-rule py-1.5 first:border-0">
            <label className={`grid grid-cols-[20px_1fr] gap-x-1 ${open ? 'cursor-pointer' : ''}`}>
                {open ? (
                    <input
                        type="checkbox"
                        className="checkbox mt-1 size-3.5"
                        checked={done}
                        onChange={(event) => tick(event.target.checked)}
                    />
                ) : (
                    <span className="text-faint">{number}</span>
                )}
                <span className={done ? 'text-faint line-through' : ''}>
                    <Breaking text={fix.says} />
                </span>
            </label>
            {fix.kind === 'render' && fix.frames !== undefined && fix.frames !== '' && (
                <span className="mt-1.5 block pl-6">
                    <CopyButton text={fix.frames}>{t`Copy the range`}</CopyButton>
                </span>
            )}
        </li>
    );
}

/** Which size was found, where it is not the one that is asked. */
function wrongSize(size: Entry | undefined): string | null {
    if (size?.mark !== 'unequal') {
        return null;
    }
    const wrong = [size.files, size.scene].find((cell) => cell?.mark === 'unequal' && cell.stale !== true);
    // where most is right, what differs is drawn
    const isRightMostly = wrong?.found != null && size.required.split(' | ').includes(wrong.found);

    return (isRightMostly ? wrong.runs?.[0]?.found : wrong?.found) ?? null;
}

function Causes({ ledger, touched, onTouch }: Omit<Props, 'deliverable'>) {
    const { causes, verdict } = ledger.document;
    if (causes.length === 0) {
        return (
            <p className="aside">
                {verdict === 'balanced'
                    ? t`Every line balances.`
                    : t`Nothing is unequal; what could not be read keeps it open.`}
            </p>
        );
    }

    return (
        <>
            <h2 className="aside pb-1">
                <Trans>Why</Trans>
            </h2>
            <ol>
                {causes.map((cause, at) => (
                    <CauseNote
                        key={at}
                        cause={cause}
                        number={at + 1}
                        ledger={ledger}
                        touched={touched === at + 1}
                        onTouch={onTouch}
                    />
                ))}
            </ol>
        </>
    );
}

function Fixes({ ledger, deliverable }: { ledger: Ledger; deliverable: number }) {
    const [all, setAll] = useState(false);
    const { fixes, fixes_count: many } = ledger.document;
    const done = fixes.filter((fix) => fix.done).length;

    return fixes.length === 0 ? null : (
        <section className="mt-2">
            <h2 className="aside pb-1">
                <Trans>
                    Put right, in this order
                    {done > 0 && (
                        <span className="not-italic">
                            <Trans>
                                {' '}
                                · {done} of {fixes.length} done
                            </Trans>
                        </span>
                    )}
                </Trans>
            </h2>
            <ol className="note">
                {(all ? fixes : fixes.slice(0, FIRST)).map((fix, at) => (
                    <FixLine
                        key={`${fix.key}/${String(fix.done)}`}
                        fix={fix}
                        number={at + 1}
                        deliverable={deliverable}
                        open={ledger.newest}
                    />
                ))}
            </ol>
            {fixes.length > FIRST && (
                <button type="button" className="link" onClick={() => setAll(!all)}>
                    {all ? t`fewer` : t`${fixes.length - FIRST} more`}
                </button>
            )}
            {many > fixes.length && (
                <p className="text-faint">
                    <Trans>The report files have all {many}.</Trans>
                </p>
            )}
        </section>
    );
}

const REPORTS = [
    ['txt', 'text'],
    ['json', 'JSON'],
    ['csv', 'CSV'],
    ['xml', 'JUnit'],
] as const;

/** When it was made, by whom and how closely, and all of it as a file. */
function ThisCheck({ ledger }: { ledger: Ledger }) {
    const isFull = ledger.document.depth === 'full';

    return (
        <section className="mt-2">
            <h2 className="aside pb-1">
                <Trans>This check</Trans>
            </h2>
            <p className="note font-sans! text-[13px]!">
                <Trans>
                    {ledger.made}
                    {ledger.by !== null && t`, by ${ledger.by}`}
                    <br />
                    specification revision {ledger.revision}
                    {!ledger.current && (
                        <span className="text-ochre">
                            <Trans> (something else is asked since)</Trans>
                        </span>
                    )}
                    {ledger.delivery !== null && (
                        <>
                            <br />
                            {isFull ? t`every byte was read` : t`head and tail of each file were read`}
                        </>
                    )}
                </Trans>
                <span className="print:hidden">
                    <br />
                    <Trans>Report:</Trans>{' '}
                    {REPORTS.map(([format, name]) => (
                        <a
                            key={format}
                            className="link mr-2"
                            href={to('check.report', { check: ledger.id, format })}
                            download
                        >
                            {name}
                        </a>
                    ))}
                </span>
            </p>
        </section>
    );
}

interface Props {
    ledger: Ledger;
    deliverable: number;
    touched: number | null;
    onTouch: (note: number | null) => void;
}

/** Causes and fixes, beside the lines they speak of. */
export function LedgerMargin({ ledger, deliverable, touched, onTouch }: Props) {
    const { since, entries } = ledger.document;
    const size = entries.find((entry) => entry.id === 'picture.resolution');
    const found = wrongSize(size);

    return (
        <>
            {since != null && <Since since={since} />}
            <Causes ledger={ledger} touched={touched} onTouch={onTouch} />
            {size !== undefined && found !== null && (
                <Shape asked={size.required.split(' | ')[0] ?? ''} found={found} />
            )}
            <Fixes ledger={ledger} deliverable={deliverable} />
            <Moves ledger={ledger} />
            <ThisCheck ledger={ledger} />
        </>
    );
}
