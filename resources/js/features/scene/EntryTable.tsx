import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Breaking } from '../../parts/Breaking';
import { LedgerHead } from '../../parts/LedgerHead';
import { MarkSign } from '../../parts/MarkSign';
import type { EntryRow, TypedAttempt } from '../../types/views';

/** Whether a field stands for a whole line, and shows its mark. */
const isWhole = (row: EntryRow): boolean => row.line === row.field || row.field === 'camera.chosen';

/** How a value was understood, or why it was not. */
function Says({ row, value, answer }: { row: EntryRow; value: string; answer: TypedAttempt | null }) {
    const fault = answer?.faults[row.field];
    const read = answer?.understood[row.field];

    return (
        <span id={`s-${row.field}`} className="text-[12.5px]">
            {fault !== undefined && value !== '' && <span className="text-red">{fault}</span>}
            {(fault === undefined || value === '') && read !== undefined && (
                <span className="text-faint">
                    <Trans>read as {read}</Trans>
                </span>
            )}
        </span>
    );
}

function ValueCell({
    row,
    value,
    answer,
    first,
    onFocus,
    onChange,
}: {
    row: EntryRow;
    value: string;
    answer: TypedAttempt | null;
    first: boolean;
    onFocus: () => void;
    onChange: (value: string) => void;
}) {
    return (
        <td className="column">
            <input
                id={`f-${row.field}`}
                data-field={row.field}
                autoFocus={first}
                className="input mono"
                value={value}
                placeholder={row.example}
                list={row.words.length > 0 ? `w-${row.field}` : undefined}
                aria-invalid={answer?.faults[row.field] !== undefined}
                aria-describedby={`s-${row.field}`}
                onFocus={onFocus}
                onChange={(event) => onChange(event.target.value)}
            />
            {row.words.length > 0 && (
                <datalist id={`w-${row.field}`}>
                    {row.words.map((word) => (
                        <option key={word} value={word} />
                    ))}
                </datalist>
            )}
            <Says row={row} value={value} answer={answer} />
        </td>
    );
}

function MarkCell({ row, value, answer }: { row: EntryRow; value: string; answer: TypedAttempt | null }) {
    const line = isWhole(row) ? answer?.lines[row.line] : undefined;
    const found = line?.mark === 'unequal' && line.found !== value ? line.found : null;

    return (
        <td className="column">
            {line !== undefined && (value !== '' || line.mark !== 'unknown') && <MarkSign mark={line.mark} />}
            {found !== null && (
                <span className="mono block text-[12.5px] text-red">
                    <Breaking text={found} />
                </span>
            )}
        </td>
    );
}

/** Every line of a scene as it is usually read off, with what is asked beside it. */
export function EntryTable({
    rows,
    typed,
    answer,
    at,
    onAt,
    onType,
}: {
    rows: EntryRow[];
    typed: Record<string, string>;
    answer: TypedAttempt | null;
    at: string | null;
    onAt: (field: string) => void;
    onType: (field: string, value: string) => void;
}) {
    const whole = rows.filter(isWhole);
    const good = whole.filter((row) => ['equal', 'waived'].includes(answer?.lines[row.line]?.mark ?? '')).length;

    return (
        <table className="ledger mt-2">
            <LedgerHead
                columns={[
                    [t`setting`, '26%'],
                    [t`required`, '26%'],
                    [t`in the scene`, '36%'],
                    [t`mark`, '12%'],
                ]}
            />
            <tbody>
                {rows.map((row, n) => {
                    const value = typed[row.field] ?? '';

                    return (
                        <tr key={row.field} className={at === row.field ? 'touched' : ''}>
                            <th scope="row">
                                <label htmlFor={`f-${row.field}`}>{row.label}</label>
                                {row.level === 'should' && (
                                    <span className="aside">
                                        <Trans> should</Trans>
                                    </span>
                                )}
                            </th>
                            <td className="column mono">
                                <Breaking text={row.required ?? ''} />
                            </td>
                            <ValueCell
                                row={row}
                                value={value}
                                answer={answer}
                                first={n === 0}
                                onFocus={() => onAt(row.field)}
                                onChange={(now) => onType(row.field, now)}
                            />
                            <MarkCell row={row} value={value} answer={answer} />
                        </tr>
                    );
                })}
            </tbody>
            <tfoot>
                <tr>
                    <td colSpan={4}>
                        <Trans>
                            {good} of {whole.length} balance
                        </Trans>
                    </td>
                </tr>
            </tfoot>
        </table>
    );
}
