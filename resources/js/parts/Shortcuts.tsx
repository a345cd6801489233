import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useRef, useState } from 'react';
import { setSingleKeys, singleKeysOn } from '../lib/useKeys';

const KEYS: [string, string][] = [
    ['F6', t`from one part of the book to the next (always on)`],
    [t`Ctrl K`, t`find anything (always on)`],
    ['/', t`find in the index`],
    ['n  p', t`next and previous deliverable`],
    ['1  2  3  4  6', t`specification, scene, render, frames, submission`],
    ['j  k', t`on a board: next and previous line`],
    ['.  ,  +  −  Enter', t`on a frame strip: next and previous trouble, closer, further, show the frame`],
    ['a', t`on a specification: ask for more`],
    [t`Ctrl Z  Ctrl Y`, t`on a specification: take back, make again (always on)`],
    ['?', t`this list`],
];

export function Shortcuts({ onClose }: { onClose: () => void }) {
    const dialog = useRef<HTMLDialogElement>(null);
    const [on, setOn] = useState(singleKeysOn());

    useEffect(() => {
        dialog.current?.showModal();
    }, []);

    return (
        <dialog ref={dialog} onClose={onClose} aria-labelledby="keys-title" className="modal">
            <div className="modal-box">
                <h2 id="keys-title" className="title mb-3 text-[18px]">
                    <Trans>Keys</Trans>
                </h2>
                <dl className="grid grid-cols-[120px_1fr] gap-y-1.5">
                    {KEYS.map(([key, does]) => (
                        <div key={key} className="contents">
                            <dt className="mono">{key}</dt>
                            <dd>{does}</dd>
                        </div>
                    ))}
                </dl>
                <label className="mt-4 flex items-center gap-2">
                    <input
                        type="checkbox"
                        className="checkbox"
                        checked={on}
                        onChange={(event) => {
                            setSingleKeys(event.target.checked);
                            setOn(event.target.checked);
                        }}
                    />
                    <Trans>Single keys do this</Trans>
                </label>
                <form method="dialog" className="modal-action">
                    <button className="btn">
                        <Trans>Close</Trans>
                    </button>
                </form>
            </div>
        </dialog>
    );
}
