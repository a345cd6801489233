import { useEffect, useRef, useState, type ReactNode } from 'react';
import { classes } from '../lib/classes';
import { ask } from '../lib/ask';

interface Contents {
    below: string;
    folders: string[];
    files: number;
    sample: string[];
    more: boolean;
}

export interface Root {
    id: number;
    label: string;
    /** the folder of what is looked for, as far as it is there */
    own: string;
    /** the same where it has not been made, and how it is made */
    wanted?: { folder: string; make: string | null } | null;
}

export interface Choice {
    root: number;
    below: string;
}

/**
 * A small browser of the folders below the intake roots this person may see; what is done with the folder stands below
 * it.
 */
export function FolderBrowser({
    browse,
    roots,
    start,
    fault,
    children,
}: {
    browse: string;
    roots: Root[];
    start: Choice | null;
    fault: string | null;
    children: (at: Choice, ready: boolean) => ReactNode;
}) {
    const [at, setAt] = useState<Choice | null>(
        start !== null && roots.some((root) => root.id === start.root)
            ? start
            : roots[0] === undefined
              ? null
              : { root: roots[0].id, below: roots[0].own },
    );
    const [found, setFound] = useState<{ contents: Contents | null; trouble: string | null }>({
        contents: null,
        trouble: null,
    });
    const list = useRef<HTMLDivElement>(null);

    useEffect(() => {
        if (at === null) {
            return;
        }
        const stop = new AbortController();
        ask<Contents>(`${browse}?root=${at.root}&below=${encodeURIComponent(at.below)}`, stop.signal).then(
            (contents) => setFound({ contents, trouble: null }),
            (trouble: unknown) => {
                if (!stop.signal.aborted) {
                    setFound({
                        contents: null,
                        trouble: trouble instanceof Error ? trouble.message : 'This folder could not be read.',
                    });
                }
            },
        );

        return () => stop.abort();
    }, [at, browse]);

    if (at === null) {
        return (
            <p className="px-6 py-4 text-faint">
                This production has no intake folder that is open to you. Ask its coordinator.
            </p>
        );
    }
    const go = (below: string) => {
        setAt({ ...at, below });
        list.current?.focus();
    };
    const crumbs = at.below === '' ? [] : at.below.split('/');
    const root = roots.find((each) => each.id === at.root);

    return (
        <div className="mx-6 my-3 border border-edge">
            <div className="flex flex-wrap items-center gap-x-2 border-b border-rule px-3 py-1.5">
                {roots.length > 1 ? (
                    <select
                        aria-label="Intake"
                        className="select w-auto!"
                        value={at.root}
                        onChange={(event) => setAt({ root: Number(event.target.value), below: '' })}
                    >
                        {roots.map((each) => (
                            <option key={each.id} value={each.id}>
                                {each.label}
                            </option>
                        ))}
                    </select>
                ) : (
                    <button type="button" className="link" onClick={() => go('')}>
                        {root?.label}
                    </button>
                )}
                {crumbs.map((crumb, n) => (
                    <span key={n} className="[overflow-wrap:anywhere]">
                        /{' '}
                        <button
                            type="button"
                            className="link mono"
                            onClick={() => go(crumbs.slice(0, n + 1).join('/'))}
                        >
                            {crumb}
                        </button>
                    </span>
                ))}
            </div>
            <div ref={list} tabIndex={-1} className="scroll max-h-44 min-h-16 px-3 py-1.5" aria-live="polite">
                {found.trouble !== null ? (
                    <p className="text-red" role="alert">
                        {found.trouble}
                    </p>
                ) : found.contents === null ? (
                    <p className="text-faint">Reading the folder…</p>
                ) : (
                    <>
                        {found.contents.folders.length > 0 && (
                            <ul>
                                {found.contents.folders.map((folder) => (
                                    <li key={folder}>
                                        <button
                                            type="button"
                                            className={classes(
                                                'mono cursor-pointer py-0.5 text-left',
                                                'text-link [overflow-wrap:anywhere] hover:underline',
                                            )}
                                            onClick={() => go(at.below === '' ? folder : `${at.below}/${folder}`)}
                                        >
                                            {folder}/
                                        </button>
                                    </li>
                                ))}
                            </ul>
                        )}
                        {at.below === (root?.own ?? '') && root?.wanted != null && (
                            <p className="said text-[15px]">
                                There is no folder of its own here yet: it would be{' '}
                                <span className="mono">{root.wanted.folder}</span>. Make it in the intake
                                {root.wanted.make === null ? (
                                    ', or ask whoever looks after it, '
                                ) : (
                                    <>
                                        {' '}
                                        (<span className="mono [overflow-wrap:anywhere]">{root.wanted.make}</span>)
                                    </>
                                )}{' '}
                                and copy the frames there.
                            </p>
                        )}
                        {found.contents.more && <p className="text-faint">More folders than are shown here.</p>}
                        <p className="text-faint">
                            {found.contents.files === 0
                                ? found.contents.folders.length === 0
                                    ? 'This folder is empty.'
                                    : 'No files beside these folders.'
                                : `${found.contents.files} ${found.contents.files === 1 ? 'file' : 'files'}: `}
                            <span className="mono [overflow-wrap:anywhere]">{found.contents.sample.join(', ')}</span>
                            {found.contents.files > found.contents.sample.length && ' …'}
                        </p>
                    </>
                )}
            </div>
            <div className="flex flex-wrap items-center gap-4 border-t border-rule px-3 py-2">
                {children(at, found.contents !== null)}
            </div>
            {fault !== null && (
                <p role="alert" className="border-t border-rule px-3 py-2 text-red">
                    {fault}
                </p>
            )}
        </div>
    );
}
