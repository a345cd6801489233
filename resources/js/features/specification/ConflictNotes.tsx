import { t } from '@lingui/core/macro';
import type { ConflictShown, SuggestedChange } from '../../types/views';
import { Breaking } from '../../parts/Breaking';

/** What contradicts itself, a note each, with the smallest changes that end it. */
export function ConflictNotes({
    conflicts,
    labels,
    onTouch,
    onTake,
}: {
    conflicts: { conflict: ConflictShown; number: number }[];
    labels: Record<string, string>;
    onTouch: (note: number | null) => void;
    onTake: ((conflict: ConflictShown, offer: SuggestedChange) => void) | null;
}) {
    if (conflicts.length === 0) {
        return null;
    }

    return (
        <section className="mb-5" aria-label={t`What does not agree`}>
            <h2 className="pb-1 font-serif text-red italic">
                {conflicts.length === 1 ? t`This does not agree` : t`${conflicts.length} things do not agree`}
            </h2>
            <ol>
                {conflicts.map(({ conflict, number }) => (
                    <li
                        key={number}
                        id={`note-${number}`}
                        tabIndex={-1}
                        className="note"
                        onMouseEnter={() => onTouch(number)}
                        onMouseLeave={() => onTouch(null)}
                        onFocus={() => onTouch(number)}
                        onBlur={() => onTouch(null)}
                    >
                        <p>
                            <span className="note-number mr-2 align-[1px]">{number}</span>
                            <Breaking text={conflict.says} />
                        </p>
                        <p className="mt-1 font-sans text-[12.5px] text-faint">
                            {[...new Set(conflict.requirements.map((id) => (labels[id] ?? id).toLowerCase()))].join(
                                ', ',
                            )}
                        </p>
                        {onTake !== null && conflict.resolutions.length > 0 && (
                            <p className="mt-1.5 flex flex-wrap gap-1.5">
                                {conflict.resolutions.map((offer) => (
                                    <button
                                        key={offer.says}
                                        type="button"
                                        className="btn text-left whitespace-normal!"
                                        onClick={() => onTake(conflict, offer)}
                                    >
                                        {offer.says}
                                    </button>
                                ))}
                            </p>
                        )}
                    </li>
                ))}
            </ol>
        </section>
    );
}
