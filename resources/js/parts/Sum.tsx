import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useId, useState } from 'react';
import { tell } from '../lib/ask';
import { classes } from '../lib/classes';
import { to } from '../lib/route';
import { useQuestion } from '../lib/useQuestion';
import type { OfferedSum, WorkedSum } from '../types/views';
import { Breaking } from './Breaking';
import { CopyButton } from './CopyButton';

function Results({ answer, fault }: { answer: WorkedSum | null; fault: string | null }) {
    const says = fault ?? answer?.fault ?? null;
    if (says !== null) {
        return (
            <p className="py-1 text-red">
                <Breaking text={says} />
            </p>
        );
    }
    const results = answer?.results ?? [];

    return results.length === 0 ? (
        <p className="py-1 text-faint">
            <Trans>Fill in what you know; what follows stands here.</Trans>
        </p>
    ) : (
        <dl>
            {results.map((result) => (
                <div
                    key={result.label}
                    className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 border-b border-rule py-1"
                >
                    <dt className="text-[13px] text-faint">{result.label}</dt>
                    <dd className="row-span-2 self-center">
                        <CopyButton text={result.value}>{t`Copy`}</CopyButton>
                    </dd>
                    <dd className="mono text-[15px]">
                        <Breaking text={result.value} />{' '}
                        <span className="font-serif text-[13px] text-faint italic">{result.formula}</span>
                    </dd>
                </div>
            ))}
        </dl>
    );
}

/** One sum: what is typed in, what comes out, and by which formula. */
export function Sum({
    calculation,
    given: first,
    narrow,
}: {
    calculation: OfferedSum;
    given?: Record<string, string>;
    narrow?: boolean;
}) {
    const [given, setGiven] = useState<Record<string, string>>(() => ({
        ...Object.fromEntries(calculation.fields.map((field) => [field.name, field.start])),
        ...first,
    }));
    const name = useId();
    const asked = { word: calculation.word, given };
    const { answer, fault } = useQuestion(
        JSON.stringify(asked),
        (stop) => tell<WorkedSum>(to('calculate'), asked, stop),
        { otherwise: t`This could not be worked out.` },
    );

    return (
        <div className={narrow ? '' : 'grid gap-x-8 md:grid-cols-[300px_minmax(0,1fr)]'}>
            <div>
                {calculation.fields.map((field) => (
                    <div
                        key={field.name}
                        className={classes(
                            'grid items-baseline gap-x-3 sm:grid-cols-[minmax(0,1fr)_140px]',
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
                <Results answer={answer} fault={fault} />
            </div>
        </div>
    );
}
