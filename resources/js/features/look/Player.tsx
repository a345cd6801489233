import { t } from '@lingui/core/macro';
import { useEffect, useRef, useState } from 'react';
import { runs } from '../../lib/frames';
import type { LookPage } from '../../types/views';
import { at, count } from './look';
import { pictureOf } from './picture';

/** So many small pictures are held at once. */
const MOST = 600;

/** Where playing is asked for and no rate is, it is told. */
const USUAL: [number, number] = [24, 1];

/** Pictures as they come; those that cannot be had are left out. */
function useFrames(page: LookPage, layer: string): { pictures: (HTMLImageElement | null)[]; ready: number } {
    const [ready, setReady] = useState(0);
    const [pictures] = useState(() => {
        const there = runs(page.present);
        const { check, part, pass } = page;

        return Array.from({ length: Math.min(MOST, count(there)) }, (_, place) => {
            const picture = new Image();
            const done = () => setReady((was) => was + 1);
            picture.onload = done;
            picture.onerror = done;
            picture.src = pictureOf({ check, part, pass, frame: at(there, place) ?? 0, layer });

            return picture;
        });
    });

    return { pictures, ready };
}

/** Frames one after another at their own rate, from small pictures. */
export function Player({ page, layer }: { page: LookPage; layer: string }) {
    const { pictures, ready } = useFrames(page, layer);
    const [rate, below] = page.rate ?? USUAL;
    const there = runs(page.present);
    const [place, setPlace] = useState(0);
    const [plays, setPlays] = useState(false);
    const canvas = useRef<HTMLCanvasElement>(null);
    const many = pictures.length;

    useEffect(() => {
        if (!plays) {
            return;
        }
        const [began, from] = [performance.now(), place];
        let timer = requestAnimationFrame(function turn(now) {
            // by the clock and not by the count, so that the pace holds on a slow screen
            setPlace((from + Math.floor(((now - began) * rate) / (1000 * below))) % many);
            timer = requestAnimationFrame(turn);
        });

        return () => cancelAnimationFrame(timer);
        // it goes on from where it was when it was begun
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [plays, many, rate, below]);

    useEffect(() => {
        const picture = pictures[place];
        const on = canvas.current;
        if (picture?.complete !== true || picture.naturalWidth === 0 || on === null) {
            return;
        }
        on.width = picture.naturalWidth;
        on.height = picture.naturalHeight;
        on.getContext('2d')?.drawImage(picture, 0, 0);
    }, [place, pictures, ready]);

    return (
        <div className="px-6 pt-3">
            <canvas
                ref={canvas}
                role="img"
                aria-label={t`Frame ${at(there, place) ?? ''}`}
                className="block w-full max-w-[640px] border border-rule bg-base-200"
            />
            <p className="flex flex-wrap items-center gap-3 pt-2">
                <button
                    type="button"
                    className="btn btn-primary"
                    disabled={ready < many}
                    onClick={() => setPlays(!plays)}
                >
                    {plays ? t`Hold` : t`Play`}
                </button>
                <input
                    type="range"
                    className="w-72 accent-primary"
                    min={0}
                    max={Math.max(0, many - 1)}
                    value={place}
                    aria-label={t`Frame`}
                    aria-valuetext={t`frame ${at(there, place) ?? ''}`}
                    onChange={(event) => {
                        setPlays(false);
                        setPlace(Number(event.target.value));
                    }}
                />
                <span className="mono">{at(there, place)}</span>
                <span className="text-[13px] text-faint" role="status">
                    {ready < many
                        ? t`${ready} of ${many} pictures are here`
                        : t`${below === 1 ? rate : `${rate}/${below}`} frames a second${
                              page.rate === null ? t`, since none is asked` : ''
                          }`}
                    {count(there) > MOST && t`, the first ${MOST} of ${count(there)}`}
                </span>
            </p>
        </div>
    );
}
