import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { MarkSign } from '../../parts/MarkSign';
import type { Entry, ShownRecipe } from '../../types/views';

const FORMS = [
    ['txt', 'text'],
    ['json', 'JSON'],
    ['otio', 'timeline'],
    ['sh', t`commands for an encoder`],
] as const;

const asText = (recipe: ShownRecipe): string =>
    recipe.lines.map(({ label, value }) => `${label}: ${value}`).join('\n') + '\n';

/** What the movie that is there has instead. */
function Instead({ entries, id }: { entries: Entry[]; id: string | null }) {
    const cell = entries.find((entry) => entry.id === id)?.files;

    return cell?.mark !== 'unequal' ? null : (
        <span className="block text-red">
            <MarkSign mark="unequal" label={t`unequal`} />
            <Trans>
                {' '}
                the movie: <span className="mono">{cell.found}</span>
            </Trans>
        </span>
    );
}

/** Every setting with which a movie is made, to be typed in; and what the movie that is there has instead. */
export function Recipe({
    recipe,
    deliverable,
    entries,
}: {
    recipe: ShownRecipe;
    deliverable: number;
    /** the lines of its ledger, where there is one */
    entries: Entry[];
}) {
    const { part, from, lines, notes } = recipe;

    return (
        <section className="px-6 pt-4 pb-2" aria-label={t`How ${part} is made`}>
            <h2 className="aside border-b border-ink pb-1">
                <Trans>
                    How {part} is made from {from}
                </Trans>
            </h2>
            {notes.map((note) => (
                <p key={note} className="said pt-2 text-red">
                    {note}
                </p>
            ))}
            <table className="w-full">
                <tbody>
                    {lines.map(({ label, value, why, id }) => (
                        <tr key={label} className="border-b border-rule">
                            <th scope="row" className="w-[150px] py-1 pr-3 text-left align-top font-normal">
                                {label}
                            </th>
                            <td className="py-1 align-top">
                                <span className="mono [overflow-wrap:anywhere]">
                                    <Breaking text={value} />
                                </span>
                                {why !== null && <span className="pl-3 text-[13px] text-faint">{why}</span>}
                                <Instead entries={entries} id={id} />
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="flex flex-wrap items-center gap-3 pt-2 text-[13px]">
                <CopyButton text={asText(recipe)}>{t`Copy all lines`}</CopyButton>
                <span className="text-faint">
                    <Trans>As a file:</Trans>
                </span>
                {FORMS.map(([format, name]) => (
                    <a key={format} className="link" href={to('recipe', { deliverable, format }, { part })} download>
                        {name}
                    </a>
                ))}
            </p>
        </section>
    );
}
