import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { Invitation } from '../features/people/Invitation';
import { Kept } from '../features/people/Kept';
import { Links } from '../features/people/Links';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import { LedgerHead } from '../parts/LedgerHead';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { PeoplePage } from '../types/views';

type Member = PeoplePage['members'][number];

function MemberLine({ member, page }: { member: Member; page: PeoplePage }) {
    const of = { production: page.book.production.id, membership: member.id };
    const drop = () => {
        if (window.confirm(t`Take ${member.name} off ${page.book.production.name}? They see nothing of it then.`)) {
            router.delete(to('people.drop', of), { preserveScroll: true });
        }
    };

    return (
        <tr>
            <th scope="row" className="[overflow-wrap:anywhere]">
                {member.name}{' '}
                {member.isReader && (
                    <span className="aside">
                        <Trans>you</Trans>
                    </span>
                )}
                <span className="block text-[13px] font-normal text-faint">{member.email}</span>
            </th>
            <td className="column mono">
                {member.handle}
                {member.number !== null && (
                    <span className="block text-[13px] text-faint" title={t`in another system`}>
                        {member.number}
                    </span>
                )}
            </td>
            <td className="column">
                <select
                    className="select w-40!"
                    aria-label={t`Role of ${member.name}`}
                    value={member.role}
                    onChange={(event) =>
                        router.patch(to('people.role', of), { role: event.target.value }, { preserveScroll: true })
                    }
                >
                    {page.roles.map((role) => (
                        <option key={role}>{role}</option>
                    ))}
                </select>
            </td>
            <td className="column mono">{member.owes}</td>
            <td className="column">
                <button type="button" className="link" onClick={drop}>
                    <Trans>Remove</Trans>
                </button>
                {(member.role === 'learner' || member.role === 'artist') && (
                    <Kept production={of.production} membership={member.id} name={member.name} />
                )}
            </td>
        </tr>
    );
}

const day = (moment: string): string => new Date(moment).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });

function Invited({ page }: { page: PeoplePage }) {
    const { invited } = page;

    return invited.length === 0 ? null : (
        <section className="pt-6">
            <Heading>
                <Trans>Invited, and not here yet</Trans>
            </Heading>
            <ul>
                {invited.map(({ id, name, email, role, until }) => (
                    <li key={id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
                        <span>{[name, email].filter(Boolean).join(', ') || t`anybody with the link`}</span>
                        <span className="text-faint">
                            <Trans>
                                as {role}, until {day(until)}
                            </Trans>
                        </span>
                        <button
                            type="button"
                            className="link ml-auto"
                            onClick={() =>
                                router.delete(
                                    to('invitation.drop', { production: page.book.production.id, invitation: id }),
                                    { preserveScroll: true },
                                )
                            }
                        >
                            <Trans>Take the link back</Trans>
                        </button>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** Who belongs to a production, and as what; and links for those who are to. */
export default function People(page: PeoplePage) {
    const { book, members, roles, fresh } = page;

    return (
        <Book title={t`${book.production.name}, people`} book={book}>
            <ProductionFolios book={book} at="people" />
            <div className="px-6 pb-10">
                <Links fresh={fresh} />
                <table className="ledger mt-2">
                    <LedgerHead
                        columns={[
                            [t`who`, '36%'],
                            [t`in names`, '14%'],
                            [t`is`, '22%'],
                            [t`owes`, '10%'],
                            [
                                <span className="sr-only">
                                    <Trans>what to do</Trans>
                                </span>,
                                '18%',
                            ],
                        ]}
                    />
                    <tbody>
                        {members.map((member) => (
                            <MemberLine key={member.id} member={member} page={page} />
                        ))}
                    </tbody>
                </table>
                <Invited page={page} />
                <Heading className="mt-6">
                    <Trans>Invite</Trans>
                </Heading>
                <Invitation production={book.production.id} roles={roles} />
            </div>
        </Book>
    );
}
