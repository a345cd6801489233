import { useId, useMemo, useState, type KeyboardEvent } from 'react';
import { bytes, runs } from '../../lib/frames';
import { CopyButton } from '../../parts/CopyButton';
import type { Sequence } from '../../types/views';
import { frameByKey, SAYS, stripOf, type Strip } from './strip';
import { StripDrawing } from './StripDrawing';

/** What is under the pointer. */
function Told({
    strip,
    cursor,
    size,
    pattern,
}: {
    strip: Strip;
    cursor: number | null;
    size: number | undefined;
    pattern: string;
}) {
    return (
        <span aria-live="polite">
            {cursor === null ? (
                <span className="mono text-faint">{pattern}</span>
            ) : (
                <>
                    <span className="mono">{cursor}</span> {SAYS[strip.state(cursor, cursor)]}
                    {size !== undefined && `, ${bytes(size)}`}
                </>
            )}
        </span>
    );
}

/** The range that is selected, to be typed as well, and to be copied. */
function Selected({
    id,
    strip,
    mark,
    onMark,
}: {
    id: string;
    strip: Strip;
    mark: [number, number];
    onMark: (mark: [number, number]) => void;
}) {
    const selected = `${Math.min(...mark)}-${Math.max(...mark)}`;
    const type = (text: string) => {
        const typed = runs(text)[0];
        if (typed !== undefined && strip.clamp(typed[0]) === typed[0] && strip.clamp(typed[1]) === typed[1]) {
            onMark([typed[0], typed[1]]);
        }
    };

    return (
        <span className="ml-auto flex items-center gap-2">
            <label className="text-faint" htmlFor={id}>
                selected
            </label>
            <input
                id={id}
                className="input mono w-40!"
                key={selected}
                defaultValue={selected}
                onChange={(event) => type(event.target.value)}
            />
            <CopyButton text={selected}>Copy</CopyButton>
        </span>
    );
}

/** One cell a frame, binned where they are many; sizes as a fine line above; a range can be selected. */
export function FrameStrip(props: { sequence: Sequence; wrong: string; sizes: [number, number][] }) {
    const strip = useMemo(() => stripOf(props.sequence, props.wrong), [props.sequence, props.wrong]);

    return strip === null ? null : <Figure strip={strip} {...props} />;
}

function Figure({ strip, sequence, sizes }: { strip: Strip; sequence: Sequence; sizes: [number, number][] }) {
    const [cursor, setCursor] = useState<number | null>(null);
    const [mark, setMark] = useState<[number, number] | null>(null);
    const [drag, setDrag] = useState<number | null>(null);
    const id = useId();
    const press = (event: KeyboardEvent) => {
        const from = cursor ?? strip.first;
        const next = frameByKey(strip, event.key, from);
        if (next !== null) {
            event.preventDefault();
            setMark(event.shiftKey ? [mark?.[0] ?? from, next] : null);
            setCursor(next);
        }
    };
    const whose = sequence.pass === null ? '' : ` of ${sequence.pass}`;

    return (
        <figure className="px-6 pt-3" aria-label={`Frames ${strip.first} to ${strip.last}${whose}`}>
            <StripDrawing
                strip={strip}
                sizes={sizes}
                cursor={cursor}
                mark={mark}
                hatch={id}
                onKey={press}
                onDown={(frame) => {
                    setDrag(frame);
                    setMark(null);
                }}
                onMove={(frame) => {
                    setCursor(frame);
                    if (drag !== null && frame !== drag) {
                        setMark([drag, frame]);
                    }
                }}
                onUp={() => setDrag(null)}
            />
            <figcaption className="flex min-h-[30px] items-center gap-3 text-[13px]">
                <Told
                    strip={strip}
                    cursor={cursor}
                    size={sizes.find(([frame]) => frame === cursor)?.[1]}
                    pattern={sequence.pattern}
                />
                {mark !== null && <Selected id={`${id}-range`} strip={strip} mark={mark} onMark={setMark} />}
            </figcaption>
            <p className="sr-only">
                {Object.entries(SAYS)
                    .filter(([state]) => state !== 'none')
                    .map(([, says]) => says)
                    .join(', ')}{' '}
                are told apart by shape and shade.
            </p>
        </figure>
    );
}
