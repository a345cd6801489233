import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Breaking } from '../../parts/Breaking';
import type { BringPage } from '../../types/views';
import { wayOf } from './go';
import { needsOwner, type Lot } from './lots';

type Deliverables = BringPage['deliverables'];

/** Whose it is: known, or asked. */
function Whose({
    lot,
    deliverables,
    chosen,
    onChoose,
}: {
    lot: Lot;
    deliverables: Deliverables;
    chosen: number | null;
    onChoose: (deliverable: number | null) => void;
}) {
    const likely = deliverables.filter(({ id }) => lot.perhaps.includes(id));
    const others = deliverables.filter(({ id }) => !lot.perhaps.includes(id));
    const option = ({ id, code, owner }: Deliverables[number]) => (
        <option key={id} value={id}>
            {code}
            {owner === null ? '' : `, ${owner}`}
        </option>
    );

    return (
        <select
            aria-label={t`Whose ${lot.label} is`}
            className="select w-auto! max-w-full"
            value={chosen ?? ''}
            onChange={(event) => onChoose(event.target.value === '' ? null : Number(event.target.value))}
        >
            <option value="">
                <Trans>say whose it is</Trans>
            </option>
            {likely.length > 0 && <optgroup label={t`likely`}>{likely.map(option)}</optgroup>}
            {likely.length > 0 ? <optgroup label={t`others`}>{others.map(option)}</optgroup> : others.map(option)}
        </select>
    );
}

/** Why there is nothing to be done with it. */
function noWay(lot: Lot, decides: boolean): string {
    if (lot.kind === 'of-system') {
        return t`nothing to do`;
    }
    if (lot.kind === 'document') {
        return t`written by this program, and read by others`;
    }

    return wayOf(lot, true) !== null && !decides ? t`for who decides here` : t`nothing here reads it`;
}

/** One thing that was brought: what it is, whose, and the one thing to do with it. */
export function LotLine({
    lot,
    production,
    decides,
    deliverables,
}: {
    lot: Lot;
    production: number;
    decides: boolean;
    deliverables: Deliverables;
}) {
    const [chosen, setChosen] = useState(lot.deliverable);
    const way = wayOf(lot, decides);
    const isOwned = needsOwner(lot);

    return (
        <tr>
            <th scope="row" className="mono font-normal!">
                <Breaking text={lot.label} />
                {lot.things.length > 1 && (
                    <span className="aside">
                        <Trans> and {lot.things.length - 1} more</Trans>
                    </span>
                )}
            </th>
            <td className="column">
                <Breaking text={lot.says} />
            </td>
            <td className="column">
                {isOwned && <Whose lot={lot} deliverables={deliverables} chosen={chosen} onChoose={setChosen} />}
            </td>
            <td className="column">
                {way === null ? (
                    <span className="text-faint">{noWay(lot, decides)}</span>
                ) : (
                    <button
                        type="button"
                        className="btn"
                        disabled={isOwned && chosen === null}
                        onClick={() => way.go(lot, production, chosen ?? 0)}
                    >
                        {way.does}
                    </button>
                )}
            </td>
        </tr>
    );
}
