import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { to } from '../../lib/route';
import { LedgerHead } from '../../parts/LedgerHead';
import type { AdministrationPage } from '../../types/views';

type Person = AdministrationPage['people'][number];

function PersonLine({ person }: { person: Person }) {
    const of = { user: person.id };
    const set = (what: Record<string, boolean>) =>
        router.patch(to('account.update', of), what, { preserveScroll: true });

    return (
        <tr>
            <th scope="row" className="[overflow-wrap:anywhere]">
                {person.name}{' '}
                {person.isReader && (
                    <span className="aside">
                        <Trans>you</Trans>
                    </span>
                )}
                {person.isDisabled && (
                    <span className="aside text-red">
                        <Trans>disabled</Trans>
                    </span>
                )}
                <span className="block text-[13px] font-normal text-faint">{person.email}</span>
            </th>
            <td className="column mono">{person.productions.join(', ')}</td>
            <td className="column">
                <label className="flex items-center gap-1.5">
                    <input
                        type="checkbox"
                        className="checkbox"
                        checked={person.isAdministrator}
                        onChange={(event) => set({ administrator: event.target.checked })}
                    />
                    <Trans>administrator</Trans>
                </label>
            </td>
            <td className="column">
                <span className="flex flex-wrap gap-x-4">
                    <button
                        type="button"
                        className="link"
                        onClick={() => router.post(to('account.password', of), {}, { preserveScroll: true })}
                    >
                        <Trans>New password…</Trans>
                    </button>
                    {person.hasCodes && (
                        <button
                            type="button"
                            className="link"
                            onClick={() => router.delete(to('account.codes', of), { preserveScroll: true })}
                        >
                            <Trans>End one-time codes</Trans>
                        </button>
                    )}
                    <button type="button" className="link" onClick={() => set({ disabled: !person.isDisabled })}>
                        {person.isDisabled ? t`Enable` : t`Disable`}
                    </button>
                </span>
            </td>
        </tr>
    );
}

/** Everybody who has an account. */
export function Accounts({ people }: { people: Person[] }) {
    return (
        <table className="ledger mt-1">
            <LedgerHead
                columns={[
                    [t`who`, '38%'],
                    [t`in`, '22%'],
                    [t`runs it`, '16%'],
                    [
                        <span className="sr-only">
                            <Trans>what to do</Trans>
                        </span>,
                        '24%',
                    ],
                ]}
            />
            <tbody>
                {people.map((person) => (
                    <PersonLine key={person.id} person={person} />
                ))}
            </tbody>
        </table>
    );
}
