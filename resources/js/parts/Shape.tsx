import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
/** Asked and found outlines to one scale, centred on each other. */
export function Shape({ asked, found }: { asked: string; found: string }) {
    const read = (text: string) => text.split('x').map(Number);
    const [aw = 0, ah = 0] = read(asked);
    const [fw = 0, fh = 0] = read(found);
    if (!(aw > 0 && ah > 0 && fw > 0 && fh > 0)) {
        return null;
    }
    const [w, h] = [Math.max(aw, fw), Math.max(ah, fh)];
    const unit = Math.min(236 / w, 150 / h);
    const box = (width: number, height: number) => ({
        x: 2 + ((w - width) / 2) * unit,
        y: 2 + ((h - height) / 2) * unit,
        width: width * unit,
        height: height * unit,
    });

    return (
        <figure className="note">
            <svg
                width={w * unit + 4}
                height={h * unit + 4}
                role="img"
                aria-label={t`asked ${asked}, found ${found}`}
                className="max-w-full"
            >
                <rect {...box(aw, ah)} fill="none" stroke="var(--color-ink)" strokeWidth="1.5" />
                <rect
                    {...box(fw, fh)}
                    fill="color-mix(in oklab, var(--color-error) 10%, transparent)"
                    stroke="var(--color-error)"
                    strokeWidth="1.5"
                    strokeDasharray="4 3"
                />
            </svg>
            <figcaption className="mt-1 font-sans text-[12.5px] text-faint">
                <Trans>
                    asked <span className="mono text-ink">{asked}</span>, found{' '}
                    <span className="mono text-red">{found}</span>
                </Trans>
            </figcaption>
        </figure>
    );
}
