import { t } from '@lingui/core/macro';
import { useId, type KeyboardEvent, type PointerEvent } from 'react';
import { SAYS, ticks, WIDTH, type FrameState, type Strip } from './strip';

const FILLS: Record<Exclude<FrameState, 'cut'>, string> = {
    whole: 'color-mix(in oklab, var(--color-success) 45%, var(--color-base-100))',
    wrong: 'color-mix(in oklab, var(--color-error) 38%, var(--color-base-100))',
    missing: 'var(--color-base-100)',
    extra: 'color-mix(in oklab, var(--color-warning) 45%, var(--color-base-100))',
    none: 'transparent',
};

/** What frames that are cut short are filled with. */
function Hatch({ id }: { id: string }) {
    return (
        <defs>
            <pattern id={id} width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <rect width="4" height="4" fill="var(--color-base-100)" />
                <rect width="2" height="4" fill="var(--color-error)" />
            </pattern>
        </defs>
    );
}

/** How one state is drawn: by shape as well as by shade. */
function look(state: FrameState, hatch: string) {
    return {
        fill: state === 'cut' ? `url(#${hatch})` : FILLS[state],
        stroke: state === 'cut' || state === 'missing' ? 'var(--color-error)' : 'none',
        strokeWidth: state === 'missing' ? 0.8 : 1,
    };
}

/** The same, for a legend. */
export function Swatch({ state }: { state: FrameState }) {
    const hatch = useId();

    return (
        <svg width="12" height="14" aria-hidden="true">
            <Hatch id={hatch} />
            <rect x="1" y="1" width="10" height="12" {...look(state, hatch)} />
        </svg>
    );
}

/** One cell a frame, binned where they are many. */
function Cells({ strip, hatch }: { strip: Strip; hatch: string }) {
    const cell = WIDTH / strip.cells;
    const gap = cell > 5 ? 1 : 0.5;

    return Array.from({ length: strip.cells }, (_, n) => {
        const state = strip.state(strip.frameAt(n), strip.frameAt(n + 1) - 1);

        return (
            <rect
                key={n}
                x={n * cell + gap / 2}
                y={28}
                width={Math.max(1, cell - gap)}
                height={20}
                {...look(state, hatch)}
            />
        );
    });
}

/** Values as a fine line above the cells: sizes drawn through, render times dashed. */
function Line({ strip, values, dashed = false }: { strip: Strip; values: [number, number][]; dashed?: boolean }) {
    const largest = Math.max(1, ...values.map(([, value]) => value));
    const points = values.map(
        ([frame, value]) => `${strip.x(frame).toFixed(1)},${(22 - (value / largest) * 18).toFixed(1)}`,
    );

    return values.length < 2 ? null : (
        <polyline
            points={points.join(' ')}
            fill="none"
            stroke={dashed ? 'var(--color-primary)' : 'var(--color-secondary)'}
            strokeWidth="1"
            strokeDasharray={dashed ? '4 3' : undefined}
        />
    );
}

function Ticks({ strip }: { strip: Strip }) {
    const ends: Record<number, { x: number; anchor: 'start' | 'end' }> = {
        [strip.last]: { x: WIDTH, anchor: 'end' },
        [strip.first]: { x: 0, anchor: 'start' },
    };

    return ticks(strip).map((tick) => (
        <text
            key={tick}
            x={ends[tick]?.x ?? strip.x(tick)}
            y={62}
            textAnchor={ends[tick]?.anchor ?? 'middle'}
            className="mono"
            fontSize="11"
            fill="var(--color-secondary)"
        >
            {tick}
        </text>
    ));
}

/** The range that is selected. */
function Selection({ strip, mark }: { strip: Strip; mark: [number, number] }) {
    return (
        <rect
            x={((Math.min(...mark) - strip.first) / strip.count) * WIDTH}
            y={25}
            width={((Math.abs(mark[1] - mark[0]) + 1) / strip.count) * WIDTH}
            height={26}
            fill="none"
            stroke="var(--color-primary)"
            strokeWidth="2"
        />
    );
}

/** A strip as a slider: pointer and keys go from frame to frame, and select a range. */
export function StripDrawing({
    strip,
    sizes,
    took,
    cursor,
    mark,
    hatch,
    onKey,
    onDown,
    onMove,
    onUp,
}: {
    strip: Strip;
    sizes: [number, number][];
    took: [number, number][];
    cursor: number | null;
    mark: [number, number] | null;
    hatch: string;
    onKey: (event: KeyboardEvent) => void;
    onDown: (frame: number) => void;
    onMove: (frame: number) => void;
    onUp: (frame: number) => void;
}) {
    const { first, last } = strip;
    const at = (event: PointerEvent<SVGSVGElement>) => {
        const box = event.currentTarget.getBoundingClientRect();

        return strip.clamp(first + Math.floor(((event.clientX - box.left) / box.width) * strip.count));
    };

    return (
        <svg
            viewBox={`0 0 ${WIDTH} 66`}
            className="block w-full touch-none select-none"
            role="slider"
            tabIndex={0}
            aria-label={t`Frame`}
            aria-valuemin={first}
            aria-valuemax={last}
            aria-valuenow={cursor ?? first}
            aria-valuetext={
                cursor === null ? t`${first} to ${last}` : `${cursor}: ${SAYS[strip.state(cursor, cursor)]}`
            }
            onKeyDown={onKey}
            onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                onDown(at(event));
            }}
            onPointerMove={(event) => onMove(at(event))}
            onPointerUp={(event) => onUp(at(event))}
        >
            <Hatch id={hatch} />
            <Line strip={strip} values={sizes} />
            <Line strip={strip} values={took} dashed />
            <Cells strip={strip} hatch={hatch} />
            {mark !== null && <Selection strip={strip} mark={mark} />}
            {cursor !== null && (
                <path d={`M${strip.x(cursor)} 24v28`} stroke="var(--color-base-content)" strokeWidth="1" />
            )}
            <Ticks strip={strip} />
        </svg>
    );
}
