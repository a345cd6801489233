import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useState, type SyntheticEvent } from 'react';
import { bytes, counted } from '../../lib/frames';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { MarkSign } from '../../parts/MarkSign';
import { OwnProgress, useOwnReading } from './OwnReading';
import type { SubmissionShown } from '../../types/views';

const FORMS: [string, string][] = [
    ['pdf', 'PDF'],
    ['html', t`Page`],
    ['json', 'JSON'],
    ['csv', 'CSV'],
    ['xml', t`JUnit`],
];

const OF_SUMS: Record<string, string> = {
    'SHA-256': 'sha256',
    MD5: 'md5',
    'xxHash 64': 'xxh64',
    'xxHash 128': 'xxh128',
};

/** The record in all its forms. */
export function RecordFiles({ submission }: { submission: SubmissionShown }) {
    // ASC MHL has no place for SHA-256
    const mhl: [string, string][] = submission.sums.some((label) => label !== 'SHA-256') ? [['mhl', t`ASC MHL`]] : [];
    const lists = submission.sums.flatMap((label): [string, string][] => {
        const format = OF_SUMS[label];

        return format === undefined ? [] : [[format, label]];
    });

    return (
        <p className="flex flex-wrap gap-x-4 gap-y-1">
            <span className="aside">
                <Trans>The record:</Trans>
            </span>
            {[...FORMS, ...lists, ...mhl].map(([format, name]) => (
                <a key={format} className="link" href={to('record', { submission: submission.id, format })}>
                    {name}
                </a>
            ))}
        </p>
    );
}

/** What a later look at its files came to. */
function Verified({ verified }: { verified: NonNullable<SubmissionShown['verified']> }) {
    return (
        <div className="pt-2">
            <p className="flex items-baseline gap-2">
                <MarkSign mark={verified.holds ? 'equal' : 'unequal'} />
                <Trans>Looked at again {verified.at}:</Trans>
            </p>
            <ul className="pl-6">
                {verified.says.map((says) => (
                    <li key={says}>
                        <Breaking text={says} />
                    </li>
                ))}
            </ul>
        </div>
    );
}

/** What came again since the one before it, and who signed which files first. */
function SinceBefore({ submission: { sinceNumber, since, approved } }: { submission: SubmissionShown }) {
    return sinceNumber === null ? null : (
        <div className="pt-2">
            <p className="aside">
                <Trans>Since number {sinceNumber}</Trans>
            </p>
            <ul className="pl-6">
                {since.map((says) => (
                    <li key={says}>
                        <Breaking text={says} />
                    </li>
                ))}
            </ul>
            {approved.length > 0 && (
                <ul className="pl-6" aria-label={t`Who signed which files first`}>
                    {approved.map(({ number, by, at, files, names }) => (
                        <li key={number}>
                            <Trans>
                                {counted(files, t`file`, t`files`)} signed as now since number {number}, by {by}, {at}:
                            </Trans>{' '}
                            <span className="mono text-[12.5px]">
                                <Breaking text={names.join(', ')} />
                            </span>
                        </li>
                    ))}
                </ul>
            )}
        </div>
    );
}

/** Taken back, with why. */
function TakeBack({ submission }: { submission: SubmissionShown }) {
    const [why, setWhy] = useState<string | null>(null);
    const action = useAction(t`It could not be withdrawn.`);
    if (why === null) {
        return (
            <button type="button" className="btn" onClick={() => setWhy('')}>
                <Trans>Withdraw</Trans>
            </button>
        );
    }
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        action.send(
            'post',
            to('submission.withdraw', { submission: submission.id }),
            { why },
            { names: ['why', 'refused'] },
        );
    };

    return (
        <form className="flex w-full flex-wrap items-end gap-2" onSubmit={submit}>
            <label className="grow">
                <span className="aside block">
                    <Trans>Why it is withdrawn</Trans>
                </span>
                <input
                    autoFocus
                    className="input w-full!"
                    maxLength={1000}
                    value={why}
                    onChange={(event) => setWhy(event.target.value)}
                />
            </label>
            <button className="btn btn-primary" disabled={action.busy}>
                <Trans>Withdraw it</Trans>
            </button>
            <button type="button" className="btn" onClick={() => setWhy(null)}>
                <Trans>Cancel</Trans>
            </button>
            <Fault says={action.fault} className="w-full" />
        </form>
    );
}

