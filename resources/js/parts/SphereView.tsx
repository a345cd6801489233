import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { beginSphere, MOST_OPEN, turned, type Aim, type Mode, type Sphere } from '../lib/sphere';
import { Radios } from './Field';

const MODES = [
    ['turn', t`as a view that turns`],
    ['seam', t`flat, its seam in the middle`],
    ['flat', 'flat'],
] as const;

const STEP = 6;

const KEYS: Record<string, [number, number, number]> = {
    ArrowLeft: [-STEP, 0, 0],
    ArrowRight: [STEP, 0, 0],
    ArrowUp: [0, STEP, 0],
    ArrowDown: [0, -STEP, 0],
    '+': [0, 0, -STEP],
    '-': [0, 0, STEP],
};

/** Draws what a picture shows just now into a canvas, from wherever one looks, where the browser can. */
function useDrawn(source: TexImageSource | null, moment: number, mode: Mode, aim: Aim) {
    const canvas = useRef<HTMLCanvasElement>(null);
    const sphere = useRef<Sphere | null>(null);
    const [can, setCan] = useState(true);
    useEffect(() => {
        if (canvas.current !== null && source !== null) {
            sphere.current = beginSphere(canvas.current, source);
            setCan(sphere.current !== null);
        }
    }, [source]);
    useEffect(() => {
        if (source !== null) {
            sphere.current?.take(source);
        }
    }, [source, moment]);
    useEffect(() => sphere.current?.draw(mode, aim), [source, moment, mode, aim]);

    return { canvas, can };
}

/** A lat-long picture as one stands in it, and flat with its seam in the middle, where a break in it is seen. */
export function SphereView({
    source,
    moment = 0,
    name,
}: {
    /** what is drawn; null while it is on its way */
    source: TexImageSource | null;
    /** another one whenever it shows something else */
    moment?: number;
    /** of what is shown */
    name: string;
}) {
    const [mode, setMode] = useState<Mode>('turn');
    const [aim, setAim] = useState<Aim>({ across: 0, up: 0, open: MOST_OPEN });
    const from = useRef<{ x: number; y: number } | null>(null);
    const { canvas, can } = useDrawn(source, moment, mode, aim);
    const keys = (event: KeyboardEvent) => {
        const by = KEYS[event.key];
        if (by !== undefined) {
            event.preventDefault();
            event.stopPropagation();
            setAim(turned(aim, ...by));
        }
    };
    const drag = (event: PointerEvent<HTMLCanvasElement>) => {
        if (from.current === null) {
            return;
        }
        const scale = aim.open / event.currentTarget.clientHeight;
        setAim(turned(aim, (from.current.x - event.clientX) * scale, (event.clientY - from.current.y) * scale, 0));
        from.current = { x: event.clientX, y: event.clientY };
    };

    return (
        <>
            <p role="group" aria-label={t`How it is shown`} className="flex flex-wrap gap-x-4">
                <Radios name="around" words={MODES} chosen={mode} onChoose={setMode} />
            </p>
            {can ? (
                <canvas
                    ref={canvas}
                    width={1024}
                    height={512}
                    tabIndex={0}
                    role="img"
                    aria-label={t`${name}. The arrows turn the view, + and − narrow and widen it.`}
                    className="mt-2 aspect-[2/1] w-full touch-none border border-rule bg-black"
                    onKeyDown={keys}
                    onPointerDown={(event) => {
                        event.currentTarget.setPointerCapture(event.pointerId);
                        from.current = { x: event.clientX, y: event.clientY };
                    }}
                    onPointerMove={drag}
                    onPointerUp={() => {
                        from.current = null;
                    }}
                />
            ) : (
                <p className="text-faint">
                    <Trans>This browser has no drawing of that kind (WebGL).</Trans>
                </p>
            )}
            <p className="text-[13px] text-faint" role="status">
                {source === null && t`The picture is on its way. `}
                {mode === 'turn' && t`looking ${Math.round(aim.across)}° across and ${Math.round(aim.up)}° up`}
            </p>
        </>
    );
}
