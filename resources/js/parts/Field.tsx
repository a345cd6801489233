import type { ReactNode } from 'react';
import { Fault } from './Fault';

/** A line of a form: what it is called, the field itself, help, and what is wrong with it. */
export function Field({
    id,
    label,
    fault,
    help,
    children,
}: {
    id: string;
    label: string;
    fault?: string | undefined;
    help?: string;
    children: ReactNode;
}) {
    return (
        <div className="field-line border-b border-rule py-2">
            <label htmlFor={id}>{label}</label>
            <div>
                {children}
                {help !== undefined && <p className="text-[13px] text-faint">{help}</p>}
                <Fault says={fault} className="text-[13px]" />
            </div>
        </div>
    );
}

/** A field with its name above it, for a row of several. */
export function Labelled({ label, children }: { label: string; children: ReactNode }) {
    return (
        <label>
            <span className="aside block">{label}</span>
            {children}
        </label>
    );
}

/** A choice of a few words, one of which holds. */
export function Radios<Word extends string>({
    name,
    words,
    chosen,
    onChoose,
}: {
    name: string;
    words: readonly (readonly [Word, string])[];
    chosen: Word;
    onChoose: (word: Word) => void;
}) {
    return words.map(([word, label]) => (
        <label key={word} className="flex items-baseline gap-1.5">
            <input
                type="radio"
                className="radio"
                name={name}
                checked={chosen === word}
                onChange={() => onChoose(word)}
            />
            {label}
        </label>
    ));
}
