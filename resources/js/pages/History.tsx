import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { Filters } from '../features/people/HistoryFilters';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { LedgerHead } from '../parts/LedgerHead';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { HistoryPage } from '../types/views';

function Acts({ acts }: Pick<HistoryPage, 'acts'>) {
    return (
        <table className="ledger mt-3">
            <LedgerHead
                columns={[
                    [t`when`, '17%'],
                    [t`who`, '19%'],
                    [t`about`, '12%'],
                    [t`what`, '52%'],
                ]}
            />
            <tbody>
                {acts.map(({ id, at, who, about, what }) => (
                    <tr key={id}>
                        <th scope="row" className="mono font-normal!">
                            {at}
                        </th>
                        <td className="column">{who}</td>
                        <td className="column text-faint">{about}</td>
                        <td className="column">
                            <Breaking text={what} />
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

/** Who changed what, in a production or of the installation. */
export default function History(page: HistoryPage) {
    const { book, acts, filters, page: at, pages, all } = page;
    const production = book?.production.id;
    const url = production === undefined ? to('acts') : to('history', { production });
    const turn = (to: number) => router.get(url, { ...filters, page: to }, { preserveState: true });

    return (
        <Book title={book === null ? t`History` : t`${book.production.name}, history`} book={book}>
            {book === null ? (
                <h1 className="title px-6 pt-4 text-[24px]">
                    <Trans>What was changed in the installation</Trans>
                </h1>
            ) : (
                <ProductionFolios book={book} at="history" />
            )}
            <div className="px-6 pb-10">
                <Filters page={page} url={url} />
                {acts.length === 0 ? (
                    <p className="said pt-4">
                        <Trans>Nothing of that kind was changed.</Trans>
                    </p>
                ) : (
                    <Acts acts={acts} />
                )}
                <p className="flex flex-wrap items-baseline gap-4 pt-3">
                    <span className="text-faint">
                        <Trans>
                            {all} {all === 1 ? t`act` : t`acts`}, page {at} of {pages}
                        </Trans>
                    </span>
                    {at > 1 && (
                        <button type="button" className="link" onClick={() => turn(at - 1)}>
                            <Trans>Newer</Trans>
                        </button>
                    )}
                    {at < pages && (
                        <button type="button" className="link" onClick={() => turn(at + 1)}>
                            <Trans>Older</Trans>
                        </button>
                    )}
                    {production !== undefined ? (
                        <>
                            <a className="link" href={to('history.export', { production, format: 'csv' }, filters)}>
                                <Trans>CSV</Trans>
                            </a>
                            <a className="link" href={to('history.export', { production, format: 'json' }, filters)}>
                                <Trans>JSON</Trans>
                            </a>
                        </>
                    ) : (
                        <Link className="link" href={to('administration')}>
                            <Trans>Administration</Trans>
                        </Link>
                    )}
                </p>
            </div>
        </Book>
    );
}
