import { Link } from '@inertiajs/react';
import { Book } from '../parts/Book';
import { MarkSign } from '../parts/MarkSign';

interface Line {
    id: number;
    code: string;
    name: string;
    kind: string;
    role: string;
    deliverables: number;
    unbalanced: number;
    open: number;
    balanced: number;
}

export default function Productions({ productions }: { productions: Line[] }) {
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
                        <thead>
                            <tr>
                                <th scope="col">production</th>
                                <th scope="col" className="column">
                                    you are
                                </th>
                                <th scope="col" className="column">
                                    owed
                                </th>
                                <th scope="col" className="column">
                                    stands at
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {productions.map((line) => (
                                <tr key={line.id}>
                                    <th scope="row">
                                        <Link href={`/productions/${line.id}`} className="link title text-[16px]">
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
                            ))}
                        </tbody>
                    </table>
                )}
            </div>
        </Book>
    );
}
