import { router } from '@inertiajs/react';
import { useState } from 'react';
import { tell } from '../lib/ask';
import { Finder } from '../features/specification/Finder';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { Book as BookData, OfferedRequirement } from '../types/views';

interface Planned {
    id: number;
    code: string;
    from: string | null;
    to: string | null;
    conflicts: string[];
}

/** One value of many deliverables: chosen, looked at, then changed together. */
export default function Together({ book, offered }: { book: BookData; offered: OfferedRequirement[] }) {
    const [chosen, setChosen] = useState<Set<number>>(new Set());
    const [wanted, setWanted] = useState('');
    const [line, setLine] = useState<OfferedRequirement | null>(null);
    const [value, setValue] = useState('');
    const [drop, setDrop] = useState(false);
    const [plan, setPlan] = useState<Planned[] | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const listed = [...book.index]
        .sort((a, b) => a.code.localeCompare(b.code, 'en', { numeric: true }))
        .filter((each) =>
            `${each.code} ${each.title} ${each.owner ?? ''}`.toLowerCase().includes(wanted.trim().toLowerCase()),
        );
    const given = { deliverables: [...chosen], id: line?.id ?? '', value, level: 'must', drop };
    const change = (next: () => void) => {
        setPlan(null);
        setFault(null);
        next();
    };
    const toggle = (ids: number[], on: boolean) =>
        change(() =>
            setChosen((was) => {
                const next = new Set(was);
                ids.forEach((id) => (on ? next.add(id) : next.delete(id)));

                return next;
            }),
        );
    const look = () => {
        setBusy(true);
        setFault(null);
        tell<{ lines: Planned[] }>(`/productions/${book.production.id}/together/read`, given)
            .then(
                (answer) => setPlan(answer.lines),
                (trouble: unknown) =>
                    setFault(trouble instanceof Error ? trouble.message : 'This could not be looked at.'),
            )
            .finally(() => setBusy(false));
    };
    const write = () =>
        router.post(`/productions/${book.production.id}/together`, given, {
            onStart: () => setBusy(true),
            onFinish: () => setBusy(false),
            onSuccess: () => {
                setPlan(null);
                setChosen(new Set());
            },
            onError: (errors) => setFault(Object.values(errors)[0] ?? 'Nothing was changed.'),
        });
    const changing = plan?.filter((each) => each.from !== each.to) ?? [];

    return (
        <Book title={`${book.production.name}, many together`} book={book}>
            <ProductionFolios book={book} at="/together" />
            <div className="px-6 pt-3 pb-10">
                <p className="said pb-3">
                    One value of many deliverables, changed together. What would become of each is shown before anything
                    is written.
                </p>
                <div className="grid grid-cols-[minmax(0,320px)_minmax(0,1fr)] gap-x-8">
                    <section aria-label="Which deliverables">
                        <h2 className="title border-b border-edge pb-1 text-[16px]">Which</h2>
                        <input
                            type="search"
                            aria-label="Find among them"
                            className="input my-2"
                            placeholder="Find among them"
                            value={wanted}
                            onChange={(event) => setWanted(event.target.value)}
                        />
                        {listed.length === 0 ? (
                            <p className="text-faint">
                                {book.index.length === 0 ? 'Nothing is owed here yet.' : `Nothing fits “${wanted}”.`}
                            </p>
                        ) : (
                            <>
                                <label className="flex items-baseline gap-2 border-b border-rule py-1 font-semibold">
                                    <input
                                        type="checkbox"
                                        className="checkbox"
                                        checked={listed.every((each) => chosen.has(each.id))}
                                        onChange={(event) =>
                                            toggle(
                                                listed.map((each) => each.id),
                                                event.target.checked,
                                            )
                                        }
                                    />
                                    {wanted.trim() === '' ? `all ${listed.length}` : `all ${listed.length} that fit`}
                                </label>
                                <ul className="scroll max-h-[420px]" aria-label="Deliverables">
                                    {listed.map((each) => (
                                        <li key={each.id} className="border-b border-rule">
                                            <label className="flex items-baseline gap-2 py-1">
                                                <input
                                                    type="checkbox"
                                                    className="checkbox"
                                                    checked={chosen.has(each.id)}
                                                    onChange={(event) => toggle([each.id], event.target.checked)}
                                                />
                                                <span className="mono [overflow-wrap:anywhere]">{each.code}</span>
                                                <span className="aside truncate">{each.title}</span>
                                            </label>
                                        </li>
                                    ))}
                                </ul>
                            </>
                        )}
                    </section>
                    <section aria-label="What">
                        <h2 className="title border-b border-edge pb-1 text-[16px]">What</h2>
                        <div className="py-2">
                            <Finder
                                label={line === null ? 'The requirement' : 'Another requirement'}
                                offered={offered}
                                onTake={(taken) => change(() => setLine(taken))}
                            />
                        </div>
                        {line !== null && (
                            <form
                                onSubmit={(event) => {
                                    event.preventDefault();
                                    look();
                                }}
                            >
                                <label htmlFor="value" className="block font-semibold">
                                    {line.label}
                                </label>
                                <input
                                    id="value"
                                    className="input mono max-w-[440px]"
                                    value={value}
                                    disabled={drop}
                                    placeholder={`like ${line.example}`}
                                    autoComplete="off"
                                    spellCheck={false}
                                    onChange={(event) => change(() => setValue(event.target.value))}
                                />
                                <label className="mt-2 flex items-center gap-1.5 text-[13px]">
                                    <input
                                        type="checkbox"
                                        className="checkbox"
                                        checked={drop}
                                        onChange={(event) => change(() => setDrop(event.target.checked))}
                                    />
                                    take back what each sets itself, so that its specification holds again
                                </label>
                                <p className="pt-2">
                                    <button
                                        className="btn"
                                        disabled={busy || chosen.size === 0 || (!drop && value.trim() === '')}
                                    >
                                        {busy
                                            ? 'Looking…'
                                            : 'Look at what would become of ' +
                                              (chosen.size === 0 ? 'them' : String(chosen.size))}
                                    </button>
                                    {chosen.size === 0 && (
                                        <span className="pl-3 text-faint">Choose the deliverables first.</span>
                                    )}
                                </p>
                            </form>
                        )}
                        {fault !== null && (
                            <p role="alert" className="py-2 text-red">
                                <Breaking text={fault} />
                            </p>
                        )}
                        {plan !== null && (
                            <div className="pt-4" aria-live="polite">
                                <table className="ledger">
                                    <thead>
                                        <tr>
                                            <th scope="col">deliverable</th>
                                            <th scope="col" className="column">
                                                now
                                            </th>
                                            <th scope="col" className="column">
                                                then
                                            </th>
                                        </tr>
                                    </thead>
                                    <tbody>
                                        {plan.map((each) => (
                                            <tr key={each.id}>
                                                <th scope="row" className="mono">
                                                    {each.code}
                                                </th>
                                                <td className="column mono">
                                                    {each.from ?? (
                                                        <span className="font-sans text-faint">not asked</span>
                                                    )}
                                                </td>
                                                <td className="column mono">
                                                    {each.from === each.to ? (
                                                        <span className="font-sans text-faint">the same</span>
                                                    ) : (
                                                        (each.to ?? (
                                                            <span className="font-sans text-faint">not asked</span>
                                                        ))
                                                    )}
                                                    {each.conflicts.map((says) => (
                                                        <span
                                                            key={says}
                                                            className="block font-sans text-[13px] text-red"
                                                        >
                                                            {says}
                                                        </span>
                                                    ))}
                                                </td>
                                            </tr>
                                        ))}
                                    </tbody>
                                </table>
                                <p className="flex items-baseline gap-3 pt-3">
                                    <button
                                        type="button"
                                        className="btn btn-primary"
                                        disabled={busy || changing.length === 0}
                                        onClick={write}
                                    >
                                        {changing.length === 0
                                            ? 'Nothing would change'
                                            : `Change ${changing.length === 1 ? 'one' : changing.length}`}
                                    </button>
                                    {plan.some((each) => each.conflicts.length > 0) && (
                                        <span className="text-red">Some would contradict themselves.</span>
                                    )}
                                </p>
                            </div>
                        )}
                    </section>
                </div>
            </div>
        </Book>
    );
}
