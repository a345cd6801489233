import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { LedgerHead } from '../../parts/LedgerHead';
import type { RevisionLine, RevisionsPage } from '../../types/views';
import { counted } from '../../lib/frames';

const MOST_USERS = 40;

const MOST_CHECKS = 20;

/** What the specification is called; kept on Enter or when it is left. */
export function SpecificationTitle({ id, title: kept }: { id: number; title: string }) {
    const [title, setTitle] = useState(kept);
    const action = useAction(t`This could not be saved.`);
    const rename = () => {
        if (title.trim() !== kept) {
            const url = to('specification.rename', { specification: id });
            action.send('patch', url, { title: title.trim() }, { names: ['title'] });
        }
    };

    return (
        <>
            <label htmlFor="title" className="aside block text-[13px]">
                <Trans>Specification</Trans>
            </label>
            <input
                id="title"
                className="input title max-w-[560px] text-[18px]"
                value={title}
                onChange={(event) => setTitle(event.target.value)}
                onBlur={rename}
                onKeyDown={(event) => {
                    if (event.key === 'Enter') {
                        rename();
                    } else if (event.key === 'Escape') {
                        setTitle(kept);
                    }
                }}
            />
            <Fault says={action.fault} />
        </>
    );
}

/** Who follows it, and what it is made of. */
export function Followers({ users, parts }: Pick<RevisionsPage, 'users' | 'parts'>) {
    const many = users.length === 1 ? t`One deliverable follows it: ` : t`${users.length} deliverables follow it: `;

    return (
        <p className="said py-3">
            {users.length === 0 ? (
                t`Nothing follows it yet.`
            ) : (
                <>
                    {many}
                    {users.slice(0, MOST_USERS).map((user, at) => (
                        <span key={user.id}>
                            {at > 0 && ', '}
                            <Link
                                href={to('specification', { deliverable: user.id })}
                                className="link mono text-[14px]"
                            >
                                {user.code}
                            </Link>
                            {user.overrides > 0 && (
                                <span className="aside text-[14px]">
                                    <Trans> ({user.overrides} of its own)</Trans>
                                </span>
                            )}
                        </span>
                    ))}
                    {users.length > MOST_USERS && t` and ${users.length - MOST_USERS} more`}.
                </>
            )}
            <Trans> It has {parts.length === 1 ? t`one part` : t`${parts.length} parts`}: </Trans>
            {parts.map((part) => part.name).join(', ')}.
        </p>
    );
}

/** Checks of what was asked before, with the way to make them again. */
export function OutOfDateChecks({
    specification,
    checks,
}: {
    specification: number;
    checks: RevisionsPage['outOfDate'];
}) {
    const action = useAction(t`These could not be checked again.`);

    return checks.length === 0 ? null : (
        <div className="mb-3 border border-edge px-3 py-2">
            <p>
                <Trans>
                    {checks.length === 1 ? t`One check is` : t`${checks.length} checks are`} of what was asked
                    before:{' '}
                </Trans>
                {checks.slice(0, MOST_CHECKS).map((each, at) => (
                    <span key={each.id}>
                        {at > 0 && ', '}
                        <Link href={to('frames', { deliverable: each.deliverableId })} className="link mono">
                            {each.deliverable}
                        </Link>{' '}
                        <span className="text-faint">
                            <Trans>revision {each.revision}</Trans>
                        </span>
                    </span>
                ))}
                {checks.length > MOST_CHECKS && t` and ${checks.length - MOST_CHECKS} more`}
            </p>
            <p className="pt-1.5">
                <button
                    type="button"
                    className="btn btn-primary"
                    disabled={action.busy}
                    onClick={() => action.send('post', to('specification.recheck', { specification }))}
                >
                    {action.busy ? t`Checking…` : t`Check them again by what is asked now`}
                </button>
            </p>
        </div>
    );
}

function ChecksBy({ revision, newest }: { revision: RevisionLine; newest: boolean }) {
    const { checks, deliverables } = revision;

    return (
        <td className="column">
            {checks === 0 ? (
                <span className="text-faint">
                    <Trans>none</Trans>
                </span>
            ) : (
                t`${checks} of ${counted(deliverables, t`deliverable`, t`deliverables`)}`
            )}
            {newest && !revision.fixed && (
                <span className="text-faint">
                    <Trans>; still open: a change goes into it until a check uses it</Trans>
                </span>
            )}
        </td>
    );
}

