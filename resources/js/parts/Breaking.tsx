import { Fragment } from 'react';

/** Long names break after `_`, `.`, `-` and `/`, and nowhere else first. */
export function Breaking({ text }: { text: string }) {
    return (
        <span className="[overflow-wrap:anywhere]">
            {text.split(/(?<=[_.\-/,])/).map((piece, at) => (
                <Fragment key={at}>
                    {at > 0 && <wbr />}
                    {piece}
                </Fragment>
            ))}
        </span>
    );
}
