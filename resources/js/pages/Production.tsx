import { Link } from '@inertiajs/react';
import { Book } from '../parts/Book';
import { MarkSign, verdictMark } from '../parts/MarkSign';
import type { Book as BookData } from '../types/book';

export default function Production({ book }: { book: BookData }) {
    const balanced = book.index.filter((line) => line.verdict === 'balanced').length;

    return (
        <Book title={book.production.name} book={book}>
            <div className="px-6 py-4">
                <h1 className="flex items-baseline gap-3">
                    <span className="title text-[24px]">{book.production.name}</span>
                    <span className="aside text-[17px]">
                        {book.production.code}, {book.production.kind}
                    </span>
                </h1>
                {book.index.length === 0 ? (
                    <div className="said mt-4 max-w-[60ch]">
                        {book.decides ? (
                            <>
                                <p>Nothing is owed here yet.</p>
                                <p className="mt-3">
                                    <Link href={`/productions/${book.production.id}/deliverables/new`} className="press strong inline-block font-sans">
                                        Add the first deliverable
                                    </Link>
                                </p>
                            </>
                        ) : (
                            <p>Nothing is owed by you in this production. When something is, it will stand here.</p>
                        )}
                    </div>
                ) : (
                    <table className="ledger mt-3">
                        <colgroup>
                            <col style={{ width: '34%' }} />
                            <col style={{ width: '18%' }} />
                            <col style={{ width: '24%' }} />
                            <col style={{ width: '24%' }} />
                        </colgroup>
                        <thead>
                            <tr>
                                <th scope="col">deliverable</th>
                                <th scope="col" className="column">owner</th>
                                <th scope="col" className="column">due</th>
                                <th scope="col" className="column">what holds it up</th>
                            </tr>
                        </thead>
                        <tbody>
                            {book.index.map((line) => {
                                const mark = verdictMark(line.verdict);

                                return (
                                    <tr key={line.id}>
                                        <th scope="row">
                                            <span className="grid grid-cols-[20px_1fr]">
                                                <span>{mark === null ? <span className="text-faint" aria-label="not checked">·</span> : <MarkSign mark={mark} label={line.verdict ?? ''} />}</span>
                                                <span>
                                                    <Link href={`/deliverables/${line.id}/frames`} className="plain-link mono [overflow-wrap:anywhere]">
                                                        {line.code}
                                                    </Link>{' '}
                                                    <span className="aside">{line.title}</span>
                                                </span>
                                            </span>
                                        </th>
                                        <td className="column">{line.owner ?? <span className="text-faint">nobody</span>}</td>
                                        <td className="column">
                                            {line.due === null ? (
                                                <span className="text-faint">no date</span>
                                            ) : (
                                                <>
                                                    {line.due.at} <span className={line.due.late ? 'text-red' : 'text-faint'}>{line.due.words}</span>
                                                </>
                                            )}
                                        </td>
                                        <td className="column">{line.holdsUp ?? <span className="text-faint">not checked yet</span>}</td>
                                    </tr>
                                );
                            })}
                        </tbody>
                        <tfoot>
                            <tr>
                                <td colSpan={4}>
                                    {balanced} of {book.index.length} balance
                                </td>
                            </tr>
                        </tfoot>
                    </table>
                )}
            </div>
        </Book>
    );
}
