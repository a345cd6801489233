import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { MarkSign } from '../parts/MarkSign';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { MovieRow, MoviesPage } from '../types/views';

const spokenSize = (bytes: number): string =>
    bytes < 1e6 ? t`${Math.max(1, Math.round(bytes / 1e3))} KB` : t`${(bytes / 1e6).toPrecision(3)} MB`;

function Row({ movie }: { movie: MovieRow }) {
    return (
        <tr className="border-b border-rule align-top">
            <td className="py-1.5 pr-2">
                {movie.mark === null ? <span className="text-faint">–</span> : <MarkSign mark={movie.mark} />}
            </td>
            <th scope="row" className="py-1.5 pr-4 text-left font-normal">
                <Link className="link mono" href={to('movie', { deliverable: movie.deliverable })}>
                    {movie.code}
                </Link>
                <span className="block text-[13px] text-faint">{movie.owner}</span>
            </th>
            <td className="py-1.5 pr-4">
                {movie.part}
                {movie.from !== null && (
                    <span className="block text-[13px] text-faint">
                        <Trans>made from {movie.from}</Trans>
                    </span>
                )}
            </td>
            <td className="py-1.5">
                {movie.path === null ? (
                    <span className="text-faint">
                        <Trans>not looked at yet</Trans>
                    </span>
                ) : (
                    <>
                        <span className="mono text-[13px]">
                            <Breaking text={movie.path} />
                        </span>
                        <span className="block text-[13px] text-faint">
                            {[...movie.is, ...(movie.bytes === null ? [] : [spokenSize(movie.bytes)])].join(', ')}
                        </span>
                    </>
                )}
            </td>
        </tr>
    );
}

function Group({ title, movies }: { title: string; movies: MovieRow[] }) {
    return movies.length === 0 ? null : (
        <section className="pt-4">
            <h2 className="aside border-b border-ink pb-1">{title}</h2>
            <table className="w-full table-fixed">
                <colgroup>
                    <col className="w-8" />
                    <col className="w-[22%]" />
                    <col className="w-[22%]" />
                    <col />
                </colgroup>
                <thead className="sr-only">
                    <tr>
                        <th scope="col">
                            <Trans>mark</Trans>
                        </th>
                        <th scope="col">
                            <Trans>deliverable</Trans>
                        </th>
                        <th scope="col">
                            <Trans>part</Trans>
                        </th>
                        <th scope="col">
                            <Trans>file</Trans>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {movies.map((movie) => (
                        <Row key={`${movie.deliverable} ${movie.part}`} movie={movie} />
                    ))}
                </tbody>
            </table>
        </section>
    );
}

/** Every movie that a production owes: made from frames that are owed too, or standing for itself. */
export default function Movies({ book, movies }: MoviesPage) {
    return (
        <Book title={t`${book.production.name}, movies`} book={book}>
            <ProductionFolios book={book} at="production" />
            <div className="px-6 pb-10">
                {movies.length === 0 && (
                    <p className="said pt-4">
                        <Trans>No movie is owed here. A specification asks for one as a part.</Trans>
                    </p>
                )}
                <Group title={t`By themselves`} movies={movies.filter(({ from }) => from === null)} />
                <Group
                    title={t`Made from frames that are owed too`}
                    movies={movies.filter(({ from }) => from !== null)}
                />
            </div>
        </Book>
    );
}
