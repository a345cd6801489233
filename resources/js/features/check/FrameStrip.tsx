import { useId, useMemo, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { bytes, has, runs, span, touches } from '../../lib/frames';
import type { Sequence } from '../../types/views';
import { CopyButton } from '../../parts/CopyButton';

type State = 'whole' | 'cut' | 'wrong' | 'missing' | 'extra' | 'none';

const SAYS: Record<State, string> = {
    whole: 'whole',
    cut: 'not whole',
    wrong: 'whole, and not as asked',
    missing: 'missing',
    extra: 'not asked for',
    none: 'neither asked nor there',
};

/** Worst first: a bin shows its worst frame. */
const WORST: State[] = ['cut', 'missing', 'wrong', 'extra', 'whole', 'none'];

const WIDTH = 700;

/** One cell a frame, binned where they are many; sizes as a fine line above; a range can be selected. */
export function FrameStrip({
    sequence,
    wrong,
    sizes,
}: {
    sequence: Sequence;
    wrong: string;
    sizes: [number, number][];
}) {
    const sets = useMemo(
        () => ({
            expected: runs(sequence.expected),
            present: runs(sequence.present),
            damaged: runs(sequence.damaged),
            missing: runs(sequence.missing),
            extra: runs(sequence.extra),
            wrong: runs(wrong),
        }),
        [sequence, wrong],
    );
    const ends = span(sets.expected, sets.present);
    const [cursor, setCursor] = useState<number | null>(null);
    const [mark, setMark] = useState<[number, number] | null>(null);
    const [drag, setDrag] = useState<number | null>(null);
    const hatch = useId();
    if (ends === null) {
        return null;
    }
    const [first, last] = ends;
    const count = last - first + 1;
    const cells = Math.min(count, Math.floor(WIDTH / 4));
    const cell = WIDTH / cells;
    const frameAt = (at: number) => first + Math.floor((at * count) / cells);
    const state = (from: number, to: number): State => {
        if (touches(sets.damaged, from, to)) return 'cut';
        if (touches(sets.missing, from, to)) return 'missing';
        if (touches(sets.wrong, from, to)) return 'wrong';
        if (touches(sets.extra, from, to)) return 'extra';

        return touches(sets.present, from, to) ? 'whole' : 'none';
    };
    const stateOf = (frame: number): State => state(frame, frame);
    const largest = Math.max(1, ...sizes.map(([, size]) => size));
    const x = (frame: number) => ((frame - first + 0.5) / count) * WIDTH;
    const line = sizes
        .map(([frame, size]) => `${x(frame).toFixed(1)},${(22 - (size / largest) * 18).toFixed(1)}`)
        .join(' ');
    const clamp = (frame: number) => Math.max(first, Math.min(last, frame));
    const press = (event: KeyboardEvent) => {
        const step = {
            ArrowRight: 1,
            ArrowLeft: -1,
            PageDown: Math.max(1, Math.round(count / 10)),
            PageUp: -Math.max(1, Math.round(count / 10)),
        }[event.key];
        const next =
            step !== undefined
                ? clamp((cursor ?? first) + step)
                : event.key === 'Home'
                  ? first
                  : event.key === 'End'
                    ? last
                    : null;
        if (next === null) {
            return;
        }
        event.preventDefault();
        setMark(event.shiftKey ? [mark?.[0] ?? cursor ?? first, next] : null);
        setCursor(next);
    };
    const at = (event: PointerEvent<SVGSVGElement>) => {
        const box = event.currentTarget.getBoundingClientRect();

        return clamp(first + Math.floor(((event.clientX - box.left) / box.width) * count));
    };
    const size = sizes.find(([frame]) => frame === cursor)?.[1];
    const selected = mark === null ? null : `${Math.min(...mark)}-${Math.max(...mark)}`;
    const ticks = [
        ...new Set([
            first,
            first + Math.floor(count / 4),
            first + Math.floor(count / 2),
            first + Math.floor((3 * count) / 4),
            last,
        ]),
    ];

    return (
        <figure
            className="px-6 pt-3"
            aria-label={`Frames ${first} to ${last}${sequence.pass === null ? '' : ` of ${sequence.pass}`}`}
        >
            <svg
                viewBox={`0 0 ${WIDTH} 66`}
                className="block w-full touch-none select-none"
                role="slider"
                tabIndex={0}
                aria-label="Frame"
                aria-valuemin={first}
                aria-valuemax={last}
                aria-valuenow={cursor ?? first}
                aria-valuetext={cursor === null ? `${first} to ${last}` : `${cursor}: ${SAYS[stateOf(cursor)]}`}
                onKeyDown={press}
                onPointerDown={(event) => {
                    event.currentTarget.setPointerCapture(event.pointerId);
                    setDrag(at(event));
                    setMark(null);
                }}
                onPointerMove={(event) => {
                    const frame = at(event);
                    setCursor(frame);
                    if (drag !== null && frame !== drag) {
                        setMark([drag, frame]);
                    }
                }}
                onPointerUp={() => setDrag(null)}
            >
                <defs>
                    <pattern
                        id={hatch}
                        width="4"
                        height="4"
                        patternUnits="userSpaceOnUse"
                        patternTransform="rotate(45)"
                    >
                        <rect width="4" height="4" fill="var(--color-base-100)" />
                        <rect width="2" height="4" fill="var(--color-error)" />
                    </pattern>
                </defs>
                {sizes.length > 1 && (
                    <polyline points={line} fill="none" stroke="var(--color-secondary)" strokeWidth="1" />
                )}
                {Array.from({ length: cells }, (_, n) => {
                    const worst = state(frameAt(n), frameAt(n + 1) - 1);
                    const gap = cell > 5 ? 1 : 0.5;
                    const fill = {
                        whole: 'color-mix(in oklab, var(--color-success) 45%, var(--color-base-100))',
                        cut: `url(#${hatch})`,
                        wrong: 'color-mix(in oklab, var(--color-error) 38%, var(--color-base-100))',
                        missing: 'var(--color-base-100)',
                        extra: 'color-mix(in oklab, var(--color-warning) 45%, var(--color-base-100))',
                        none: 'transparent',
                    }[worst];
                    const edge = {
                        whole: 'none',
                        cut: 'var(--color-error)',
                        wrong: 'none',
                        missing: 'var(--color-error)',
                        extra: 'none',
                        none: 'none',
                    }[worst];

                    return (
                        <rect
                            key={n}
                            x={n * cell + gap / 2}
                            y={28}
                            width={Math.max(1, cell - gap)}
                            height={20}
                            fill={fill}
                            stroke={edge}
                            strokeWidth={worst === 'missing' ? 0.8 : 1}
                        />
                    );
                })}
                {mark !== null && (
                    <rect
                        x={((Math.min(...mark) - first) / count) * WIDTH}
                        y={25}
                        width={((Math.abs(mark[1] - mark[0]) + 1) / count) * WIDTH}
                        height={26}
                        fill="none"
                        stroke="var(--color-primary)"
                        strokeWidth="2"
                    />
                )}
                {cursor !== null && (
                    <path d={`M${x(cursor)} 24v28`} stroke="var(--color-base-content)" strokeWidth="1" />
                )}
                {ticks.map((tick) => (
                    <text
                        key={tick}
                        x={tick === first ? 0 : tick === last ? WIDTH : x(tick)}
                        y={62}
                        textAnchor={tick === first ? 'start' : tick === last ? 'end' : 'middle'}
                        className="mono"
                        fontSize="11"
                        fill="var(--color-secondary)"
                    >
                        {tick}
                    </text>
                ))}
            </svg>
            <figcaption className="flex min-h-[30px] items-center gap-3 text-[13px]">
                <span aria-live="polite">
                    {cursor === null ? (
                        <span className="text-faint">
                            <span className="mono">{sequence.pattern}</span>
                        </span>
                    ) : (
                        <>
                            <span className="mono">{cursor}</span> {SAYS[stateOf(cursor)]}
                            {size !== undefined && `, ${bytes(size)}`}
                        </>
                    )}
                </span>
                {selected !== null && (
                    <span className="ml-auto flex items-center gap-2">
                        <label className="text-faint" htmlFor={`${hatch}-range`}>
                            selected
                        </label>
                        <input
                            id={`${hatch}-range`}
                            className="input mono w-40!"
                            key={selected}
                            defaultValue={selected}
                            onChange={(event) => {
                                const typed = runs(event.target.value)[0];
                                if (
                                    typed !== undefined &&
                                    has([[first, last, 1]], typed[0]) &&
                                    has([[first, last, 1]], typed[1])
                                ) {
                                    setMark([typed[0], typed[1]]);
                                }
                            }}
                        />
                        <CopyButton text={selected}>Copy</CopyButton>
                    </span>
                )}
            </figcaption>
            <p className="sr-only">
                {WORST.filter((each) => each !== 'none')
                    .map((each) => SAYS[each])
                    .join(', ')}{' '}
                are told apart by shape and shade.
            </p>
        </figure>
    );
}
