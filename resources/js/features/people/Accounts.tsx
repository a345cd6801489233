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
                {person.name} {person.isReader && <span className="aside">you</span>}
                {person.isDisabled && <span className="aside text-red">disabled</span>}
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
                    administrator
                </label>
            </td>
            <td className="column">
                <span className="flex flex-wrap gap-x-4">
                    <button
                        type="button"
                        className="link"
                        onClick={() => router.post(to('account.password', of), {}, { preserveScroll: true })}
                    >
                        New password…
                    </button>
                    <button type="button" className="link" onClick={() => set({ disabled: !person.isDisabled })}>
                        {person.isDisabled ? 'Enable' : 'Disable'}
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
                    ['who', '38%'],
                    ['in', '22%'],
                    ['runs it', '16%'],
                    [<span className="sr-only">what to do</span>, '24%'],
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
