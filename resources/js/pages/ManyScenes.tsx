import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { classes } from '../lib/classes';
import { tell, tellFiles } from '../lib/ask';
import { asText } from '../lib/spreadsheet';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { SETTINGS_FILES } from '../features/scene/BringScene';
import { DropPlace } from '../parts/DropPlace';
import { MarkSign, verdictMark } from '../parts/MarkSign';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { Book as BookData, Verdict } from '../types/views';

interface Told {
    label: string;
    content: string;
    whose: string;
    deliverable: number | null;
    perhaps: number[];
    settings: number;
    unknown: number;
}

interface Found {
    scenes: Told[];
    refused: string[];
    deliverables: { id: number; code: string; owner: string | null }[];
}

interface Done {
    id: number;
    code: string;
    verdict: Verdict | null;
    holdsUp: string | null;
    cause: string | null;
    fault: string | null;
}

const AT_ONCE = 10;

/** Files in batches that go over in one piece: a server takes so many at once, and so many bytes. */
function batches(files: File[]): [number, File[]][] {
    const found: [number, File[]][] = [];
    let some: File[] = [];
    files.forEach((file, at) => {
        if (
            some.length >= 15 ||
            (some.length > 0 && some.reduce((sum, each) => sum + each.size, file.size) > 20_000_000)
        ) {
            found.push([at - some.length, some]);
            some = [];
        }
        some.push(file);
    });

    return some.length === 0 ? found : [...found, [files.length - some.length, some]];
}

