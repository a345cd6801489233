import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Heading } from '../../parts/Heading';
import type { BoardPage } from '../../types/views';

/** What was put away, to be put back. */
export function Away({ lines }: { lines: BoardPage['away'] }) {
    return lines.length === 0 ? null : (
        <section className="pt-6">
            <Heading>
                <Trans>Put away</Trans>
            </Heading>
            <ul>
                {lines.map(({ id, code, title }) => (
                    <li key={id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
                        <Link href={to('about', { deliverable: id })} className="link mono">
                            {code}
                        </Link>
                        <span className="text-faint">{title}</span>
                        <button
                            type="button"
                            className="link ml-auto"
                            onClick={() => router.delete(to('away.back', { deliverable: id }))}
                        >
                            <Trans>Put it back</Trans>
                        </button>
                    </li>
                ))}
            </ul>
        </section>
    );
}
