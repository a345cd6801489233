import { useRef, useState, type ReactNode } from 'react';
import { classes } from '../lib/classes';

/** A place to drop files on, with a button that chooses them; what else can be done stands beside it. */
export function DropPlace({
    id,
    label,
    says,
    button,
    busy,
    accept,
    several,
    onFiles,
    children,
}: {
    id: string;
    label: string;
    says: string;
    button: string;
    busy: boolean;
    accept: string;
    several: boolean;
    onFiles: (files: File[]) => void;
    children?: ReactNode;
}) {
    const [over, setOver] = useState(false);
    const field = useRef<HTMLInputElement>(null);

    return (
        <div
            onDragOver={(event) => {
                event.preventDefault();
                setOver(true);
            }}
            onDragLeave={() => setOver(false)}
            onDrop={(event) => {
                event.preventDefault();
                setOver(false);
                onFiles([...event.dataTransfer.files]);
            }}
            className={classes(
                'flex flex-wrap items-center gap-3 border border-dashed px-4 py-3',
                over ? 'border-link bg-[color-mix(in_oklab,var(--color-primary)_9%,transparent)]' : 'border-edge',
            )}
        >
            <span className="said">{says}</span>
            <label className="sr-only" htmlFor={id}>
                {label}
            </label>
            <input
                id={id}
                ref={field}
                type="file"
                multiple={several}
                accept={accept}
                className="sr-only"
                tabIndex={-1}
                onChange={(event) => {
                    const files = [...(event.target.files ?? [])];
                    // the same file can be chosen again when it has changed
                    event.target.value = '';
                    onFiles(files);
                }}
            />
            <button type="button" className="btn" disabled={busy} onClick={() => field.current?.click()}>
                {button}
            </button>
            {children}
        </div>
    );
}
