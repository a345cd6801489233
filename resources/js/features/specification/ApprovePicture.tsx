import { t } from '@lingui/core/macro';
import { useId, useState } from 'react';
import { tellForm } from '../../lib/ask';
import { sentence } from '../../lib/trouble';

/** Uploads a picture that frames are to agree with, and gives the path by which it is asked. */
export function ApprovePicture({ to, onPath }: { to: string; onPath: (path: string) => void }) {
    const [busy, setBusy] = useState(false);
    const [fault, setFault] = useState<string | null>(null);
    const id = useId();
    const send = async (file: File | undefined) => {
        if (file === undefined) {
            return;
        }
        setBusy(true);
        setFault(null);
        try {
            onPath((await tellForm<{ path: string }>(to, { picture: file })).path);
        } catch (trouble) {
            setFault(sentence(trouble, t`This picture could not be sent.`));
        } finally {
            setBusy(false);
        }
    };

    return (
        <p className="flex flex-wrap items-baseline gap-x-2 pt-1 text-[13px]">
            <label htmlFor={id}>{busy ? t`Sending…` : t`Upload an approved picture (PNG, JPEG, OpenEXR)`}</label>
            <input
                id={id}
                type="file"
                accept=".png,.jpg,.jpeg,.exr"
                disabled={busy}
                onChange={(event) => void send(event.target.files?.[0])}
            />
            {fault !== null && (
                <span role="alert" className="text-red">
                    {fault}
                </span>
            )}
        </p>
    );
}