/** Many scenes at once: each is matched to its deliverable, what cannot be matched is asked, then all are checked. */
export default function ManyScenes({ book }: { book: BookData }) {
    const [found, setFound] = useState<Found | null>(null);
    const [done, setDone] = useState<Record<number, Done>>({});
    const [busy, setBusy] = useState<string | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const url = `/productions/${book.production.id}/scenes`;

    const read = async (list: File[]) => {
        if (list.length === 0) {
            return;
        }
        setFault(null);
        setDone({});
        setBusy('Reading the files…');
        try {
            const files = await Promise.all(list.map(asText));
            let all: Found = { scenes: [], refused: [], deliverables: [] };
            for (const [done, some] of batches(files)) {
                setBusy(
                    files.length > some.length
                        ? `Reading ${done + 1} to ${done + some.length} of ${files.length} files…`
                        : 'Reading the files…',
                );
                const answer = await tellFiles<Found>(`${url}/read`, 'files', some);
                all = {
                    scenes: [...all.scenes, ...answer.scenes],
                    refused: [...all.refused, ...answer.refused],
                    deliverables: answer.deliverables,
                };
            }
            setFound(all);
        } catch (trouble) {
            setFound(null);
            setFault(trouble instanceof Error ? trouble.message : 'These files could not be read.');
        } finally {
            setBusy(null);
        }
    };
    const owned = found?.scenes.filter((scene) => scene.deliverable !== null) ?? [];
    const twice = new Set(owned.map((scene) => scene.deliverable).filter((id, at, all) => all.indexOf(id) !== at));
    const check = async () => {
        if (found === null) {
            return;
        }
        setFault(null);
        const order = found.scenes
            .map((scene, at) => ({ at, scene }))
            .filter(({ scene, at }) => scene.deliverable !== null && done[at] === undefined);
        try {
            for (let from = 0; from < order.length; from += AT_ONCE) {
                const some = order.slice(from, from + AT_ONCE);
                setBusy(`Checking ${from + 1} to ${from + some.length} of ${order.length}…`);
                const answer = await tell<{ done: Done[] }>(url, {
                    scenes: some.map(({ scene }) => ({
                        deliverable: scene.deliverable,
                        label: scene.label,
                        content: scene.content,
                    })),
                });
                setDone((before) => ({
                    ...before,
                    ...(Object.fromEntries(some.map(({ at }, n) => [at, answer.done[n]])) as Record<number, Done>),
                }));
            }
        } catch (trouble) {
            setFault(
                trouble instanceof Error
                    ? trouble.message
                    : 'These scenes could not be checked. What is marked is done; press again for the rest.',
            );
        } finally {
            setBusy(null);
        }
    };
    const point = (at: number, id: string) =>
        setFound((before) =>
            before === null
                ? null
                : {
                      ...before,
                      scenes: before.scenes.map((scene, n) =>
                          n === at ? { ...scene, deliverable: id === '' ? null : Number(id) } : scene,
                      ),
                  },
        );
    const left = owned.length - Object.keys(done).length;
    const results = Object.values(done);
    const withVerdict = (verdict: string) => results.filter((each) => each.verdict === verdict).length;

    return (
        <Book title={`${book.production.name}, many scenes`} book={book}>
            <ProductionFolios book={book} at="/scenes" />
            <div className="px-6 pb-10">
                <div className="pt-4">
                    <DropPlace
                        id="scenes"
                        label="Settings files"
                        says="Drop the settings of many scenes here: files, a sheet, or a zip of them."
                        button="Choose files"
                        busy={busy !== null}
                        accept={SETTINGS_FILES}
                        several
                        onFiles={(files) => void read(files)}
                    />
                </div>
                <div aria-live="polite">
                    {busy !== null && <p className="pt-2 text-faint">{busy}</p>}
                    {fault !== null && (
                        <p role="alert" className="pt-2 text-red">
                            <Breaking text={fault} />
                        </p>
                    )}
                    {found !== null && found.refused.length > 0 && (
                        <div role="alert">
                            <ul className="pt-2 text-red">
                                {found.refused.map((line, at) => (
                                    <li key={at}>
                                        <Breaking text={line} />
                                    </li>
                                ))}
                            </ul>
                        </div>
                    )}
                </div>
                {found === null && busy === null && (
                    <p className="said max-w-[62ch] pt-4">
                        Each scene is matched to its deliverable by the code of its shot or the learner’s name, in the
                        file’s name or in what it says of itself. What cannot be matched is asked. Nothing is kept
                        before you say so.
                    </p>
                )}
                {found !== null && found.scenes.length > 0 && (
                    <>
                        <p className="flex flex-wrap items-baseline gap-3 pt-3">
                            <button
                                type="button"
                                className="btn btn-primary"
                                disabled={busy !== null || left === 0}
                                onClick={() => void check()}
                            >
                                {left === 0 ? 'All are checked' : `Check ${left} ${left === 1 ? 'scene' : 'scenes'}`}
                            </button>
                            <span className="text-faint">
                                {owned.length} of {found.scenes.length} know whose they are
                                {results.length > 0 &&
                                    `; balanced ${withVerdict('balanced')}, unbalanced ${withVerdict('unbalanced')}`}
                            </span>
                            {results.length > 0 && book.decides && (
                                <Link className="link" href={`/productions/${book.production.id}/board`}>
                                    See the board
                                </Link>
                            )}
                        </p>
                        <table className="ledger mt-2">
                            <colgroup>
                                <col style={{ width: '32%' }} />
                                <col style={{ width: '25%' }} />
                                <col style={{ width: '11%' }} />
                                <col style={{ width: '32%' }} />
                            </colgroup>
                            <thead>
                                <tr>
                                    <th scope="col">came as</th>
                                    <th scope="col" className="column">
                                        belongs to
                                    </th>
                                    <th scope="col" className="column">
                                        settings
                                    </th>
                                    <th scope="col" className="column">
                                        comes to
                                    </th>
                                </tr>
                            </thead>
                            <tbody>
                                {found.scenes.map((scene, at) => {
                                    const result = done[at];
                                    const first = found.deliverables.filter((each) => scene.perhaps.includes(each.id));
                                    const mark = result === undefined ? null : verdictMark(result.verdict);

                                    return (
                                        <tr key={at}>
                                            <th scope="row" className="mono">
                                                <Breaking text={scene.label} />
                                            </th>
                                            <td className="column">
                                                <select
                                                    aria-label={`Deliverable of ${scene.label}`}
                                                    className={classes(
                                                        'select',
                                                        scene.deliverable === null && 'border-red!',
                                                    )}
                                                    value={scene.deliverable ?? ''}
                                                    disabled={result !== undefined}
                                                    onChange={(event) => point(at, event.target.value)}
                                                >
                                                    <option value="">
                                                        {scene.perhaps.length > 0 ? 'which of these?' : 'whose is it?'}
                                                    </option>
                                                    {[
                                                        ...first,
                                                        ...found.deliverables.filter(
                                                            (each) => !scene.perhaps.includes(each.id),
                                                        ),
                                                    ].map((each) => (
                                                        <option key={each.id} value={each.id}>
                                                            {each.code}
                                                            {each.owner !== null && `, ${each.owner}`}
                                                        </option>
                                                    ))}
                                                </select>
                                                {twice.has(scene.deliverable) && (
                                                    <span className="block text-[12.5px] text-ochre">
                                                        brought twice; the later one counts
                                                    </span>
                                                )}
                                            </td>
                                            <td className="column">
                                                {scene.settings}
                                                {scene.unknown > 0 && (
                                                    <span className="block text-[12.5px] text-faint">
                                                        {scene.unknown} not understood
                                                    </span>
                                                )}
                                            </td>
                                            <td className="column">
                                                {result === undefined ? (
                                                    <span className="text-faint">not checked yet</span>
                                                ) : result.fault !== null ? (
                                                    <span className="text-red">
                                                        <Breaking text={result.fault} />
                                                    </span>
                                                ) : (
                                                    <span className="grid grid-cols-[18px_1fr] gap-x-1">
                                                        <span>
                                                            {mark !== null && (
                                                                <MarkSign mark={mark} label={result.verdict ?? ''} />
                                                            )}
                                                        </span>
                                                        <span>
                                                            <Link
                                                                className="link"
                                                                href={`/deliverables/${result.id}/scene`}
                                                            >
                                                                {result.holdsUp}
                                                            </Link>
                                                            {result.cause !== null && (
                                                                <span className="block text-[12.5px]">
                                                                    <Breaking text={result.cause} />
                                                                </span>
                                                            )}
                                                        </span>
                                                    </span>
                                                )}
                                            </td>
                                        </tr>
                                    );
                                })}
                            </tbody>
                        </table>
                    </>
                )}
            </div>
        </Book>
    );
}
