import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Radios } from '../../parts/Field';
import { runs } from '../../lib/frames';
import type { LookPage } from '../../types/views';
import { pictureOf } from './picture';
import { beginSphere, MOST_OPEN, turned, type Aim, type Draw } from './around';

const MODES = [
    ['turn', 'as a view that turns'],
    ['seam', 'flat, its seam in the middle'],
    ['flat', 'flat'],
] as const;

type Mode = (typeof MODES)[number][0];

const STEP = 6;

const KEYS: Record<string, [number, number, number]> = {
    ArrowLeft: [-STEP, 0, 0],
    ArrowRight: [STEP, 0, 0],
    ArrowUp: [0, STEP, 0],
    ArrowDown: [0, -STEP, 0],
    '+': [0, 0, -STEP],
    '-': [0, 0, STEP],
};

/** Draws a picture into a canvas, from wherever one looks, where the browser can. */
function useDrawn(src: string, mode: Mode, aim: Aim) {
    const canvas = useRef<HTMLCanvasElement>(null);
    const [image, setImage] = useState<HTMLImageElement | null>(null);
    const [can, setCan] = useState(true);
    useEffect(() => {
        const loading = new Image();
        loading.onload = () => setImage(loading);
        loading.src = src;

        return () => {
            loading.onload = null;
        };
    }, [src]);
    const draw = useRef<Draw | null>(null);
    useEffect(() => {
        if (canvas.current !== null && image !== null) {
            draw.current = beginSphere(canvas.current, image);
            setCan(draw.current !== null);
        }
    }, [image]);
    useEffect(() => draw.current?.(mode, aim), [image, mode, aim]);

    return { canvas, can, isThere: image !== null };
}

/** A lat-long picture as one stands in it, and flat with its seam in the middle, where a break in it is seen. */
export function Sphere({ page, layer, frame }: { page: LookPage; layer: string; frame: number }) {
    const [mode, setMode] = useState<Mode>('turn');
    const [aim, setAim] = useState<Aim>({ across: 0, up: 0, open: MOST_OPEN });
    const from = useRef<{ x: number; y: number } | null>(null);
    const shown = { check: page.check, part: page.part, pass: page.pass, frame, layer };
    const { canvas, can, isThere } = useDrawn(pictureOf(shown, true), mode, aim);
    const keys = (event: KeyboardEvent) => {
        const by = KEYS[event.key];
        if (by !== undefined) {
            event.preventDefault();
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
        <section className="px-6 pt-3" aria-label={`Frame ${frame}, all around`}>
            <p role="group" aria-label="How it is shown" className="flex flex-wrap gap-x-4">
                <Radios name="around" words={MODES} chosen={mode} onChoose={setMode} />
            </p>
            {can ? (
                <canvas
                    ref={canvas}
                    width={1024}
                    height={512}
                    tabIndex={0}
                    role="img"
                    aria-label={`Frame ${frame}. The arrows turn the view, + and − narrow and widen it.`}
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
                <p className="text-faint">This browser has no drawing of that kind (WebGL).</p>
            )}
            <p className="text-[13px] text-faint" role="status">
                {!isThere && 'The picture is on its way. '}
                frame <span className="mono">{frame}</span>
                {mode === 'turn' && `, looking ${Math.round(aim.across)}° across and ${Math.round(aim.up)}° up`}
            </p>
        </section>
    );
}

/** Which frame is seen: the first that is there, unless one was chosen. */
export const sphereFrame = (page: LookPage, frame: number): number =>
    runs(page.present).some(([first, last]) => frame >= first && frame <= last)
        ? frame
        : (runs(page.present)[0]?.[0] ?? frame);
