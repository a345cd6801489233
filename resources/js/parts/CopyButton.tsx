import { t } from '@lingui/core/macro';
import { useState } from 'react';

/** A page that is not served over https has no clipboard of its own. */
function hasClipboard(of: { clipboard?: Clipboard }): boolean {
    return of.clipboard !== undefined;
}

function copyFromField(text: string) {
    const field = document.createElement('textarea');
    field.value = text;
    document.body.append(field);
    field.select();
    // eslint-disable-next-line @typescript-eslint/no-deprecated -- nothing else copies on a page without https
    document.execCommand('copy');
    field.remove();
}

export function CopyButton({ text, children }: { text: string; children: string }) {
    const [told, setTold] = useState<string | null>(null);
    const copy = () => {
        const done = () => {
            setTold(t`Copied`);
            setTimeout(() => setTold(null), 2000);
        };
        if (hasClipboard(navigator)) {
            navigator.clipboard.writeText(text).then(done, () => setTold(t`Select and copy it by hand`));
        } else {
            copyFromField(text);
            done();
        }
    };

    return (
        <button type="button" className="btn" onClick={copy}>
            <span aria-live="polite">{told ?? children}</span>
        </button>
    );
}
