import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { Book as BookData } from '../types/views';

interface Props {
    book: BookData;
    specification: { id: number; title: string };
    revisions: {
        number: number;
        at: string;
        by: string | null;
        checks: number;
        deliverables: number;
        fixed: boolean;
    }[];
    from: number | null;
    to: number | null;
    differs: { part: string; id: string; label: string; from: string | null; to: string | null }[];
    parts: { name: string; delivers: string; madeFrom: string | null }[];
    users: { id: number; code: string; title: string; overrides: number }[];
    outOfDate: { id: number; deliverable: string; deliverableId: number; revision: number }[];
}

/** A specification's revisions, two of them beside each other, and what was checked by which. */
export default function Revisions({
    book,
    specification,
    revisions,
    from,
    to,
    differs,
    parts,
    users,
    outOfDate,
}: Props) {
    const [title, setTitle] = useState(specification.title);
    const [preset, setPreset] = useState(specification.title);
    const [fault, setFault] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const compare = (next: { from: number | null; to: number | null }) =>
        router.get(
            `/specifications/${specification.id}`,
            { from: next.from ?? '', to: next.to ?? '' },
            { preserveScroll: true, preserveState: true },
        );
    const rename = () => {
        if (title.trim() !== specification.title) {
            router.patch(
                `/specifications/${specification.id}`,
                { title: title.trim() },
                {
                    preserveScroll: true,
                    preserveState: true,
                    onError: (errors) => setFault(errors.title ?? null),
                    onSuccess: () => setFault(null),
                },
            );
        }
    };

    return (
        <Book title={`${specification.title}, revisions`} book={book}>
            <ProductionFolios book={book} at={null} />
            <div className="px-6 pt-3 pb-10">
                <label htmlFor="title" className="aside block text-[13px]">
                    Specification
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
                            setTitle(specification.title);
                        }
                    }}
                />
                {fault !== null && (
                    <p role="alert" className="text-red">
                        {fault}
                    </p>
                )}
                <p className="said py-3">
                    {users.length === 0 ? (
                        'Nothing follows it yet.'
                    ) : (
                        <>
                            {users.length === 1
                                ? 'One deliverable follows it: '
                                : `${users.length} deliverables follow it: `}
                            {users.slice(0, 40).map((user, at) => (
                                <span key={user.id}>
                                    {at > 0 && ', '}
                                    <Link
                                        href={`/deliverables/${user.id}/specification`}
                                        className="link mono text-[14px]"
                                    >
                                        {user.code}
                                    </Link>
                                    {user.overrides > 0 && (
                                        <span className="aside text-[14px]"> ({user.overrides} of its own)</span>
                                    )}
                                </span>
                            ))}
                            {users.length > 40 && ` and ${users.length - 40} more`}.
                        </>
                    )}{' '}
                    It has {parts.length === 1 ? 'one part' : `${parts.length} parts`}:{' '}
                    {parts.map((part) => part.name).join(', ')}.
                </p>
                {outOfDate.length > 0 && (
                    <div className="mb-3 border border-edge px-3 py-2">
                        <p>
                            {outOfDate.length === 1 ? 'One check is' : `${outOfDate.length} checks are`} of what was
                            asked before:{' '}
                            {outOfDate.slice(0, 20).map((each, at) => (
                                <span key={each.id}>
                                    {at > 0 && ', '}
                                    <Link href={`/deliverables/${each.deliverableId}/frames`} className="link mono">
                                        {each.deliverable}
                                    </Link>{' '}
                                    <span className="text-faint">revision {each.revision}</span>
                                </span>
                            ))}
                            {outOfDate.length > 20 && ` and ${outOfDate.length - 20} more`}
                        </p>
                        <p className="pt-1.5">
                            <button
                                type="button"
                                className="btn btn-primary"
                                disabled={busy}
                                onClick={() =>
                                    router.post(
                                        `/specifications/${specification.id}/recheck`,
                                        {},
                                        {
                                            preserveScroll: true,
                                            onStart: () => setBusy(true),
                                            onFinish: () => setBusy(false),
                                        },
                                    )
                                }
                            >
                                {busy ? 'Checking…' : 'Check them again by what is asked now'}
                            </button>
                        </p>
                    </div>
                )}
                <table className="ledger">
                    <colgroup>
                        <col style={{ width: '12%' }} />
                        <col style={{ width: '24%' }} />
                        <col style={{ width: '24%' }} />
                        <col style={{ width: '40%' }} />
                    </colgroup>
                    <thead>
                        <tr>
                            <th scope="col">revision</th>
                            <th scope="col" className="column">
                                begun
                            </th>
                            <th scope="col" className="column">
                                by
                            </th>
                            <th scope="col" className="column">
                                checks by it
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {revisions.map((revision, at) => (
                            <tr key={revision.number}>
                                <th scope="row">{revision.number}</th>
                                <td className="column">{revision.at}</td>
                                <td className="column">
                                    {revision.by ?? <span className="text-faint">set up with the production</span>}
                                </td>
                                <td className="column">
                                    {revision.checks === 0 ? (
                                        <span className="text-faint">none</span>
                                    ) : (
                                        `${revision.checks} of ${revision.deliverables} ` +
                                        (revision.deliverables === 1 ? 'deliverable' : 'deliverables')
                                    )}
                                    {at === 0 && !revision.fixed && (
                                        <span className="text-faint">
                                            ; still open: a change goes into it until a check uses it
                                        </span>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
                {revisions.length > 1 && (
                    <section className="pt-6" aria-label="Two revisions compared">
                        <h2 className="title flex flex-wrap items-baseline gap-2 border-b border-edge pb-1 text-[18px]">
                            From revision
                            <select
                                aria-label="From revision"
                                className="select w-auto! font-sans text-[14px]"
                                value={from ?? ''}
                                onChange={(event) => compare({ from: Number(event.target.value), to })}
                            >
                                {revisions.map((each) => (
                                    <option key={each.number}>{each.number}</option>
                                ))}
                            </select>
                            to
                            <select
                                aria-label="To revision"
                                className="select w-auto! font-sans text-[14px]"
                                value={to ?? ''}
                                onChange={(event) => compare({ from, to: Number(event.target.value) })}
                            >
                                {revisions.map((each) => (
                                    <option key={each.number}>{each.number}</option>
                                ))}
                            </select>
                        </h2>
                        {differs.length === 0 ? (
                            <p className="py-2 text-faint">They ask the same.</p>
                        ) : (
                            <table className="ledger">
                                <colgroup>
                                    <col style={{ width: '28%' }} />
                                    <col style={{ width: '36%' }} />
                                    <col style={{ width: '36%' }} />
                                </colgroup>
                                <thead>
                                    <tr>
                                        <th scope="col">requirement</th>
                                        <th scope="col" className="column">
                                            revision {from}
                                        </th>
                                        <th scope="col" className="column">
                                            revision {to}
                                        </th>
                                    </tr>
                                </thead>
                                <tbody>
                                    {differs.map((line) => (
                                        <tr key={`${line.part} ${line.id} ${line.label}`}>
                                            <th scope="row">
                                                {line.label}
                                                {parts.length > 1 && line.part !== '' && (
                                                    <span className="aside"> of {line.part}</span>
                                                )}
                                            </th>
                                            <td className="column mono">
                                                {line.from === null ? (
                                                    <span className="font-sans text-faint">not asked</span>
                                                ) : (
                                                    <Breaking text={line.from} />
                                                )}
                                            </td>
                                            <td className="column mono">
                                                {line.to === null ? (
                                                    <span className="font-sans text-faint">not asked</span>
                                                ) : (
                                                    <Breaking text={line.to} />
                                                )}
                                            </td>
                                        </tr>
                                    ))}
                                </tbody>
                            </table>
                        )}
                    </section>
                )}
                <form
                    className="flex flex-wrap items-end gap-3 pt-8"
                    onSubmit={(event) => {
                        event.preventDefault();
                        router.post(
                            `/productions/${book.production.id}/presets`,
                            { title: preset, specification: specification.id },
                            { preserveScroll: true, onError: (errors) => setFault(errors.title ?? null) },
                        );
                    }}
                >
                    <label className="text-[13px]">
                        Keep it as a preset of this production, called
                        <input
                            className="input block w-96!"
                            value={preset}
                            onChange={(event) => setPreset(event.target.value)}
                        />
                    </label>
                    <button className="btn">Keep as a preset</button>
                </form>
            </div>
        </Book>
    );
}
