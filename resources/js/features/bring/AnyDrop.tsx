import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef } from 'react';
import { filesOfDrop, filesOfField, type Dropped } from '../../lib/dropped';
import { DropFrame } from '../../parts/DropFrame';

/** A place for files and folders of any kind. */
export function AnyDrop({ busy, onFiles }: { busy: boolean; onFiles: (files: Dropped[]) => void }) {
    const files = useRef<HTMLInputElement>(null);
    const folder = useRef<HTMLInputElement>(null);
    const take = (field: HTMLInputElement) => {
        const chosen = filesOfField(field.files ?? new DataTransfer().files);
        // the same can be chosen again when it has changed
        field.value = '';
        onFiles(chosen);
    };

    return (
        <DropFrame
            label={t`Whatever is brought`}
            className="flex min-h-40 flex-col items-center justify-center gap-3 px-4 py-6 text-center"
            onDrop={(items) => void filesOfDrop(items).then((dropped) => onFiles(dropped.files))}
        >
            <p className="said max-w-[60ch]">
                <Trans>
                    Drop anything here: settings of scenes, frames, movies, a whole folder, a zip, a list of shots, a
                    timeline, a roster, a render log.
                </Trans>
            </p>
            <p className="flex flex-wrap justify-center gap-3">
                <input
                    ref={files}
                    type="file"
                    multiple
                    aria-label={t`Files of any kind`}
                    className="sr-only"
                    tabIndex={-1}
                    onChange={(event) => take(event.target)}
                />
                <button
                    type="button"
                    className="btn btn-primary"
                    disabled={busy}
                    onClick={() => files.current?.click()}
                >
                    <Trans>Choose files</Trans>
                </button>
                <input
                    ref={folder}
                    type="file"
                    aria-label={t`A folder of any kind`}
                    className="sr-only"
                    tabIndex={-1}
                    // the types do not know it
                    {...{ webkitdirectory: '' }}
                    onChange={(event) => take(event.target)}
                />
                <button type="button" className="btn" disabled={busy} onClick={() => folder.current?.click()}>
                    <Trans>Choose a folder</Trans>
                </button>
            </p>
        </DropFrame>
    );
}
