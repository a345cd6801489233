import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ImpliedPart } from '../../types/views';
import { Breaking } from '../../parts/Breaking';
import { CopyButton } from '../../parts/CopyButton';
import { Outline, RangeRuler } from './Outline';

/** What a part comes to: figures, ruler, shape, names, as they are asked or as they are being typed. */
export function Implications({ part, several, typed }: { part: ImpliedPart; several: boolean; typed: boolean }) {
    return (
        <section className="mb-5" aria-label={t`What ${several ? part.name : 'this'} comes to`}>
            <h2 className="aside pb-1">
                <Trans>
                    What this comes to{several && `: ${part.name}`}
                    {typed && (
                        <span className="text-ochre">
                            <Trans> as typed</Trans>
                        </span>
                    )}
                </Trans>
            </h2>
            {part.consequences.length === 0 ? (
                <p className="note">
                    <Trans>Ask for a range, a rate, a size or names, and what follows from them stands here.</Trans>
                </p>
            ) : (
                <dl className="border-t border-ink">
                    {part.consequences.map((line) => (
                        <div
                            key={line.label}
                            className="flex flex-wrap justify-between gap-x-3 border-b border-rule py-0.5"
                        >
                            <dt className="text-[13px] text-faint">{line.label}</dt>
                            <dd className="mono ml-auto text-right text-[13px]">
                                <Breaking text={line.value} />
                            </dd>
                        </div>
                    ))}
                </dl>
            )}
            {part.ruler !== null && <RangeRuler ruler={part.ruler} />}
            {part.shape !== null && <Outline shape={part.shape} />}
            {part.names !== null && (
                <div className="pt-3">
                    <h3 className="aside pb-1">
                        <Trans>Names{several && t` of ${part.name}`}</Trans>
                    </h3>
                    <pre
                        className="mono overflow-x-auto border-y border-rule py-1 text-[12.5px] leading-[1.5]"
                        tabIndex={0}
                        aria-label={t`Folders and names`}
                    >
                        {part.names.tree.join('\n')}
                    </pre>
                    {part.notes.map((note) => (
                        <p key={note} className="pt-1.5 text-[13px] text-ochre">
                            {note}
                        </p>
                    ))}
                    <p className="pt-2">
                        <CopyButton
                            text={part.names.sets
                                .flatMap((set) =>
                                    set.names.map((name) => (set.folder === '.' ? name : `${set.folder}/${name}`)),
                                )
                                .join('\n')}
                        >
                            {t`Copy the names`}
                        </CopyButton>
                    </p>
                </div>
            )}
        </section>
    );
}
