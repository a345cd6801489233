import { useState } from 'react';

export function CopyButton({ text, children }: { text: string; children: string }) {
    const [told, setTold] = useState<string | null>(null);
    const copy = () => {
        const done = () => {
            setTold('Copied');
            setTimeout(() => setTold(null), 2000);
        };
        // a page that is not served over https has no clipboard of its own
        if (navigator.clipboard === undefined) {
            const field = document.createElement('textarea');
            field.value = text;
            document.body.append(field);
            field.select();
            document.execCommand('copy');
            field.remove();
            done();
        } else {
            navigator.clipboard.writeText(text).then(done, () => setTold('Select and copy it by hand'));
        }
    };

    return (
        <button type="button" className="btn" onClick={copy}>
            <span aria-live="polite">{told ?? children}</span>
        </button>
    );
}
