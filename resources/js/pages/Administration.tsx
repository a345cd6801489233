import { Link, router } from '@inertiajs/react';
import { Accounts } from '../features/people/Accounts';
import { Links } from '../features/people/Links';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import type { AdministrationPage } from '../types/views';

function Productions({ productions }: Pick<AdministrationPage, 'productions'>) {
    return (
        <>
            <ul>
                {productions.map(({ id, code, name, kind, people, deliverables }) => (
                    <li key={id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
                        <span className="title text-[16px]">{name}</span>
                        <span className="aside">
                            {code}, {kind}
                        </span>
                        <span className="text-faint">
                            {people} {people === 1 ? 'person' : 'people'}, {deliverables} owed
                        </span>
                    </li>
                ))}
            </ul>
            <p className="pt-3">
                <Link className="btn" href={to('production.new')}>
                    Begin a production
                </Link>
            </p>
        </>
    );
}

function Work({ waiting, failed }: Pick<AdministrationPage, 'waiting' | 'failed'>) {
    return (
        <>
            <p className="pt-1">
                {waiting === 0 ? 'Nothing waits for its turn.' : `${waiting} wait for their turn.`}{' '}
                {failed.length === 0 && 'Nothing has failed.'}
            </p>
            <ul>
                {failed.map(({ id, what, why, at }) => (
                    <li key={id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
                        <span>{what}</span>
                        <span className="mono text-[13px] text-faint">{at}</span>
                        <span className="w-full text-red [overflow-wrap:anywhere]">{why}</span>
                        <button
                            type="button"
                            className="link"
                            onClick={() => router.post(to('failed.again', { failed: id }))}
                        >
                            Again
                        </button>
                        <button
                            type="button"
                            className="link"
                            onClick={() => router.delete(to('failed.drop', { failed: id }))}
                        >
                            Drop
                        </button>
                    </li>
                ))}
            </ul>
        </>
    );
}

/** The installation: its people, its productions, and how it stands. */
export default function Administration({ people, productions, health, waiting, failed, fresh }: AdministrationPage) {
    return (
        <Book title="Administration" book={null}>
            <div className="max-w-[980px] px-6 pb-10">
                <h1 className="title pt-4 text-[24px]">Administration</h1>
                <Links fresh={fresh === null ? [] : [{ name: 'New password', email: '', link: fresh }]} />
                <Heading className="mt-4">Productions</Heading>
                <Productions productions={productions} />
                <Heading className="mt-6">People</Heading>
                <p className="said py-1">
                    They are invited from the page of their production. Whoever is disabled does not get in; what they
                    did keeps their name.
                </p>
                <Accounts people={people} />
                <Heading className="mt-6">How it stands</Heading>
                <ul>
                    {health.map(({ what, says, well }) => (
                        <li key={what} className="flex gap-3 border-b border-rule py-1">
                            <span className="w-[170px]">{what}</span>
                            <span className={well ? '' : 'text-red'}>{says}</span>
                        </li>
                    ))}
                </ul>
                <Heading className="mt-6">Work</Heading>
                <Work waiting={waiting} failed={failed} />
            </div>
        </Book>
    );
}
