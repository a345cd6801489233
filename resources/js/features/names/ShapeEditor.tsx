import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { tell } from '../../lib/ask';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { useQuestion } from '../../lib/useQuestion';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import type { NamesPage, TriedPatterns } from '../../types/views';

export type Shape = NamesPage['shapes'][number];

type Pattern = Shape['patterns'][number];

/** Pieces are called as the server knows them, in every language. */
const FINISHED = 'frame {frame} done in {seconds} s';

/** What the patterns find in lines that were pasted. */
function Tried({ lines }: { lines: TriedPatterns['lines'] }) {
    return (
        <ol
            className="mono max-h-56 overflow-y-auto border-y border-rule text-[12.5px]"
            aria-label={t`What the lines tell`}
            aria-live="polite"
            tabIndex={0}
        >
            {lines.map((line, at) => (
                <li key={at} className="border-b border-rule py-0.5">
                    <span className={line.told.length === 0 ? 'text-faint' : ''}>
                        <Breaking text={line.text} />
                    </span>
                    {line.told.map((told) => (
                        <span key={told.event} className="ml-3 text-green">
                            {told.event}:{' '}
                            {Object.entries(told.pieces)
                                .map(([piece, text]) => `${piece} ${text}`)
                                .join(', ')}
                        </span>
                    ))}
                </li>
            ))}
        </ol>
    );
}

function PatternField({
    event: what,
    says,
    pattern,
    fault,
    onChange,
}: {
    event: string;
    says: string | undefined;
    pattern: string;
    fault: string | undefined;
    onChange: (pattern: string) => void;
}) {
    return (
        <div className="grid grid-cols-[170px_1fr] items-baseline gap-x-2 py-0.5">
            <label htmlFor={`p-${what}`} className="aside">
                {says}
            </label>
            <span>
                <input
                    id={`p-${what}`}
                    className="input mono"
                    value={pattern}
                    placeholder={what === 'finished' ? FINISHED : ''}
                    maxLength={500}
                    onChange={(event) => onChange(event.target.value)}
                    aria-invalid={fault !== undefined}
                />
                {fault !== undefined && (
                    <span role="alert" className="block text-[13px] text-red">
                        <Breaking text={fault} />
                    </span>
                )}
            </span>
        </div>
    );
}

/** Patterns for each event, with what the shape has of them already. */
const begun = (shape: Shape, events: NamesPage['events']): Pattern[] =>
    events.map(({ event }) => ({
        event,
        pattern: shape.patterns.find((each) => each.event === event)?.pattern ?? '',
    }));

/** The first line that tells that a frame is finished, or anything at all: by it the shape is shown. */
function exampleOf(answer: TriedPatterns | null): string {
    const lines = answer?.lines ?? [];
    const finished = lines.find(({ told }) => told.some(({ event }) => event === 'finished'));

    return (finished ?? lines.find(({ told }) => told.length > 0))?.text ?? '';
}

/** How the lines of a log read, tried on a pasted piece of one. */
export function ShapeEditor({
    production,
    shape,
    events,
    pieces,
    onClose,
}: {
    production: number;
    shape: Shape;
    events: NamesPage['events'];
    pieces: string[];
    onClose: () => void;
}) {
    const [name, setName] = useState(shape.name);
    const [patterns, setPatterns] = useState(() => begun(shape, events));
    const [sample, setSample] = useState(shape.example);
    const action = useAction(t`This could not be saved.`);
    const { answer, fault } = useQuestion(
        JSON.stringify([patterns, sample]),
        (stop) => tell<TriedPatterns>(to('shape.try', { production }), { patterns, sample }, stop),
        { wait: 250, otherwise: t`This could not be tried.` },
    );
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        const data = {
            name,
            was: shape.name === '' ? null : shape.name,
            patterns: patterns.map((each) => ({ ...each })),
            example: exampleOf(answer),
        };
        action.send('post', to('shape', { production }), data, { names: ['shape', 'name'], done: onClose });
    };
    const change = (at: number, pattern: string) =>
        setPatterns(patterns.map((other, n) => (n === at ? { ...other, pattern } : other)));

    return (
        <form className="my-2 border border-edge p-3" onSubmit={submit}>
            <label className="flex items-center gap-2">
                <span className="aside">
                    <Trans>Name</Trans>
                </span>
                <input
                    autoFocus
                    className="input w-72!"
                    value={name}
                    maxLength={80}
                    onChange={(event) => setName(event.target.value)}
                />
            </label>
            <p className="py-1.5 text-[13px] text-faint">
                <Trans>Write a line as it stands in the log, and pieces where it changes: </Trans>
                {pieces.map((piece) => `{${piece}}`).join(' ')}
                <Trans>. Or, between slashes, a regular expression with groups of these names.</Trans>
            </p>
            {patterns.map((each, at) => (
                <PatternField
                    key={each.event}
                    event={each.event}
                    says={events[at]?.says}
                    pattern={each.pattern}
                    fault={answer?.faults[at]}
                    onChange={(pattern) => change(at, pattern)}
                />
            ))}
            <label className="block pt-2">
                <span className="aside">
                    <Trans>Some lines of such a log, to try it on</Trans>
                </span>
                <textarea
                    rows={4}
                    className="textarea mono text-[12.5px]"
                    value={sample}
                    onChange={(event) => setSample(event.target.value)}
                />
            </label>
            {answer !== null && sample.trim() !== '' && <Tried lines={answer.lines} />}
            <Fault says={action.fault ?? fault} />
            <p className="flex gap-2 pt-2">
                <button type="submit" className="btn btn-primary" disabled={name.trim() === ''}>
                    <Trans>Save the shape</Trans>
                </button>
                <button type="button" className="btn" onClick={onClose}>
                    <Trans>Cancel</Trans>
                </button>
            </p>
        </form>
    );
}
