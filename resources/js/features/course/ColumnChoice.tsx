import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Labelled } from '../../parts/Field';
import type { NamedBy, TriedGradebook } from '../../types/views';

export type Columns = NonNullable<TriedGradebook['columns']>;

const NONE: Columns = { whose: [], by: 'name', points: '', remark: null };

function Choice({
    label,
    value,
    options,
    onChoose,
}: {
    label: string;
    value: string;
    options: [string, string][];
    onChoose: (value: string) => void;
}) {
    return (
        <Labelled label={label}>
            <select className="select w-48!" value={value} onChange={(event) => onChoose(event.target.value)}>
                {options.map(([word, name]) => (
                    <option key={word} value={word}>
                        {name}
                    </option>
                ))}
            </select>
        </Labelled>
    );
}

/** Which column says whose a row is, and where points and a remark go. */
export function ColumnChoice({
    headings,
    columns,
    onChange,
}: {
    headings: string[];
    columns: Columns | null;
    onChange: (columns: Columns) => void;
}) {
    const now = columns ?? NONE;
    const each = headings.filter((heading) => heading !== '').map((heading): [string, string] => [heading, heading]);
    const give = (what: Partial<Columns>) => {
        const next = { ...now, ...what };
        if (next.whose.length > 0) {
            onChange({ ...next, points: next.points === '' ? t`Points` : next.points });
        }
    };
    const isNew = now.points !== '' && !headings.includes(now.points);

    return (
        <>
            {columns === null && (
                <p className="text-ochre">
                    <Trans>No column names anybody of this course. Say which one does.</Trans>
                </p>
            )}
            <div className="flex flex-wrap gap-4">
                <Choice
                    label={t`whose a row is`}
                    value={now.whose.join('\n')}
                    options={[
                        ...(now.whose.length === 1
                            ? []
                            : [[now.whose.join('\n'), now.whose.join(' + ')] as [string, string]]),
                        ...each,
                    ]}
                    onChoose={(heading) => give({ whose: [heading] })}
                />
                <Choice
                    label={t`which is`}
                    value={now.by}
                    options={[
                        ['number', t`an id of that system`],
                        ['address', t`an address`],
                        ['handle', t`a sign-in name`],
                        ['name', t`a name`],
                    ]}
                    onChoose={(by) => give({ by: by as NamedBy })}
                />
                <Choice
                    label={t`points go to`}
                    value={now.points}
                    options={[...(isNew ? [[now.points, t`${now.points} (new)`] as [string, string]] : []), ...each]}
                    onChoose={(points) => give({ points })}
                />
                <Choice
                    label={t`what to do next time goes to`}
                    value={now.remark ?? ''}
                    options={[['', t`nowhere`], ...each]}
                    onChoose={(remark) => give({ remark: remark === '' ? null : remark })}
                />
            </div>
        </>
    );
}
