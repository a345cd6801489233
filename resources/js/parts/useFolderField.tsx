import { t } from '@lingui/core/macro';
import { useRef, type ReactNode } from 'react';
import { folderPicker } from '../lib/ownDisk';
import { ofField, type Picked } from '../lib/own/pick';

/** A folder is asked for by the browser's own dialog, or where it has none by a field that stands on the page. */
export function useFolderField(onPicked: (picked: Picked | null) => void): { field: ReactNode; choose: () => void } {
    const field = useRef<HTMLInputElement>(null);
    const choose = () => {
        const pick = folderPicker();
        if (pick === null) {
            field.current?.click();

            return;
        }
        // whoever closes the dialog has chosen nothing
        pick({ mode: 'read' }).then(
            (handle) => onPicked({ folder: handle.name, source: { kind: 'folder', handle } }),
            () => undefined,
        );
    };

    return {
        choose,
        field: (
            <input
                ref={field}
                type="file"
                aria-label={t`Folder on this machine`}
                className="sr-only"
                tabIndex={-1}
                // the types do not know it
                {...{ webkitdirectory: '' }}
                onChange={(event) => {
                    onPicked(ofField(event.target.files ?? new DataTransfer().files));
                    event.target.value = '';
                }}
            />
        ),
    };
}
