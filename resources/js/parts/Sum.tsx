import { useEffect, useId, useState } from 'react';
import { classes } from '../lib/classes';
import { tell } from '../lib/ask';
import { Breaking } from './Breaking';
import { CopyButton } from './CopyButton';

export interface Calculation {
    word: string;
    title: string;
    fields: { name: string; label: string; example: string; start: string }[];
}

interface Result {
    label: string;
    value: string;
    formula: string;
}

/** One sum: what is typed in, what comes out, and by which formula. */
export function Sum({
    calculation,
    given: first,
    narrow,
}: {
    calculation: Calculation;
    given?: Record<string, string>;
    narrow?: boolean;
}) {
    const [given, setGiven] = useState<Record<string, string>>(() => ({
        ...Object.fromEntries(calculation.fields.map((field) => [field.name, field.start])),
        ...first,
    }));
    const [answer, setAnswer] = useState<{ results: Result[]; fault: string | null }>({ results: [], fault: null });
    const name = useId();

    useEffect(() => {
        const stop = new AbortController();
        const timer = setTimeout(() => {
            tell<{ results: Result[]; fault: string | null }>(
                '/calculate',
                { word: calculation.word, given },
                stop.signal,
            ).then(setAnswer, (trouble: unknown) => {
                if (!stop.signal.aborted) {
                    setAnswer({
                        results: [],
                        fault: trouble instanceof Error ? trouble.message : 'This could not be worked out.',
                    });
                }
            });
        }, 150);

        return () => {
            clearTimeout(timer);
            stop.abort();
        };
    }, [calculation.word, given]);

    return (
        <div className={narrow ? '' : 'grid grid-cols-[300px_minmax(0,1fr)] gap-x-8'}>
            <div>
                {calculation.fields.map((field) => (
                    <div
                        key={field.name}
                        className={classes(
                            'grid grid-cols-[minmax(0,1fr)_140px] items-baseline gap-x-3',
                            'border-b border-rule py-1',
                        )}
                    >
                        <label htmlFor={`${name}-${field.name}`} className="text-[13px]">
                            {field.label}
                        </label>
                        <input
                            id={`${name}-${field.name}`}
                            className="input mono"
                            value={given[field.name] ?? ''}
                            placeholder={field.example}
                            autoComplete="off"
                            spellCheck={false}
                            onChange={(event) => setGiven({ ...given, [field.name]: event.target.value })}
                        />
                    </div>
                ))}
            </div>
            <div aria-live="polite">
                {answer.fault !== null ? (
                    <p className="py-1 text-red">
                        <Breaking text={answer.fault} />
                    </p>
                ) : answer.results.length === 0 ? (
                    <p className="py-1 text-faint">Fill in what you know; what follows stands here.</p>
                ) : (
                    <dl>
                        {answer.results.map((result) => (
                            <div
                                key={result.label}
                                className={classes(
                                    'grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3',
                                    'border-b border-rule py-1',
                                )}
                            >
                                <dt className="text-[13px] text-faint">{result.label}</dt>
                                <dd className="row-span-2 self-center">
                                    <CopyButton text={result.value}>Copy</CopyButton>
                                </dd>
                                <dd className="mono text-[15px]">
                                    <Breaking text={result.value} />{' '}
                                    <span className="font-serif text-[13px] text-faint italic">{result.formula}</span>
                                </dd>
                            </div>
                        ))}
                    </dl>
                )}
            </div>
        </div>
    );
}
