import { Link, usePage } from '@inertiajs/react';
import { to } from '../lib/route';
import { Needs } from '../features/production/Needs';
import { Book } from '../parts/Book';
import { LedgerHead } from '../parts/LedgerHead';
import { MarkSign } from '../parts/MarkSign';
import type { ProductionLine, ProductionsPage } from '../types/views';

function Line({ line }: { line: ProductionLine }) {
    return (
        <tr>
            <th scope="row">
                <Link href={to('production', { production: line.id })} className="link title text-[16px]">
                    {line.name}
                </Link>{' '}
                <span className="aside">
                    {line.code}, {line.kind}
                </span>
            </th>
            <td className="column">{line.role}</td>
            <td className="column mono">{line.deliverables}</td>
            <td className="column">
                <span className="flex gap-4">
                    <span>
                        <MarkSign mark="unequal" label="do not balance" /> {line.unbalanced}
                    </span>
                    <span>
                        <MarkSign mark="unknown" label="open" /> {line.open}
                    </span>
                    <span>
                        <MarkSign mark="equal" label="balance" /> {line.balanced}
                    </span>
                </span>
            </td>
        </tr>
    );
}

/** Where there is none yet: what to do first. */
function None({ administers }: { administers: boolean }) {
    return administers ? (
        <div className="said mt-3 max-w-[60ch]">
            <p>Nothing is here yet. Begin a production; then invite whoever works in it, and say what is owed.</p>
            <p className="mt-3 font-sans">
                <Link href={to('production.new')} className="btn btn-primary">
                    Begin a production
                </Link>
            </p>
        </div>
    ) : (
        <p className="said mt-3">You belong to no production yet. Whoever runs this ledger can invite you to one.</p>
    );
}

export default function Productions({ productions, needs }: ProductionsPage) {
    const { person } = usePage<{ person: { administers: boolean } | null; [key: string]: unknown }>().props;
    const administers = person?.administers === true;

    return (
        <Book title="Productions" book={null}>
            <div className="px-6 py-4">
                <h1 className="title text-[24px]">Productions</h1>
                <Needs needs={needs} />
                {productions.length === 0 ? (
                    <None administers={administers} />
                ) : (
                    <table className="ledger mt-2">
                        <LedgerHead columns={[['production'], ['you are'], ['owed'], ['stands at']]} />
                        <tbody>
                            {productions.map((line) => (
                                <Line key={line.id} line={line} />
                            ))}
                        </tbody>
                    </table>
                )}
                {administers && productions.length > 0 && (
                    <p className="pt-4">
                        <Link href={to('production.new')} className="btn">
                            Begin a production
                        </Link>
                    </p>
                )}
            </div>
        </Book>
    );
}
