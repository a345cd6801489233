import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { FoundSceneTable } from '../features/scene/FoundSceneTable';
import { SETTINGS_FILES } from '../features/scene/settingsFiles';
import { useManyScenes } from '../features/scene/useManyScenes';
import { to } from '../lib/route';
import { useCarried } from '../lib/useCarried';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { DropPlace } from '../parts/DropPlace';
import { Fault } from '../parts/Fault';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { ManyScenesPage } from '../types/views';
import { counted } from '../lib/frames';

type Many = ReturnType<typeof useManyScenes>;

/** What is under way, and what went wrong. */
function News({ busy, fault, refused }: { busy: string | null; fault: string | null; refused: string[] }) {
    return (
        <div aria-live="polite">
            {busy !== null && <p className="pt-2 text-faint">{busy}</p>}
            <Fault says={fault} className="pt-2" />
            {refused.length > 0 && (
                <div role="alert">
                    <ul className="pt-2 text-red">
                        {refused.map((line, at) => (
                            <li key={at}>
                                <Breaking text={line} />
                            </li>
                        ))}
                    </ul>
                </div>
            )}
        </div>
    );
}

/** How far it is, with the way to check them. */
function Standing({ many, board }: { many: Many; board: string | null }) {
    const scenes = many.found?.scenes ?? [];
    const results = Object.values(many.done);
    const owned = scenes.filter((scene) => scene.deliverable !== null).length;
    const left = owned - results.length;
    const count = (verdict: string) => results.filter((each) => each.verdict === verdict).length;

    return (
        <p className="flex flex-wrap items-baseline gap-3 pt-3">
            <button
                type="button"
                className="btn btn-primary"
                disabled={many.busy !== null || left === 0}
                onClick={() => void many.check()}
            >
                {left === 0 ? t`All are checked` : t`Check ${counted(left, t`scene`, t`scenes`)}`}
            </button>
            <span className="text-faint">
                <Trans>
                    {owned} of {scenes.length} know whose they are
                    {results.length > 0 && t`; balanced ${count('balanced')}, unbalanced ${count('unbalanced')}`}
                </Trans>
            </span>
            {results.length > 0 && board !== null && (
                <Link className="link" href={board}>
                    <Trans>See the board</Trans>
                </Link>
            )}
        </p>
    );
}

/** Many scenes at once: each is matched to its deliverable, what cannot be matched is asked, then all are checked. */
export default function ManyScenes({ book }: ManyScenesPage) {
    const production = book.production.id;
    const many = useManyScenes(production);
    const { found, busy } = many;
    useCarried('scenes', (files) => void many.read(files));

    return (
        <Book title={t`${book.production.name}, many scenes`} book={book}>
            <ProductionFolios book={book} at="scenes" />
            <div className="px-6 pb-10">
                <div className="pt-4">
                    <DropPlace
                        id="scenes"
                        label={t`Settings files`}
                        says={t`Drop the settings of many scenes here: files, a sheet, or a zip of them.`}
                        button={t`Choose files`}
                        busy={busy !== null}
                        accept={SETTINGS_FILES}
                        several
                        onFiles={(files) => void many.read(files)}
                    />
                </div>
                <News busy={busy} fault={many.fault} refused={found?.refused ?? []} />
                {found === null && busy === null && (
                    <p className="said max-w-[62ch] pt-4">
                        <Trans>
                            Each scene is matched to its deliverable by the code of its shot or the learner’s name, in
                            the file’s name or in what it says of itself. What cannot be matched is asked. Nothing is
                            kept before you say so.
                        </Trans>
                    </p>
                )}
                {found !== null && found.scenes.length > 0 && (
                    <>
                        <Standing many={many} board={book.decides ? to('production', { production }) : null} />
                        <FoundSceneTable found={found} done={many.done} onPoint={many.point} />
                    </>
                )}
            </div>
        </Book>
    );
}
