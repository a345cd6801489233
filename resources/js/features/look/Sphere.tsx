import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useState } from 'react';
import { runs } from '../../lib/frames';
import { SphereView } from '../../parts/SphereView';
import type { LookPage } from '../../types/views';
import { pictureOf } from './picture';

function useImage(src: string): HTMLImageElement | null {
    const [image, setImage] = useState<HTMLImageElement | null>(null);
    useEffect(() => {
        const loading = new Image();
        loading.onload = () => setImage(loading);
        loading.src = src;

        return () => {
            loading.onload = null;
        };
    }, [src]);

    return image;
}

/** A lat-long frame all around. */
export function Sphere({ page, layer, frame }: { page: LookPage; layer: string; frame: number }) {
    const shown = { check: page.check, part: page.part, pass: page.pass, frame, layer };
    const image = useImage(pictureOf(shown, true));

    return (
        <section className="px-6 pt-3" aria-label={t`Frame ${frame}, all around`}>
            <SphereView source={image} name={t`Frame ${frame}`} />
            <p className="text-[13px] text-faint">
                <Trans>
                    frame <span className="mono">{frame}</span>
                </Trans>
            </p>
        </section>
    );
}

/** Which frame is seen: the first that is there, unless one was chosen. */
export const sphereFrame = (page: LookPage, frame: number): number =>
    runs(page.present).some(([first, last]) => frame >= first && frame <= last)
        ? frame
        : (runs(page.present)[0]?.[0] ?? frame);
