import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { to } from '../../lib/route';
import type { PlaceShown } from '../../types/views';

/** Where one is signed in, and a way to be so nowhere else. */
export function Places({ places }: { places: PlaceShown[] }) {
    return (
        <>
            <ul>
                {places.map((place) => (
                    <li
                        key={`${place.with} ${place.from} ${place.seen} ${place.isHere}`}
                        className="flex flex-wrap gap-x-4 border-b border-rule py-1"
                    >
                        <span>{place.with}</span>
                        <span className="mono text-[13px]">{place.from}</span>
                        <span className="text-faint">{place.isHere ? t`here` : place.seen}</span>
                    </li>
                ))}
            </ul>
            <p className="pt-2">
                <button
                    type="button"
                    className="btn"
                    onClick={() => router.post(to('sign-out.elsewhere'), {}, { preserveScroll: true })}
                >
                    <Trans>Sign out everywhere else</Trans>
                </button>
            </p>
        </>
    );
}
