import { router } from '@inertiajs/react';
import { useState } from 'react';

export interface Broken {
    id: number;
    says: string;
}

/** Says why the newest check came to no end, with the way to begin it again. */
export function BrokenOff({ broken }: { broken: Broken }) {
    const [busy, setBusy] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    const again = () => {
        setFault(null);
        router.post(
            `/checks/${broken.id}/again`,
            {},
            {
                onStart: () => setBusy(true),
                onFinish: () => setBusy(false),
                onError: (errors) => setFault(Object.values(errors)[0] ?? 'This could not be begun again.'),
            },
        );
    };

    return (
        <div role="alert" className="mx-6 mt-3 flex flex-wrap items-center gap-3 border border-red px-3 py-2 text-red">
            <span>{broken.says}</span>
            <button type="button" className="btn" disabled={busy} onClick={again}>
                {busy ? 'Checking…' : 'Begin again'}
            </button>
            {fault !== null && <span>{fault}</span>}
        </div>
    );
}
