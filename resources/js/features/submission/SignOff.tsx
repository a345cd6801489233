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
import { OwnProgress, useOwnReading, type OwnReading } from './OwnReading';
import type { SubmissionPage } from '../../types/views';

type Obstacle = SubmissionPage['obstacles'][number];

/** What was checked, and what would be signed by that. */
export function WhatIsSigned({ page: { check, deliverable } }: { page: SubmissionPage }) {
    return check === null ? (
        <p className="said">
            <Trans>
                Nothing of {deliverable.code} was checked yet that could be handed over. Its files are checked on the
                page{' '}
                <Link className="link" href={to('frames', { deliverable: deliverable.id })}>
                    Frames
                </Link>
                .
            </Trans>
        </p>
    ) : (
        <p>
            <Trans>
                By the{' '}
                <Link className="link" href={to('check', { check: check.id })}>
                    check of {check.at}
                </Link>
                : {counted(check.files, t`file`, t`files`)}, {bytes(check.bytes)}.
            </Trans>{' '}
            {check.depth === 'full' ? t`Every byte was read then.` : t`Head and tail of each file were read then.`}
        </p>
    );
}

/** What stands in the way, for those who cannot sign. */
export function InTheWay({ obstacles }: { obstacles: Obstacle[] }) {
    return (
        <section aria-labelledby="in-the-way" className="pt-4">
            <h2 id="in-the-way" className="aside pb-1">
                <Trans>What stands in the way</Trans>
            </h2>
            {obstacles.length === 0 ? (
                <p className="said flex items-baseline gap-2">
                    <MarkSign mark="equal" />
                    <Trans>Nothing.</Trans>
                </p>
            ) : (
                <ul className="border-t border-ink">
                    {obstacles.map(({ kind, says, key }) => (
                        <li key={key ?? says} className="flex items-baseline gap-2 border-b border-rule py-1.5">
                            <MarkSign mark={kind === 'open' ? 'unknown' : 'unequal'} />
                            <Breaking text={says} />
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

/** What was accepted as it is, and why: it is signed too. */
export function Accepted({ accepted }: { accepted: SubmissionPage['accepted'] }) {
    return accepted.length === 0 ? null : (
        <section aria-labelledby="accepted" className="pt-4">
            <h2 id="accepted" className="aside pb-1">
                <Trans>What was accepted</Trans>
            </h2>
            <ul className="border-t border-ink">
                {accepted.map(({ id, part, required, found, reason }) => (
                    <li key={`${id} ${part}`} className="flex items-baseline gap-2 border-b border-rule py-1.5">
                        <MarkSign mark="waived" label={t`accepted`} />
                        <span>
                            <Trans>
                                {id} of {part}: asked {required}, found {found ?? '?'}
                            </Trans>
                            <span className="block text-faint">
                                <Breaking text={reason} />
                            </span>
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** What became of the files since they were signed before, so that one looks at those that came again. */
export function Since({ since }: { since: SubmissionPage['since'] }) {
    return since === null ? null : (
        <section aria-labelledby="since" className="pt-4">
            <h2 id="since" className="aside border-b border-ink pb-1">
                {since.withdrawn
                    ? t`Since number ${since.number}, which was withdrawn`
                    : t`Since number ${since.number}`}
            </h2>
            <ul>
                {since.says.map((says) => (
                    <li key={says} className="border-b border-rule py-1.5">
                        <Breaking text={says} />
                    </li>
                ))}
            </ul>
            <p className="pt-1 text-[13px] text-faint">
                <Trans>As far as sizes and times tell; their checksums tell it exactly once it is signed.</Trans>
            </p>
        </section>
    );
}

/** What was done where nothing could tell. */
function Answers({
    open,
    signed,
    answers,
    onChange,
}: {
    open: Obstacle[];
    /** the number of the one that was signed before */
    signed: number | null;
    answers: Record<string, string>;
    onChange: (key: string, text: string) => void;
}) {
    return open.map(({ key, says, before }) => (
        <div key={key} className="mt-2">
            <label className="block">
                <Breaking text={says} />
                <span className="aside block">
                    <Trans>What was done instead</Trans>
                </span>
                <input
                    className="input w-full! max-w-[60ch]"
                    maxLength={500}
                    placeholder={t`looked at by eye`}
                    value={answers[key ?? ''] ?? ''}
                    onChange={(event) => onChange(key ?? '', event.target.value)}
                />
            </label>
            {before !== null && (
                <p className="flex flex-wrap items-baseline gap-2 pt-1 text-[13px] text-faint">
                    <Trans>
                        In number {signed ?? ''}: “{before}”
                    </Trans>
                    <button type="button" className="link" onClick={() => onChange(key ?? '', before)}>
                        <Trans>Write the same</Trans>
                    </button>
                </p>
            )}
        </div>
    ));
}

/** Which sums are made of the files. */
function Sums({
    algorithms,
    chosen,
    onChoose,
}: {
    algorithms: SubmissionPage['algorithms'];
    chosen: string[];
    onChoose: (chosen: string[]) => void;
}) {
    return (
        <fieldset className="mt-3 flex flex-wrap gap-x-4 gap-y-1">
            <legend className="aside">
                <Trans>Checksums of the files</Trans>
            </legend>
            {algorithms.map(({ value, label }) => (
                <label key={value} className="flex items-center gap-1.5">
                    <input
                        type="checkbox"
                        className="checkbox"
                        checked={chosen.includes(value)}
                        onChange={(event) =>
                            onChoose(
                                algorithms
                                    .map((each) => each.value)
                                    .filter((each) => (each === value ? event.target.checked : chosen.includes(each))),
                            )
                        }
                    />
                    {label}
                </label>
            ))}
        </fieldset>
    );
}

/** Files on a machine of one's own. */
function StaysThere({ folder }: { folder: string | null }) {
    return (
        <p className="max-w-[70ch] pt-3">
            <Trans>
                The files lie on the machine of whoever had them checked. This browser reads them whole there and sends
                their checksums and nothing else; the record is bound to the files that stay there.
            </Trans>
            {folder !== null && ` ${t`The folder “${folder}” has to be chosen once more.`}`}
        </p>
    );
}

/** The button, and what comes of it. */
function Foot({
    own,
    folder,
    replaces,
    ready,
}: {
    /** null: the files are read by the server */
    own: OwnReading | null;
    folder: string;
    /** the number of the one that stands */
    replaces: number | null | undefined;
    ready: boolean;
}) {
    const asksFolder = own !== null && !own.isHeld;
    const anew = typeof replaces === 'number';

    return (
        <>
            {own !== null && <StaysThere folder={asksFolder ? folder : null} />}
            <p className="flex flex-wrap items-center gap-3 pt-3">
                {own?.field}
                <button className="btn btn-primary" disabled={!ready}>
                    {buttonSays(anew, asksFolder)}
                </button>
                <span className="text-[13px] text-faint">
                    {anew
                        ? t`It takes the place of number ${replaces}, whose record stays.`
                        : t`All files are read for their checksums; then the record is signed.`}
                </span>
            </p>
        </>
    );
}

/** Whoever may signs here. */
export function SignOff({ page, check }: { page: SubmissionPage; check: NonNullable<SubmissionPage['check']> }) {
    const { obstacles, algorithms, current, deliverable } = page;
    const [note, setNote] = useState('');
    const [answers, setAnswers] = useState<Record<string, string>>({});
    const [sums, setSums] = useState(['sha256']);
    const action = useAction(t`It could not be signed.`);
    const url = to('submission.sign', { deliverable: deliverable.id });
    const data = () => ({ check: check.id, note, answers, algorithms: sums });
    const own = useOwnReading(check.id, url, data);
    const isReady = !action.busy && sums.length > 0 && areAnswered(obstacles, answers);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        if (check.own) {
            own.begin();
        } else {
            action.send('post', url, data(), { names: ['refused', 'check', 'note', 'answers', 'algorithms'] });
        }
    };
    if (own.state.kind !== 'idle') {
        return <OwnProgress state={own.state} onStop={own.stop} />;
    }

    return (
        <form className="mt-4 border border-edge bg-paper px-4 py-3" onSubmit={submit} aria-label={t`Sign off`}>
            <Answers
                open={obstacles}
                signed={page.before}
                answers={answers}
                onChange={(key, text) => setAnswers((was) => ({ ...was, [key]: text }))}
            />
            <label className="mt-2 block">
                <span className="aside block">
                    <Trans>Note</Trans>
                </span>
                <textarea
                    className="textarea w-full max-w-[60ch]"
                    rows={2}
                    maxLength={2000}
                    value={note}
                    onChange={(event) => setNote(event.target.value)}
                />
            </label>
            <Sums algorithms={algorithms} chosen={sums} onChoose={setSums} />
            <Foot own={check.own ? own : null} folder={check.folder} replaces={current?.number} ready={isReady} />
            <Fault says={action.fault ?? own.state.fault} className="pt-1" />
        </form>
    );
}

const areAnswered = (open: Obstacle[], answers: Record<string, string>): boolean =>
    open.every(({ key }) => (answers[key ?? ''] ?? '').trim() !== '');

function buttonSays(anew: boolean, choose: boolean): string {
    if (choose) {
        return anew ? t`Choose the folder, and sign off anew` : t`Choose the folder, and sign off`;
    }

    return anew ? t`Sign off anew` : t`Sign off`;
}
