import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { IndexLine } from '../../types/views';

/** Which deliverables are meant, of those that fit what is typed. */
export function Chooser({
    lines,
    chosen,
    onChoose,
}: {
    lines: IndexLine[];
    chosen: ReadonlySet<number>;
    onChoose: (ids: number[], on: boolean) => void;
}) {
    const [wanted, setWanted] = useState('');
    const text = wanted.trim().toLowerCase();
    const listed = [...lines]
        .sort((a, b) => a.code.localeCompare(b.code, 'en', { numeric: true }))
        .filter((each) => `${each.code} ${each.title} ${each.owner ?? ''}`.toLowerCase().includes(text));
    const ids = listed.map((each) => each.id);

    return (
        <section aria-label={t`Which deliverables`}>
            <h2 className="title border-b border-edge pb-1 text-[16px]">
                <Trans>Which</Trans>
            </h2>
            <input
                type="search"
                aria-label={t`Find among them`}
                className="input my-2"
                placeholder={t`Find among them`}
                value={wanted}
                onChange={(event) => setWanted(event.target.value)}
            />
            {listed.length === 0 ? (
                <p className="text-faint">
                    {lines.length === 0 ? t`Nothing is owed here yet.` : t`Nothing fits “${wanted}”.`}
                </p>
            ) : (
                <>
                    <label className="flex items-baseline gap-2 border-b border-rule py-1 font-semibold">
                        <input
                            type="checkbox"
                            className="checkbox"
                            checked={ids.every((id) => chosen.has(id))}
                            onChange={(event) => onChoose(ids, event.target.checked)}
                        />
                        {text === '' ? t`all ${listed.length}` : t`all ${listed.length} that fit`}
                    </label>
                    <ul className="scroll max-h-[420px]" aria-label={t`Deliverables`}>
                        {listed.map((each) => (
                            <li key={each.id} className="border-b border-rule">
                                <label className="flex items-baseline gap-2 py-1">
                                    <input
                                        type="checkbox"
                                        className="checkbox"
                                        checked={chosen.has(each.id)}
                                        onChange={(event) => onChoose([each.id], event.target.checked)}
                                    />
                                    <span className="mono [overflow-wrap:anywhere]">{each.code}</span>
                                    <span className="aside truncate">{each.title}</span>
                                </label>
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </section>
    );
}
