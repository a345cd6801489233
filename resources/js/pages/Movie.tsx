import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo, useState } from 'react';
import { CheckProgress } from '../features/check/CheckProgress';
import { FrameStrip } from '../features/check/FrameStrip';
import { LedgerSheet } from '../features/check/LedgerSheet';
import { MoviesFound } from '../features/check/MoviesFound';
import { Beside } from '../features/movie/Beside';
import { Player } from '../features/movie/Player';
import { isPlayed } from '../features/movie/place';
import { Recipe } from '../features/movie/Recipe';
import { to } from '../lib/route';
import { Folios } from '../parts/Folios';
import { Link } from '@inertiajs/react';
import type { Ledger, Movie as Found, MoviePage } from '../types/views';

/** The ledger as far as it speaks of movies. */
function ofParts(ledger: Ledger, parts: string[]): Ledger {
    const { document } = ledger;
    const isOf = ({ part }: { part?: string | null }) => parts.includes(part ?? '');

    return {
        ...ledger,
        document: {
            ...document,
            entries: document.entries.filter(isOf),
            not_checked: document.not_checked.filter(isOf),
            causes: document.causes.filter(isOf),
            fixes: document.fixes.filter(isOf),
            fixes_count: document.fixes.filter(isOf).length,
            since: null,
        },
    };
}

interface One {
    page: MoviePage;
    ledger: Ledger;
    movie: Found;
}

/** The frames that it is made from, below its own timeline and as wide. */
function Frames({ ledger, movie, onChoose }: Omit<One, 'page'> & { onChoose: (frame: number) => void }) {
    const isOf = ({ part }: { part: string | null }) => part === movie.against?.part;
    const sequence = ledger.document.sequences.find(isOf);
    const strip = ledger.document.strip.find(isOf);

    return sequence === undefined ? null : (
        <FrameStrip
            sequence={sequence}
            wrong={strip?.wrong ?? ''}
            sizes={strip?.sizes ?? []}
            took={[]}
            onChoose={onChoose}
        />
    );
}

/** One movie: what it is, its pictures, and the frames beside it. */
function One({ page: { playable, taggable, drawn, mayCheck }, ledger, movie }: One) {
    const [frame, setFrame] = useState<number | null>(null);
    const isDrawn = drawn.includes(movie.part);

    return (
        <div>
            <MoviesFound movies={[movie]} />
            <Frames ledger={ledger} movie={movie} onChoose={setFrame} />
            {playable && <Player movie={movie} check={ledger.id} />}
            {playable && (isDrawn || isPlayed(movie)) && (
                <Beside movie={movie} check={ledger.id} drawn={isDrawn} mayCheck={mayCheck} frame={frame} />
            )}
            {playable && taggable.includes(movie.part) && (
                <p className="px-6 pt-1 text-[13px]">
                    <Trans>
                        Some of it is only told otherwise in the file:{' '}
                        <a className="link" href={to('check.tagged', { check: ledger.id, part: movie.part })} download>
                            take a copy with the right tags
                        </a>
                        . Nothing is encoded again.
                    </Trans>
                </p>
            )}
        </div>
    );
}

/** What was looked at of the movies; where nothing was, how to do that. */
function Delivered({ page }: { page: MoviePage }) {
    const { ledger, movies, deliverable } = page;
    const found = ledger?.document.movies.filter((movie) => movies.includes(movie.part)) ?? [];
    if (ledger === null || found.length === 0) {
        return (
            <p className="said px-6 pt-5">
                <Trans>
                    No movie has been looked at yet.{' '}
                    <Link className="link" href={to('frames', { deliverable: deliverable.id })}>
                        Choose the folder that it lies in
                    </Link>
                    .
                </Trans>
            </p>
        );
    }

    return found.map((movie) => <One key={`${movie.part} ${movie.path}`} page={page} ledger={ledger} movie={movie} />);
}

/** The movies that are owed: what was delivered, how they are made, and their own lines. */
export default function Movie(page: MoviePage) {
    const { book, deliverable, recipes, movies } = page;
    const ledger = useMemo(
        () => (page.ledger?.delivery == null ? null : ofParts(page.ledger, movies)),
        [page.ledger, movies],
    );

    return (
        <LedgerSheet
            title={t`${deliverable.code}, movie`}
            book={book}
            deliverable={deliverable}
            ledger={ledger}
            head={<Folios deliverable={deliverable} at="movie" />}
            between={
                <>
                    {page.running !== null && <CheckProgress key={page.running.id} running={page.running} />}
                    <Delivered page={page} />
                    {recipes.map((recipe) => (
                        <Recipe
                            key={recipe.part}
                            recipe={recipe}
                            deliverable={deliverable.id}
                            entries={ledger?.document.entries.filter((entry) => entry.part === recipe.part) ?? []}
                        />
                    ))}
                </>
            }
        />
    );
}
