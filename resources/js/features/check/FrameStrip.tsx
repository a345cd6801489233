import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useId, useMemo, useState, type KeyboardEvent } from 'react';
import { bytes, runs } from '../../lib/frames';
import { spokenTime } from '../../lib/spoken';
import { CopyButton } from '../../parts/CopyButton';
import type { Sequence } from '../../types/views';
import { closer, following, frameByKey, further, SAYS, stripOf, type FrameState, type Strip } from './strip';
import { StripDrawing, Swatch } from './StripDrawing';

/** What is under the pointer. */
function Told({
    strip,
    cursor,
    size,
    time,
    pattern,
}: {
    strip: Strip;
    cursor: number | null;
    size: number | undefined;
    time: number | undefined;
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
                    {time !== undefined && t`, rendered in ${spokenTime(time / 1000)}`}
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
                <Trans>selected</Trans>
            </label>
            <input
                id={id}
                className="input mono w-40!"
                key={selected}
                defaultValue={selected}
                onChange={(event) => type(event.target.value)}
            />
            <CopyButton text={selected}>{t`Copy`}</CopyButton>
        </span>
    );
}

/** What the shades mean that are on the strip. */
function Legend({ states, hasTimes }: { states: FrameState[]; hasTimes: boolean }) {
    return (
        <ul className="flex flex-wrap gap-x-4 text-[12.5px] text-faint" aria-label={t`Legend`}>
            {states.map((state) => (
                <li key={state} className="flex items-center gap-1.5">
                    <Swatch state={state} />
                    {SAYS[state]}
                </li>
            ))}
            {hasTimes && (
                <li>
                    <Trans>above: file sizes; dashed: render times</Trans>
                </li>
            )}
        </ul>
    );
}

/** Goes closer, further, and from trouble to trouble. */
function Ways({
    strip,
    from,
    onView,
    onGo,
}: {
    strip: Strip;
    from: number;
    onView: (view: [number, number] | null) => void;
    onGo: (frame: number) => void;
}) {
    const isWhole = strip.first === strip.whole[0] && strip.last === strip.whole[1];
    const ways: [string, boolean, () => void][] = [
        [t`Closer`, strip.count > 16, () => onView(closer(strip, from))],
        [t`Further`, !isWhole, () => onView(further(strip, from))],
        [t`All frames`, !isWhole, () => onView(null)],
    ];
    const troubles = [
        [t`Trouble before`, strip.trouble(from, true)],
        [t`Next trouble`, strip.trouble(from, false)],
    ] as const;

    return (
        <span className="flex flex-wrap gap-x-3 text-[13px]">
            {ways.map(([says, can, go]) =>
                can ? (
                    <button key={says} type="button" className="link" onClick={go}>
                        {says}
                    </button>
                ) : null,
            )}
            {troubles.map(([says, frame]) =>
                frame === null ? null : (
                    <button key={says} type="button" className="link" onClick={() => onGo(frame)}>
                        {says}
                    </button>
                ),
            )}
        </span>
    );
}

interface StripProps {
    sequence: Sequence;
    wrong: string;
    sizes: [number, number][];
    /** milliseconds by frame, where a log has told them */
    took: [number, number][];
    /** a frame that somebody wants to see */
    onChoose: (frame: number) => void;
}

/** One cell a frame, binned where they are many; sizes as a fine line above; a range can be selected. */
export function FrameStrip(props: StripProps) {
    const [view, setView] = useState<[number, number] | null>(null);
    const strip = useMemo(() => stripOf(props.sequence, props.wrong, view), [props.sequence, props.wrong, view]);

    return strip === null ? null : <Figure strip={strip} onView={setView} {...props} />;
}

function Figure({
    strip,
    sequence,
    sizes,
    took,
    onView,
    onChoose,
}: StripProps & { strip: Strip; onView: (view: [number, number] | null) => void }) {
    const [cursor, setCursor] = useState<number | null>(null);
    const [mark, setMark] = useState<[number, number] | null>(null);
    const [drag, setDrag] = useState<number | null>(null);
    const id = useId();
    const go = (frame: number) => {
        setCursor(frame);
        if (strip.clamp(frame) !== frame) {
            onView(following(strip, frame));
        }
    };
    // a frame without a whole file has nothing to be seen
    const choose = (frame: number) => {
        if (strip.hasFile(frame)) {
            onChoose(frame);
        }
    };
    const press = (event: KeyboardEvent) => {
        const from = cursor ?? strip.first;
        const next = frameByKey(strip, event.key, from);
        if (event.key === 'Enter') {
            choose(from);
        } else if (event.key === '+' || event.key === '-') {
            onView(event.key === '+' ? closer(strip, from) : further(strip, from));
        } else if (next !== null) {
            event.preventDefault();
            setMark(event.shiftKey ? [mark?.[0] ?? from, next] : null);
            go(next);
        }
    };
    const whose = sequence.pass === null ? '' : t` of ${sequence.pass}`;
    const isShown = ([frame]: [number, number]) => strip.clamp(frame) === frame;
    const times = took.filter(isShown);

    return (
        <figure className="px-6 pt-3" aria-label={t`Frames ${strip.first} to ${strip.last}${whose}`}>
            <StripDrawing
                strip={strip}
                sizes={sizes.filter(isShown)}
                took={times}
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
                onUp={(frame) => {
                    if (drag === frame && mark === null) {
                        choose(frame);
                    }
                    setDrag(null);
                }}
            />
            <figcaption className="flex min-h-[30px] flex-wrap items-center gap-x-4 text-[13px]">
                <Told
                    strip={strip}
                    cursor={cursor}
                    size={sizes.find(([frame]) => frame === cursor)?.[1]}
                    time={took.find(([frame]) => frame === cursor)?.[1]}
                    pattern={sequence.pattern}
                />
                {mark !== null && <Selected id={`${id}-range`} strip={strip} mark={mark} onMark={setMark} />}
            </figcaption>
            <div className="flex flex-wrap items-center gap-x-6">
                <Legend states={strip.states} hasTimes={times.length > 1} />
                <Ways strip={strip} from={cursor ?? strip.first} onView={onView} onGo={go} />
            </div>
        </figure>
    );
}
