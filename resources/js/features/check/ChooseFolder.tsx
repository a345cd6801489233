import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { to } from '../../lib/route';
import { FolderBrowser, type Choice } from '../../parts/FolderBrowser';
import type { IntakePlace, ScanDepth } from '../../types/views';

const isArchive = (name: string): boolean => /\.zip$/i.test(name);

const checkThis = (below: string): string => (isArchive(below) ? t`Check this archive` : t`Check this folder`);

/** Which folder is to be looked at, and how closely. */
export function ChooseFolder({
    deliverable,
    roots,
    start,
    fault,
    busy,
    onCheck,
    onFollow,
}: {
    deliverable: number;
    roots: IntakePlace[];
    start: Choice | null;
    fault: string | null;
    busy: boolean;
    onCheck: (at: Choice, depth: ScanDepth) => void;
    /** a render fills it just now */
    onFollow: (at: Choice) => void;
}) {
    const [full, setFull] = useState(false);

    return (
        <FolderBrowser browse={to('intake', { deliverable })} roots={roots} start={start} fault={fault}>
            {(at, ready) => (
                <>
                    <button
                        type="button"
                        className="btn btn-primary"
                        disabled={busy || !ready}
                        onClick={() => onCheck(at, full ? 'full' : 'quick')}
                    >
                        {busy ? t`Checking…` : checkThis(at.below)}
                    </button>
                    {!isArchive(at.below) && (
                        <button type="button" className="btn" disabled={busy || !ready} onClick={() => onFollow(at)}>
                            <Trans>Follow it while it fills</Trans>
                        </button>
                    )}
                    <label className="flex items-center gap-1.5">
                        <input
                            type="checkbox"
                            className="checkbox"
                            checked={full}
                            onChange={(event) => setFull(event.target.checked)}
                        />
                        <Trans>read every byte</Trans>
                    </label>
                    <span className="text-[13px] text-faint">
                        {isArchive(at.below)
                            ? t`It is looked into as it is, and not unpacked.`
                            : t`Folders below it are looked into as well.`}
                    </span>
                </>
            )}
        </FolderBrowser>
    );
}
