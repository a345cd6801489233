import { classes } from '../lib/classes';

/** Which of several is shown, as words in a row. */
export function Choices<Word extends string | boolean>({
    label,
    words,
    chosen,
    onChoose,
    className,
}: {
    label: string;
    words: readonly (readonly [Word, string])[];
    chosen: Word;
    onChoose: (word: Word) => void;
    className?: string;
}) {
    return (
        <div className={classes('tabs tabs-sm', className)} role="group" aria-label={label}>
            {words.map(([word, says]) => (
                <button
                    key={String(word)}
                    type="button"
                    aria-pressed={chosen === word}
                    onClick={() => onChoose(word)}
                    className={classes('tab', chosen === word && 'tab-active')}
                >
                    {says}
                </button>
            ))}
        </div>
    );
}
