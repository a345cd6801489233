import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef, useState, type ReactNode } from 'react';
import { ask } from '../lib/ask';
import { classes } from '../lib/classes';
import { useQuestion } from '../lib/useQuestion';
import type { FolderContents, IntakePlace } from '../types/views';
import { Fault } from './Fault';
import { counted } from '../lib/frames';

/** Where one begins; what should be there and is not is told only where it is of one deliverable. */
export type Root = Omit<IntakePlace, 'wanted'> & Partial<Pick<IntakePlace, 'wanted'>>;

export interface Choice {
    root: number;
    below: string;
}

/** Where one is: the root, and each folder on the way. */
function Crumbs({
    roots,
    at,
    onRoot,
    onGo,
}: {
    roots: Root[];
    at: Choice;
    onRoot: (root: number) => void;
    onGo: (below: string) => void;
}) {
    const crumbs = at.below === '' ? [] : at.below.split('/');

    return (
        <div className="flex flex-wrap items-center gap-x-2 border-b border-rule px-3 py-1.5">
            {roots.length > 1 ? (
                <select
                    aria-label={t`Intake`}
                    className="select w-auto!"
                    value={at.root}
                    onChange={(event) => onRoot(Number(event.target.value))}
                >
                    {roots.map((each) => (
                        <option key={each.id} value={each.id}>
                            {each.label}
                        </option>
                    ))}
                </select>
            ) : (
                <button type="button" className="link" onClick={() => onGo('')}>
                    {roots[0]?.label}
                </button>
            )}
            {crumbs.map((crumb, n) => (
                <span key={n} className="[overflow-wrap:anywhere]">
                    /{' '}
                    <button type="button" className="link mono" onClick={() => onGo(crumbs.slice(0, n + 1).join('/'))}>
                        {crumb}
                    </button>
                </span>
            ))}
        </div>
    );
}

/** A folder that should be there and is not, and how it is made. */
function Wanted({ folder, make }: { folder: string; make: string | null }) {
    return (
        <p className="said text-[15px]">
            <Trans>
                There is no folder of its own here yet: it would be <span className="mono">{folder}</span>. Make it in
                the intake
                {make === null ? (
                    t`, or ask whoever looks after it, `
                ) : (
                    <>
                        {' '}
                        (<span className="mono [overflow-wrap:anywhere]">{make}</span>)
                    </>
                )}{' '}
                and copy the frames there.
            </Trans>
        </p>
    );
}

/** What lies in a folder besides others. */
function Files({ contents }: { contents: FolderContents }) {
    const { files, folders, sample } = contents;
    if (files === 0) {
        return (
            <p className="text-faint">
                {folders.length === 0 ? t`This folder is empty.` : t`No files beside these folders.`}
            </p>
        );
    }

    return (
        <p className="text-faint">
            {`${counted(files, t`file`, t`files`)}: `}
            <span className="mono [overflow-wrap:anywhere]">{sample.join(', ')}</span>
            {files > sample.length && ' …'}
        </p>
    );
}

/** What can be gone into: folders, and archives, which are looked into as they are. */
function Entry({ name, onGo }: { name: string; onGo: () => void }) {
    return (
        <li>
            <button
                type="button"
                className={classes(
                    'mono cursor-pointer py-0.5 text-left',
                    'text-link [overflow-wrap:anywhere] hover:underline',
                )}
                onClick={onGo}
            >
                {name}
            </button>
        </li>
    );
}

function Folder({
    contents,
    below,
    wanted,
    onGo,
}: {
    contents: FolderContents;
    below: string;
    wanted: Root['wanted'];
    onGo: (below: string) => void;
}) {
    const go = (name: string) => () => onGo(below === '' ? name : `${below}/${name}`);

    return (
        <>
            {contents.folders.length + contents.archives.length > 0 && (
                <ul>
                    {contents.folders.map((folder) => (
                        <Entry key={folder} name={`${folder}/`} onGo={go(folder)} />
                    ))}
                    {contents.archives.map((archive) => (
                        <Entry key={archive} name={archive} onGo={go(archive)} />
                    ))}
                </ul>
            )}
            {wanted != null && <Wanted {...wanted} />}
            {contents.more && (
                <p className="text-faint">
                    <Trans>More folders than are shown here.</Trans>
                </p>
            )}
            <Files contents={contents} />
        </>
    );
}

/** Where one begins: where one was, if that is open still, else where the deliverable is expected. */
function beginning(roots: Root[], start: Choice | null): Choice | null {
    if (start !== null && roots.some((root) => root.id === start.root)) {
        return start;
    }
    const first = roots[0];

    return first === undefined ? null : { root: first.id, below: first.own };
}

/**
 * A small browser of the folders below the intake roots this person may see; what is done with the folder stands below
 * it.
 */
export function FolderBrowser(props: {
    browse: string;
    roots: Root[];
    start: Choice | null;
    fault: string | null;
    children: (at: Choice, ready: boolean) => ReactNode;
}) {
    const [at, setAt] = useState(() => beginning(props.roots, props.start));

    return at === null ? (
        <p className="px-6 py-4 text-faint">
            <Trans>This production has no intake folder that is open to you. Ask its coordinator.</Trans>
        </p>
    ) : (
        <Browser {...props} at={at} onAt={setAt} />
    );
}

function Browser({
    browse,
    roots,
    fault,
    at,
    onAt,
    children,
}: {
    browse: string;
    roots: Root[];
    fault: string | null;
    at: Choice;
    onAt: (at: Choice) => void;
    children: (at: Choice, ready: boolean) => ReactNode;
}) {
    const list = useRef<HTMLDivElement>(null);
    const url = `${browse}?root=${at.root}&below=${encodeURIComponent(at.below)}`;
    const found = useQuestion(url, (stop) => ask<FolderContents>(url, stop), {
        wait: 0,
        otherwise: t`This folder could not be read.`,
        keeps: false,
    });
    const root = roots.find((each) => each.id === at.root);
    const go = (below: string) => {
        onAt({ ...at, below });
        list.current?.focus();
    };

    return (
        <div className="mx-6 my-3 border border-edge">
            <Crumbs roots={roots} at={at} onRoot={(id) => onAt({ root: id, below: '' })} onGo={go} />
            <div ref={list} tabIndex={-1} className="scroll max-h-44 min-h-16 px-3 py-1.5" aria-live="polite">
                <Fault says={found.fault} />
                {found.fault === null && found.answer === null && (
                    <p className="text-faint">
                        <Trans>Reading the folder…</Trans>
                    </p>
                )}
                {found.fault === null && found.answer !== null && (
                    <Folder
                        contents={found.answer}
                        below={at.below}
                        wanted={at.below === (root?.own ?? '') ? root?.wanted : null}
                        onGo={go}
                    />
                )}
            </div>
            <div className="flex flex-wrap items-center gap-4 border-t border-rule px-3 py-2">
                {children(at, found.answer !== null)}
            </div>
            <Fault says={fault} className="border-t border-rule px-3 py-2" />
        </div>
    );
}
