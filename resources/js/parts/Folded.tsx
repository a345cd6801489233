import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Breaking } from './Breaking';

/** A long pattern or list, folded to its beginning until somebody wants all of it. */
export function Folded({ text, most = 100 }: { text: string; most?: number }) {
    const [open, setOpen] = useState(false);
    if (text.length <= most * 1.3) {
        return <Breaking text={text} />;
    }
    const end = text.lastIndexOf(',', most);
    const head = text.slice(0, end > most / 2 ? end + 1 : most);

    return (
        <>
            <Breaking text={open ? text : `${head}…`} />{' '}
            <button
                type="button"
                className="link font-sans text-[12.5px]"
                aria-expanded={open}
                onClick={() => setOpen(!open)}
            >
                {open ? t`less` : t`all of it`}
            </button>
        </>
    );
}
