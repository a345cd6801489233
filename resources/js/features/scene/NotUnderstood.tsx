import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Breaking } from '../../parts/Breaking';
import type { Ledger, ScenePage } from '../../types/views';
import { PointAt } from './PointAt';

/** So many are pointed at on the page; of the others the text alone is shown. */
const MOST = 40;

type Unknown = ScenePage['unknown'][number];

/** What is told, and pointed at by none of the fields above it. */
function restOf(told: string[], unknown: Unknown[]): string[] {
    const isPointed = (line: string) =>
        unknown.some((each) => each.name === line || (line.endsWith('…') && each.name.startsWith(line.slice(0, -1))));
    const isValue = (line: string) => unknown.some((each) => each.field !== null && line.startsWith(`${each.field}: `));

    return told.filter((line) => !isPointed(line) && !isValue(line));
}

/** Settings that nobody compares, since it is not known what they are. */
export function NotUnderstood({
    deliverable,
    ledger,
    unknown,
    fields,
    decides,
}: Pick<ScenePage, 'unknown' | 'fields'> & { deliverable: number; ledger: Ledger; decides: boolean }) {
    const { not_understood: told, not_understood_count: many } = ledger.document;

    return many === 0 ? null : (
        <details className="mt-2" open>
            <summary className="cursor-pointer">
                <Trans>
                    Not understood: {many} {many === 1 ? t`setting` : t`settings`}, kept and not compared
                </Trans>
            </summary>
            {unknown.length > 0 && (
                <ul className="mt-1 border-y border-rule">
                    {unknown.slice(0, MOST).map((each) => (
                        <PointAt
                            key={`${each.name}=${each.value}`}
                            deliverable={deliverable}
                            unknown={each}
                            fields={fields}
                            decides={decides}
                        />
                    ))}
                </ul>
            )}
            <ul className="mono ml-4 text-[13px] text-faint">
                {restOf(told, unknown).map((key, at) => (
                    <li key={at}>
                        <Breaking text={key} />
                    </li>
                ))}
            </ul>
        </details>
    );
}
