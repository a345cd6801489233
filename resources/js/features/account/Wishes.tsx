import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../../lib/route';
import { LedgerHead } from '../../parts/LedgerHead';
import type { NoticesPage } from '../../types/views';

type Wish = NoticesPage['wishes'][number];

function Box({ label, on, onTurn }: { label: string; on: boolean; onTurn: (on: boolean) => void }) {
    // shown at once, while it is sent
    const [shown, setShown] = useState(on);

    return (
        <td className="column">
            <input
                type="checkbox"
                className="checkbox"
                aria-label={label}
                checked={shown}
                onChange={(event) => {
                    setShown(event.target.checked);
                    onTurn(event.target.checked);
                }}
            />
        </td>
    );
}

/** The browser's own leave to say something while nobody looks. */
function Browser() {
    const [state, setState] = useState('Notification' in window ? Notification.permission : 'denied');

    return state !== 'default' ? null : (
        <button type="button" className="link" onClick={() => void Notification.requestPermission().then(setState)}>
            <Trans>Let this browser tell me too</Trans>
        </button>
    );
}

/** What somebody wants to be told, in the page and by mail. */
export function Wishes({ wishes, mails }: Pick<NoticesPage, 'wishes' | 'mails'>) {
    const turn = (kind: string, way: 'page' | 'mail', on: boolean) => {
        const all = Object.fromEntries(
            wishes.map((wish) => [
                wish.kind,
                { page: wish.page, mail: wish.mail, ...(wish.kind === kind ? { [way]: on } : {}) },
            ]),
        );
        router.patch(to('notices.wish'), { wishes: all }, { preserveScroll: true });
    };
    const line = (wish: Wish) => (
        <tr key={wish.kind}>
            <th scope="row" className="font-normal!">
                {wish.says}
            </th>
            <Box label={t`${wish.says}: in the page`} on={wish.page} onTurn={(on) => turn(wish.kind, 'page', on)} />
            <Box label={t`${wish.says}: by mail`} on={wish.mail} onTurn={(on) => turn(wish.kind, 'mail', on)} />
        </tr>
    );

    return (
        <>
            <table className="ledger mt-1 max-w-[720px]">
                <LedgerHead
                    columns={[
                        [t`when`, '66%'],
                        [t`in the page`, '17%'],
                        [t`by mail`, '17%'],
                    ]}
                />
                <tbody>{wishes.map(line)}</tbody>
            </table>
            <p className="flex flex-wrap gap-4 pt-2 text-faint">
                {!mails && t`No mail leaves this installation; whoever runs it can set that up.`} <Browser />
            </p>
        </>
    );
}
