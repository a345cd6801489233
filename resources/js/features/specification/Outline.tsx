import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Ruler, ShapeShown } from '../../types/views';

/** The picture's shape to scale as it is shown, in a 16:9 frame where that leaves bars. */
export function Outline({ shape }: { shape: ShapeShown }) {
    const wide = 16 / 9;
    const own = shape.width / shape.height;
    // the frame that holds it, both to one scale
    const [fw, fh] = own >= wide ? [shape.width, shape.width / wide] : [shape.height * wide, shape.height];
    const unit = Math.min(232 / fw, 130 / fh);
    const [w, h] = [Math.max(4, shape.width * unit), Math.max(4, shape.height * unit)];

    return (
        <figure className="pt-2">
            <svg
                width="236"
                height={fh * unit + 4}
                role="img"
                aria-label={t`the shape of the picture, ${shape.aspect} to 1, ${shape.spoken}`}
            >
                <rect
                    x="2"
                    y="2"
                    width={fw * unit}
                    height={fh * unit}
                    fill="var(--color-rule)"
                    stroke="var(--edge)"
                    strokeDasharray="3 3"
                />
                <rect
                    x={2 + (fw * unit - w) / 2}
                    y={2 + (fh * unit - h) / 2}
                    width={w}
                    height={h}
                    fill="var(--color-sheet)"
                    stroke="var(--color-ink)"
                    strokeWidth="1.5"
                />
                <text
                    x={2 + (fw * unit) / 2}
                    y={6 + (fh * unit) / 2}
                    textAnchor="middle"
                    className="mono"
                    fontSize="12"
                    fill="var(--color-secondary)"
                >
                    {shape.aspect}
                </text>
            </svg>
            <figcaption className="text-[12.5px] text-faint">
                <Trans>{shape.spoken}; the dashed frame is 16:9</Trans>
            </figcaption>
        </figure>
    );
}

/** Cut and delivered range on one ruler. */
export function RangeRuler({ ruler }: { ruler: Ruler }) {
    const [first, last] = ruler.delivered;
    const long = Math.max(1, last - first + 1);
    const x = (frame: number) => 2 + ((Math.max(first, Math.min(last + 1, frame)) - first) / long) * 232;
    const handles = ruler.head + ruler.tail > 0;

    return (
        <figure className="pt-2">
            <svg
                width="236"
                height={handles ? 46 : 34}
                role="img"
                aria-label={
                    t`frames ${first} to ${last}` +
                    (handles ? t`, of them ${ruler.cut[0]} to ${ruler.cut[1]} in the cut` : '')
                }
            >
                {handles && (
                    <>
                        <text x={x(ruler.cut[0])} y="10" className="mono" fontSize="11" fill="var(--color-secondary)">
                            {ruler.cut[0]}
                        </text>
                        <text
                            x={x(ruler.cut[1] + 1)}
                            y="10"
                            textAnchor="end"
                            className="mono"
                            fontSize="11"
                            fill="var(--color-secondary)"
                        >
                            {ruler.cut[1]}
                        </text>
                    </>
                )}
                <g transform={`translate(0 ${handles ? 15 : 2})`}>
                    <rect x="2" y="0" width="232" height="11" fill="none" stroke="var(--edge)" />
                    <rect
                        x={x(ruler.cut[0])}
                        y="0"
                        width={Math.max(1, x(ruler.cut[1] + 1) - x(ruler.cut[0]))}
                        height="11"
                        fill="color-mix(in oklab, var(--color-primary) 35%, var(--color-base-100))"
                        stroke="var(--color-primary)"
                    />
                    <text x="2" y="25" className="mono" fontSize="11" fill="var(--color-secondary)">
                        {first}
                    </text>
                    <text x="234" y="25" textAnchor="end" className="mono" fontSize="11" fill="var(--color-secondary)">
                        {last}
                    </text>
                </g>
            </svg>
        </figure>
    );
}
