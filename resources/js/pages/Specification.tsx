import { useState } from 'react';
import { AskedLineRow, NewLine, type Scope } from '../parts/AskedLine';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { Folios } from '../parts/Folios';
import { RangeRuler } from '../parts/RangeRuler';
import type { Asked, Book as BookData, Deliverable } from '../types/book';

/** What is asked, as sentences beside values, edited in place; what follows from it stands in the margin. */
export default function Specification({ book, deliverable, asked, may }: { book: BookData; deliverable: Deliverable; asked: Asked; may: { specify: boolean } }) {
    const [scope, setScope] = useState<Scope>('deliverable');
    const first = asked.parts[0];

    return (
        <Book
            title={`${deliverable.code}, specification`}
            book={book}
            deliverable={deliverable}
            margin={
                <>
                    {asked.parts.map((part) => (
                        <section key={part.name} className="mb-4">
                            <h2 className="aside pb-1">What this comes to{asked.parts.length > 1 && `: ${part.name}`}</h2>
                            {part.consequences.length === 0 ? (
                                <p className="note">Ask for a range, a rate, a size or names, and what follows from them stands here.</p>
                            ) : (
                                <dl className="border-t border-ink">
                                    {part.consequences.map((line) => (
                                        <div key={line.label} className="flex flex-wrap justify-between gap-x-3 border-b border-rule py-1">
                                            <dt className="text-[13px] text-faint">{line.label}</dt>
                                            <dd className="mono text-right text-[13px]">
                                                <Breaking text={line.value} />
                                            </dd>
                                        </div>
                                    ))}
                                </dl>
                            )}
                            <RangeRuler lines={part.lines} />
                        </section>
                    ))}
                    <section>
                        <h2 className="aside pb-1">Pieces of names</h2>
                        <dl className="border-t border-ink">
                            {Object.entries(asked.values).map(([piece, value]) => (
                                <div key={piece} className="flex justify-between gap-3 border-b border-rule py-1">
                                    <dt className="mono text-[13px] text-faint">{`{${piece}}`}</dt>
                                    <dd className="mono text-right text-[13px]">
                                        <Breaking text={value} />
                                    </dd>
                                </div>
                            ))}
                        </dl>
                    </section>
                </>
            }
        >
            <Folios deliverable={deliverable} at="specification" />
            <div className="px-6 pt-3">
                <p className="text-[13px] text-faint">
                    {deliverable.specification}, revision {deliverable.revision}
                    {asked.usedBy > 1 && `, shared by ${asked.usedBy} deliverables`}
                </p>
                {may.specify ? (
                    <fieldset className="mt-1 flex flex-wrap items-baseline gap-x-4 text-[13px]">
                        <legend className="float-left mr-3">A change holds for</legend>
                        {(
                            [
                                ['deliverable', `${deliverable.code} only`],
                                ['specification', asked.usedBy > 1 ? `all ${asked.usedBy} that share it` : 'its specification'],
                            ] as const
                        ).map(([value, label]) => (
                            <label key={value} className="flex items-baseline gap-1.5">
                                <input type="radio" name="scope" checked={scope === value} onChange={() => setScope(value)} />
                                {label}
                            </label>
                        ))}
                    </fieldset>
                ) : (
                    <p className="aside text-[13px]">Only a coordinator changes what is asked.</p>
                )}
                {asked.notUnderstood.length > 0 && (
                    <p className="mt-1 text-ochre">
                        Not understood, kept and not compared: <span className="mono">{asked.notUnderstood.join(', ')}</span>
                    </p>
                )}
            </div>
            {asked.parts.map((part) => {
                const groups = [...new Set(part.lines.map((line) => line.group))];

                return (
                    <section key={part.name} className="px-6 pb-6">
                        {asked.parts.length > 1 && (
                            <h2 className="title pt-4 text-[18px]">
                                {part.name}
                                {part.madeFrom !== null && <span className="aside font-normal"> made from {part.madeFrom}</span>}
                            </h2>
                        )}
                        <p className="said py-3">{part.prose}</p>
                        {part.lines.length === 0 && <p className="text-faint">Nothing is asked yet. {may.specify && 'Ask for something below.'}</p>}
                        <table className="ledger">
                            <colgroup>
                                <col style={{ width: '24%' }} />
                                <col style={{ width: '32%' }} />
                                <col style={{ width: '44%' }} />
                            </colgroup>
                            <thead>
                                <tr>
                                    <th scope="col">requirement</th>
                                    <th scope="col" className="column">required</th>
                                    <th scope="col" className="column">in words, and who set it</th>
                                </tr>
                            </thead>
                            {groups.map((group) => (
                                <tbody key={group}>
                                    <tr className="group">
                                        <th scope="rowgroup" colSpan={3} className="title">
                                            {group}
                                        </th>
                                    </tr>
                                    {part.lines
                                        .filter((line) => line.group === group)
                                        .map((line) => (
                                            <AskedLineRow key={line.id} line={line} deliverable={deliverable.id} scope={scope} editable={may.specify} />
                                        ))}
                                </tbody>
                            ))}
                        </table>
                    </section>
                );
            })}
            {may.specify && first !== undefined && asked.offered.length > 0 && <NewLine offered={asked.offered} deliverable={deliverable.id} scope={scope} />}
        </Book>
    );
}
