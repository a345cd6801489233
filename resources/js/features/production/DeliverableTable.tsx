import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { LedgerHead } from '../../parts/LedgerHead';
import { VerdictSign } from '../../parts/MarkSign';
import type { IndexLine } from '../../types/views';

function Due({ line }: { line: IndexLine }) {
    return (
        <td className="column">
            {line.due === null ? (
                <span className="text-faint">no date</span>
            ) : (
                <>
                    {line.due.at} <span className={line.due.late ? 'text-red' : 'text-faint'}>{line.due.words}</span>
                </>
            )}
        </td>
    );
}

function Row({ line }: { line: IndexLine }) {
    return (
        <tr>
            <th scope="row">
                <span className="grid grid-cols-[20px_1fr]">
                    <span>
                        <VerdictSign verdict={line.verdict} waived={line.waived} />
                    </span>
                    <span>
                        <Link
                            href={to(line.folio, { deliverable: line.id })}
                            className="link mono [overflow-wrap:anywhere]"
                        >
                            {line.code}
                        </Link>{' '}
                        <span className="aside">{line.title}</span>
                    </span>
                </span>
            </th>
            <td className="column">{line.owner ?? <span className="text-faint">nobody</span>}</td>
            <Due line={line} />
            <td className="column">
                {line.holdsUp ?? <span className="text-faint">not checked yet</span>}
                {line.stale && <span className="block text-[12.5px] text-ochre">asked otherwise since</span>}
            </td>
        </tr>
    );
}

/** What is owed, by whom, until when, and what holds it up. */
export function DeliverableTable({ lines }: { lines: IndexLine[] }) {
    const balanced = lines.filter((line) => line.verdict === 'balanced').length;

    return (
        <table className="ledger mt-3">
            <LedgerHead
                columns={[
                    ['deliverable', '34%'],
                    ['owner', '18%'],
                    ['due', '24%'],
                    ['what holds it up', '24%'],
                ]}
            />
            <tbody>
                {lines.map((line) => (
                    <Row key={line.id} line={line} />
                ))}
            </tbody>
            <tfoot>
                <tr>
                    <td colSpan={4}>
                        {balanced} of {lines.length} balance
                    </td>
                </tr>
            </tfoot>
        </table>
    );
}
