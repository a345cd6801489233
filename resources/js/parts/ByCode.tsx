import { useState } from 'react';
import { Fault } from './Fault';

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