/** Every revision, the newest first. */
export function RevisionTable({ revisions }: { revisions: RevisionLine[] }) {
    return (
        <table className="ledger">
            <LedgerHead
                columns={[
                    [t`revision`, '12%'],
                    [t`begun`, '24%'],
                    [t`by`, '24%'],
                    [t`checks by it`, '40%'],
                ]}
            />
            <tbody>
                {revisions.map((revision, at) => (
                    <tr key={revision.number}>
                        <th scope="row">{revision.number}</th>
                        <td className="column">{revision.at}</td>
                        <td className="column">
                            {revision.by ?? (
                                <span className="text-faint">
                                    <Trans>set up with the production</Trans>
                                </span>
                            )}
                        </td>
                        <ChecksBy revision={revision} newest={at === 0} />
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function Value({ text }: { text: string | null }) {
    return (
        <td className="column mono">
            {text === null ? (
                <span className="font-sans text-faint">
                    <Trans>not asked</Trans>
                </span>
            ) : (
                <Breaking text={text} />
            )}
        </td>
    );
}

/** What differs between two revisions. */
export function Comparison({
    specification,
    revisions,
    from,
    to: until,
    differs,
    several,
}: Pick<RevisionsPage, 'revisions' | 'from' | 'to' | 'differs'> & { specification: number; several: boolean }) {
    const compare = (next: { from: number | null; to: number | null }) =>
        router.get(
            to('revisions', { specification }),
            { from: next.from ?? '', to: next.to ?? '' },
            { preserveScroll: true, preserveState: true },
        );
    const choice = (label: string, chosen: number | null, onChoose: (number: number) => void) => (
        <select
            aria-label={label}
            className="select w-auto! font-sans text-[14px]"
            value={chosen ?? ''}
            onChange={(event) => onChoose(Number(event.target.value))}
        >
            {revisions.map((each) => (
                <option key={each.number}>{each.number}</option>
            ))}
        </select>
    );

    return (
        <section className="pt-6" aria-label={t`Two revisions compared`}>
            <h2 className="title flex flex-wrap items-baseline gap-2 border-b border-edge pb-1 text-[18px]">
                <Trans>
                    From revision
                    {choice(t`From revision`, from, (number) => compare({ from: number, to: until }))}
                    to
                    {choice(t`To revision`, until, (number) => compare({ from, to: number }))}
                </Trans>
            </h2>
            {differs.length === 0 ? (
                <p className="py-2 text-faint">
                    <Trans>They ask the same.</Trans>
                </p>
            ) : (
                <table className="ledger">
                    <LedgerHead
                        columns={[
                            [t`requirement`, '28%'],
                            [t`revision ${from ?? ''}`, '36%'],
                            [t`revision ${until ?? ''}`, '36%'],
                        ]}
                    />
                    <tbody>
                        {differs.map((line) => (
                            <tr key={`${line.part} ${line.id} ${line.label}`}>
                                <th scope="row">
                                    {line.label}
                                    {several && line.part !== '' && (
                                        <span className="aside">
                                            <Trans> of {line.part}</Trans>
                                        </span>
                                    )}
                                </th>
                                <Value text={line.from} />
                                <Value text={line.to} />
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </section>
    );
}

/** Keeps it for what begins later. */
export function KeepAsPreset({
    production,
    specification,
}: {
    production: number;
    specification: { id: number; title: string };
}) {
    const [title, setTitle] = useState(specification.title);
    const action = useAction(t`This could not be saved.`);

    return (
        <form
            className="flex flex-wrap items-end gap-3 pt-8"
            onSubmit={(event) => {
                event.preventDefault();
                const data = { title, specification: specification.id };
                action.send('post', to('preset.store', { production }), data, { names: ['title'] });
            }}
        >
            <label className="text-[13px]">
                <Trans>Save it as a preset of this production, called</Trans>
                <input
                    className="input block w-full! max-w-96"
                    value={title}
                    onChange={(event) => setTitle(event.target.value)}
                />
            </label>
            <button className="btn">
                <Trans>Save as a preset</Trans>
            </button>
            <Fault says={action.fault} className="w-full" />
        </form>
    );
}
