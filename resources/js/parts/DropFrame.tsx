import { useState, type ReactNode } from 'react';
import { classes } from '../lib/classes';

/** A frame around whatever one does with files, that takes what is dropped on it. */
export function DropFrame({
    label,
    className,
    onDrop,
    children,
}: {
    label: string;
    className: string;
    onDrop: (items: DataTransferItemList) => void;
    children: ReactNode;
}) {
    const [over, setOver] = useState(false);

    return (
        <section
            aria-label={label}
            className={classes(
                'border border-dashed',
                over ? 'border-link bg-[color-mix(in_oklab,var(--color-primary)_9%,transparent)]' : 'border-edge',
                className,
            )}
            onDragOver={(event) => {
                event.preventDefault();
                setOver(true);
            }}
            onDragLeave={() => setOver(false)}
            onDrop={(event) => {
                event.preventDefault();
                setOver(false);
                onDrop(event.dataTransfer.items);
            }}
        >
            {children}
        </section>
    );
}