/** Its files are read once more, from here where they lie on this machine. */
function LookAgain({ submission }: { submission: SubmissionShown }) {
    const action = useAction(t`Its files could not be read.`);
    const url = to('seal.again', { submission: submission.id });
    const own = useOwnReading(submission.check, url, () => ({}));
    if (own.state.kind !== 'idle') {
        return (
            <div className="w-full">
                <OwnProgress state={own.state} onStop={own.stop} />
            </div>
        );
    }

    return (
        <>
            {submission.own && own.field}
            <button
                type="button"
                className="btn"
                disabled={action.busy}
                onClick={() => (submission.own ? own.begin() : action.send('post', url))}
            >
                {submission.own && !own.isHeld
                    ? t`Choose the folder, and look at its files again`
                    : t`Look at its files again`}
            </button>
            <Fault says={action.fault ?? own.state.fault} className="w-full" />
        </>
    );
}

/** The sign-off that stands. */
export function Signed({ submission, may }: { submission: SubmissionShown; may: boolean }) {
    const { number, by, at, files, note } = submission;

    return (
        <section aria-labelledby="signed" className="mt-4 border border-edge px-4 py-3">
            <h2 id="signed" className="flex items-baseline gap-2 font-serif text-[17px]">
                <MarkSign mark="equal" label={t`signed`} />
                <Trans>
                    Number {number ?? ''}, signed by {by ?? '?'}, {at ?? ''}
                </Trans>
            </h2>
            <p>
                <Trans>
                    {counted(files ?? 0, t`file`, t`files`)}, {bytes(submission.bytes ?? 0)}, by{' '}
                    {submission.sums.join(', ')}.
                </Trans>
            </p>
            {note !== '' && (
                <p className="said">
                    <Breaking text={note} />
                </p>
            )}
            <p className="mono text-[12px] [overflow-wrap:anywhere] text-faint">{submission.fingerprint}</p>
            <div className="pt-2">
                <RecordFiles submission={submission} />
            </div>
            {submission.own ? (
                <p className="pt-2 text-faint">
                    <Trans>Its files stay on the machine on which they were signed.</Trans>
                </p>
            ) : (
                <p className="pt-2">
                    <a className="link" href={to('package', { submission: submission.id })}>
                        <Trans>All of it as a zip: the files, their checksums, the record, the sheet</Trans>
                    </a>
                </p>
            )}
            <SinceBefore submission={submission} />
            {submission.verified !== null && <Verified verified={submission.verified} />}
            {may && (
                <div className="flex flex-wrap gap-2 pt-3">
                    <LookAgain submission={submission} />
                    <TakeBack submission={submission} />
                </div>
            )}
        </section>
    );
}

const STATES: Record<SubmissionShown['state'], string> = {
    sealing: t`under way`,
    signed: t`signed`,
    failed: t`not signed`,
    withdrawn: t`withdrawn`,
    replaced: t`replaced by a later one`,
};

/** Those that stand no more. */
export function Past({ past }: { past: SubmissionShown[] }) {
    return past.length === 0 ? null : (
        <section aria-labelledby="past" className="pt-5">
            <h2 id="past" className="aside pb-1">
                <Trans>Earlier ones</Trans>
            </h2>
            <ul className="border-t border-ink">
                {past.map((one) => (
                    <li key={one.id} className="border-b border-rule py-1.5">
                        <p>
                            {one.number === null ? '' : t`Number ${one.number}, `}
                            {STATES[one.state]}
                            {one.withdrawn !== null && (
                                <>
                                    {' '}
                                    <Trans>
                                        by {one.withdrawn.by ?? '?'}, {one.withdrawn.at}: {one.withdrawn.why}
                                    </Trans>
                                </>
                            )}
                        </p>
                        {one.fault !== null && (
                            <p className="text-red">
                                <Breaking text={one.fault} />
                                {one.check !== null && (
                                    <>
                                        {' '}
                                        <Link className="link" href={to('check', { check: one.check })}>
                                            <Trans>The check</Trans>
                                        </Link>
                                    </>
                                )}
                            </p>
                        )}
                        {one.number !== null && <RecordFiles submission={one} />}
                    </li>
                ))}
            </ul>
        </section>
    );
}
