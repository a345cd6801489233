import { runs, span } from '../lib/frames';
import type { AskedLine } from '../types/book';

/** Cut range and handles on one ruler, where handles are asked. */
export function RangeRuler({ lines }: { lines: AskedLine[] }) {
    const cut = span(runs(lines.find((line) => line.id === 'time.range')?.value ?? ''));
    const [head, tail] = (lines.find((line) => line.id === 'time.handles')?.value ?? '').split('+').map(Number);
    if (cut === null || head === undefined || tail === undefined || head + tail === 0) {
        return null;
    }
    const [first, last] = [cut[0] - head, cut[1] + tail];
    const x = (frame: number) => ((frame - first) / (last - first + 1)) * 236;

    return (
        <figure className="pt-2">
            <svg width="240" height="44" role="img" aria-label={`cut ${cut[0]} to ${cut[1]}, with handles ${first} to ${last}`}>
                <rect x="1" y="8" width={x(last + 1)} height="12" fill="none" stroke="var(--edge)" />
                <rect x={1 + x(cut[0])} y="8" width={x(cut[1] + 1) - x(cut[0])} height="12" fill="color-mix(in oklab, var(--color-primary) 35%, var(--color-base-100))" stroke="var(--color-primary)" />
                <text x="1" y="36" className="mono" fontSize="11" fill="var(--color-secondary)">{first}</text>
                <text x="237" y="36" textAnchor="end" className="mono" fontSize="11" fill="var(--color-secondary)">{last}</text>
            </svg>
        </figure>
    );
}
