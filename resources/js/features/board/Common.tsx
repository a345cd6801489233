import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { Heading } from '../../parts/Heading';
import type { CommonCause, SharedSetting } from '../../types/views';

/** So many are named one by one; the rest are counted. */
const MOST_NAMED = 16;

function byValue(others: { whose: string; value: string }[]): [string, string[]][] {
    const found = new Map<string, string[]>();
    for (const other of others) {
        found.set(other.value, [...(found.get(other.value) ?? []), other.whose]);
    }

    return [...found];
}

/** A cause by its name, in words. */
export const named = (id: string): string => id.replaceAll('-', ' ');

/** Which causes are found of whom, the commonest first. */
export function CommonMistakes({ causes, onChoose }: { causes: CommonCause[]; onChoose: (id: string) => void }) {
    return causes.length === 0 ? null : (
        <section className="pt-6" aria-label={t`Common mistakes`}>
            <Heading>
                <Trans>Common mistakes</Trans>
            </Heading>
            <ul>
                {causes.map((cause) => (
                    <li key={cause.id} className="grid grid-cols-[36px_1fr] gap-x-2 border-b border-rule py-1.5">
                        <span className="title text-[18px]">{cause.who.length}</span>
                        <span>
                            <button type="button" className="link" onClick={() => onChoose(cause.id)}>
                                {named(cause.id)}
                            </button>
                            <span className="aside block">
                                <Breaking text={cause.who[0]?.says ?? ''} />
                            </span>
                            <span className="block text-[13px]">
                                {cause.who.slice(0, MOST_NAMED).map((who, n) => (
                                    <span key={who.id}>
                                        {n > 0 && ', '}
                                        <Link href={to(who.folio, { deliverable: who.id })} className="link mono">
                                            {who.code}
                                        </Link>
                                        {who.owner !== null && <span className="text-faint"> {who.owner}</span>}
                                    </span>
                                ))}
                                {cause.who.length > MOST_NAMED && t` and ${cause.who.length - MOST_NAMED} more`}
                            </span>
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** Settings that the scenes of a specification share, and whose are others. */
export function Disagreements({ lines }: { lines: SharedSetting[] }) {
    return lines.length === 0 ? null : (
        <section className="pt-6" aria-label={t`Settings that do not agree`}>
            <Heading>
                <Trans>Settings that should agree and do not</Trans>
            </Heading>
            <ul>
                {lines.map((line) => (
                    <li key={`${line.specification}/${line.id}`} className="border-b border-rule py-1.5">
                        <Trans>
                            {line.label} is <span className="mono">{line.common}</span>
                            {t` in ${line.count} scenes of “${line.specification}”, and `}
                        </Trans>
                        {byValue(line.others).map(([value, whose], n) => (
                            <span key={value}>
                                <Trans>
                                    {n > 0 && '; '}
                                    <span className="mono text-red">
                                        <Breaking text={value} />
                                    </span>{' '}
                                    in{' '}
                                    <span className="mono">
                                        <Breaking text={whose.slice(0, MOST_NAMED).join(', ')} />
                                    </span>
                                    {whose.length > MOST_NAMED && t` and ${whose.length - MOST_NAMED} more`}
                                </Trans>
                            </span>
                        ))}
                        .
                    </li>
                ))}
            </ul>
        </section>
    );
}
