import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../../lib/route';
import type { AskedPart, OfferedSum } from '../../types/views';
import { Sum } from '../../parts/Sum';

/** One sum in the margin, begun with what is asked. */
export function MarginSum({ sums, parts }: { sums: OfferedSum[]; parts: AskedPart[] }) {
    const [word, setWord] = useState(sums[0]?.word ?? '');
    const [open, setOpen] = useState(false);
    const chosen = sums.find((each) => each.word === word);
    const value = (id: string) => parts[0]?.lines.find((line) => line.id === id)?.value;
    const frames = parts[0]?.consequences.find((line) => line.label === 'frames')?.value;
    const size = value('picture.resolution');
    const known: Record<string, Record<string, string | undefined>> = {
        lengths: { length: frames, rate: value('time.rate') },
        'picture-data': {
            size,
            channels: value('format.channels'),
            bits: value('format.bit_depth'),
            frames,
            rate: value('time.rate'),
        },
        'from-sample': { frames },
        'render-times': { frames },
        scales: { size },
        shapes: { size, pixels: value('picture.pixel_aspect') },
    };
    const given = Object.fromEntries(
        Object.entries(known[word] ?? {}).filter((pair): pair is [string, string] => pair[1] !== undefined),
    );

    return (
        <details
            className="mb-5 border-t border-ink pt-1"
            open={open}
            onToggle={(event) => setOpen(event.currentTarget.open)}
        >
            <summary className="aside cursor-pointer">
                <Trans>Calculator</Trans>
            </summary>
            {open && chosen !== undefined && (
                <>
                    <select
                        aria-label={t`Which sum`}
                        className="select my-1.5"
                        value={word}
                        onChange={(event) => setWord(event.target.value)}
                    >
                        {sums.map((each) => (
                            <option key={each.word} value={each.word}>
                                {each.title}
                            </option>
                        ))}
                    </select>
                    <Sum key={word} calculation={chosen} given={given} narrow />
                    <p className="pt-1 text-[13px]">
                        <Link href={to('calculator')} className="link">
                            <Trans>All sums on a page</Trans>
                        </Link>
                    </p>
                </>
            )}
        </details>
    );
}
