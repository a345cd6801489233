import { Link } from '@inertiajs/react';
import { to } from '../lib/route';
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

export default function Productions({ productions }: ProductionsPage) {
    return (
        <Book title="Productions" book={null}>
            <div className="px-6 py-4">
                <h1 className="title text-[24px]">Productions</h1>
                {productions.length === 0 ? (
                    <p className="said mt-3">
                        You belong to no production yet. Whoever runs this ledger can add you to one.
                    </p>
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
            </div>
        </Book>
    );
}
