import { classes } from '../lib/classes';

/** A field of the way in: its name above it, what is wrong below, where it is told at once. */
export function DoorField({
    id,
    label,
    type = 'text',
    autoComplete,
    value,
    fault,
    onChange,
    isFirst = false,
    className,
}: {
    id: string;
    label: string;
    type?: 'text' | 'email' | 'password';
    autoComplete: string;
    value: string;
    fault: string | undefined;
    onChange: (value: string) => void;
    /** whether one types into it at once */
    isFirst?: boolean;
    className?: string;
}) {
    return (
        <>
            <label className="mt-1 block" htmlFor={id}>
                {label}
            </label>
            <input
                id={id}
                type={type}
                autoComplete={autoComplete}
                className={classes('input mt-1', className)}
                value={value}
                onChange={(event) => onChange(event.target.value)}
                aria-invalid={fault !== undefined}
                aria-describedby={`${id}-fault`}
                autoFocus={isFirst}
            />
            <p id={`${id}-fault`} role="alert" className="min-h-5 text-[13px] text-red">
                {fault}
            </p>
        </>
    );
}
