import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { Accounts } from '../features/people/Accounts';
import { Links } from '../features/people/Links';
import { ProductionLine } from '../features/people/ProductionLine';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import type { AdministrationPage } from '../types/views';

function Productions({ productions, deleted }: Pick<AdministrationPage, 'productions' | 'deleted'>) {
    return (
        <>
            <ul>
                {productions.map((line) => (
                    <ProductionLine key={line.id} line={line} />
                ))}
            </ul>
            {deleted.map(({ id, code, name, until }) => (
                <p key={id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
                    <span className="title text-[16px] text-faint line-through">{name}</span>
                    <span className="aside">
                        <Trans>
                            {code}, deleted; gone for good after {until}
                        </Trans>
                    </span>
                    <button
                        type="button"
                        className="link"
                        onClick={() => router.put(to('production.restore', { production: id }))}
                    >
                        <Trans>Bring back</Trans>
                    </button>
                </p>
            ))}
            <p className="flex flex-wrap gap-3 pt-3">
                <Link className="btn" href={to('production.new')}>
                    <Trans>Begin a production</Trans>
                </Link>
                <button type="button" className="btn" onClick={() => router.post(to('sample'))}>
                    <Trans>Add a sample to look around in</Trans>
                </button>
                <Link className="link self-center" href={to('acts')}>
                    <Trans>What was changed in the installation</Trans>
                </Link>
            </p>
        </>
    );
}

function Work({ waiting, failed }: Pick<AdministrationPage, 'waiting' | 'failed'>) {
    return (
        <>
            <p className="pt-1">
                {waiting === 0 ? t`Nothing waits for its turn.` : t`${waiting} wait for their turn.`}{' '}
                {failed.length === 0 && t`Nothing has failed.`}
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
                            <Trans>Again</Trans>
                        </button>
                        <button
                            type="button"
                            className="link"
                            onClick={() => router.delete(to('failed.drop', { failed: id }))}
                        >
                            <Trans>Drop</Trans>
                        </button>
                    </li>
                ))}
            </ul>
        </>
    );
}

/** The installation: its people, its productions, and how it stands. */
export default function Administration(page: AdministrationPage) {
    const { people, productions, health, waiting, failed, fresh } = page;

    return (
        <Book title={t`Administration`} book={null}>
            <div className="max-w-[980px] px-6 pb-10">
                <h1 className="title pt-4 text-[24px]">
                    <Trans>Administration</Trans>
                </h1>
                <Links fresh={fresh === null ? [] : [{ name: t`New password`, email: '', link: fresh }]} />
                <Heading className="mt-4">
                    <Trans>Productions</Trans>
                </Heading>
                <Productions productions={productions} deleted={page.deleted} />
                <Heading className="mt-6">
                    <Trans>People</Trans>
                </Heading>
                <p className="said py-1">
                    <Trans>
                        They are invited from the page of their production. Whoever is disabled does not get in; what
                        they did keeps their name.
                    </Trans>
                </p>
                <Accounts people={people} />
                <Heading className="mt-6">
                    <Trans>How it stands</Trans>
                </Heading>
                <ul>
                    {health.map(({ what, says, well }) => (
                        <li key={what} className="flex gap-3 border-b border-rule py-1">
                            <span className="w-[170px]">{what}</span>
                            <span className={well ? '' : 'text-red'}>{says}</span>
                        </li>
                    ))}
                </ul>
                <Heading className="mt-6">
                    <Trans>What it keeps</Trans>
                </Heading>
                <p className="py-1">
                    <Trans>
                        {page.storage} of the disk, without the intake.{' '}
                        {page.backups.newest === null
                            ? t`There is no backup yet.`
                            : t`${page.backups.many} backups; the newest is of ${page.backups.newest}.`}{' '}
                        They lie in <span className="mono [overflow-wrap:anywhere]">{page.backups.folder}</span>, and
                        one is made each night.
                    </Trans>
                </p>
                <Heading className="mt-6">
                    <Trans>Work</Trans>
                </Heading>
                <Work waiting={waiting} failed={failed} />
            </div>
        </Book>
    );
}
