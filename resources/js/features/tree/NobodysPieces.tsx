import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { counted } from '../../lib/frames';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import type { TreePage, TreePiece } from '../../types/views';

const placeOf = ({ folder, pattern }: TreePiece): string => (folder === '' ? pattern : `${folder}/${pattern}`);

/** Whose a sequence or a file is; those it may be stand first. */
function Whose({ page, piece, place }: { page: TreePage; piece: TreePiece | null; place: string }) {
    const { deliverables, tree } = page;
    const production = page.book.production.id;
    const candidates = piece?.candidates ?? [];
    const sorted = [...deliverables].sort(
        (a, b) => Number(candidates.includes(String(b.id))) - Number(candidates.includes(String(a.id))),
    );
    const assign = (deliverable: string) =>
        router.patch(
            to('tree.assign', { production }),
            { place, deliverable: deliverable === '' ? null : deliverable },
            { preserveScroll: true },
        );

    return (
        <select
            className="select w-auto! max-w-56"
            aria-label={t`Whose is ${place}`}
            value={tree?.byHand[place] ?? ''}
            onChange={(event) => assign(event.target.value)}
        >
            <option value="">
                <Trans>nobody’s, so far</Trans>
            </option>
            {sorted.map(({ id, code, title }) => (
                <option key={id} value={String(id)}>
                    {`${code}, ${title}${candidates.includes(String(id)) ? t` (fits)` : ''}`}
                </option>
            ))}
        </select>
    );
}

function Pieces({ page, title, pieces }: { page: TreePage; title: string; pieces: TreePiece[] }) {
    return pieces.length === 0 ? null : (
        <section className="px-6 pt-5">
            <h2 className="aside border-b border-ink pb-1">{title}</h2>
            <ul>
                {pieces.map((piece) => (
                    <li
                        key={placeOf(piece)}
                        className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1.5"
                    >
                        <span className="mono min-w-0 grow text-[13px]">
                            <Breaking text={placeOf(piece)} />{' '}
                            <span className="text-faint">
                                {piece.frames} · {counted(piece.files, t`file`, t`files`)}
                            </span>
                        </span>
                        <Whose page={page} piece={piece} place={placeOf(piece)} />
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** What fits two deliverables or none, and what was assigned by hand. */
export function NobodysPieces({ page }: { page: TreePage }) {
    const { tree } = page;
    const byHand = Object.keys(tree?.byHand ?? {});

    return tree === null ? null : (
        <>
            <Pieces page={page} title={t`Fits several alike`} pieces={tree.several} />
            <Pieces page={page} title={t`Nobody asked for`} pieces={tree.none} />
            {tree.noneCount > tree.none.length && (
                <p className="px-6 pt-1 text-faint">
                    <Trans>and {(tree.noneCount - tree.none.length).toLocaleString('en')} more</Trans>
                </p>
            )}
            {byHand.length > 0 && (
                <section className="px-6 pt-5">
                    <h2 className="aside border-b border-ink pb-1">
                        <Trans>Assigned by hand</Trans>
                    </h2>
                    <ul>
                        {byHand.map((place) => (
                            <li key={place} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1.5">
                                <span className="mono min-w-0 grow text-[13px]">
                                    <Breaking text={place} />
                                </span>
                                <Whose page={page} piece={null} place={place} />
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </>
    );
}
