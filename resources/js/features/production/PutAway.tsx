import { router } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import type { AboutPage } from '../../types/views';

/** A code, and what is done with it. */
export function ByCode({
    label,
    button,
    onSend,
    fault,
}: {
    label: string;
    button: string;
    onSend: (code: string) => void;
    fault: string | null;
}) {
    const [code, setCode] = useState('');

    return (
        <form
            className="flex flex-wrap items-center gap-3 py-2"
            onSubmit={(event) => {
                event.preventDefault();
                onSend(code);
            }}
        >
            <label className="flex items-center gap-2">
                {label}
                <input className="input mono w-56!" value={code} onChange={(event) => setCode(event.target.value)} />
            </label>
            <button className="btn" disabled={code === ''}>
                {button}
            </button>
            <Fault says={fault} className="w-full" />
        </form>
    );
}

/** Out of the way, back, and for good. */
export function PutAway({ page }: { page: AboutPage }) {
    const deliverable = page.deliverable.id;
    const { fault, send } = useAction('It could not be deleted. Try again.');

    return page.isAway ? (
        <>
            <p className="flex flex-wrap items-center gap-3 py-2">
                It is put away.
                <button className="btn" onClick={() => router.delete(to('away.back', { deliverable }))}>
                    Put it back
                </button>
            </p>
            <ByCode
                label={`To delete it with its ${page.checks} checks, type ${page.about.code}`}
                button="Delete"
                fault={fault}
                onSend={(code) => send('delete', to('away.forget', { deliverable }), { code }, { names: ['code'] })}
            />
        </>
    ) : (
        <p className="flex flex-wrap items-center gap-3 py-2">
            <button className="btn" onClick={() => router.post(to('away', { deliverable }))}>
                Put it away
            </button>
            <span className="text-faint">It is in no list then, and can be put back.</span>
        </p>
    );
}
