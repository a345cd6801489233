import { useRef } from 'react';

/** A field that stands in place of a text: kept on Enter or when it is left, given up on Escape. */
export function InlineField({
    label,
    value,
    onChange,
    onKeep,
    onLeave,
    className,
    placeholder,
    isWrong = false,
    keepsOnBlur = true,
}: {
    label: string;
    value: string;
    onChange: (value: string) => void;
    onKeep: () => void;
    onLeave: () => void;
    className: string;
    placeholder?: string;
    isWrong?: boolean;
    keepsOnBlur?: boolean;
}) {
    // a field that goes away because it was given up is left as well
    const given = useRef(false);

    return (
        <input
            autoFocus
            aria-label={label}
            aria-invalid={isWrong}
            className={className}
            value={value}
            placeholder={placeholder}
            onFocus={(event) => event.target.select()}
            onChange={(event) => onChange(event.target.value)}
            onBlur={() => {
                if (!given.current) {
                    (keepsOnBlur ? onKeep : onLeave)();
                }
            }}
            onKeyDown={(event) => {
                if (event.key === 'Enter') {
                    onKeep();
                } else if (event.key === 'Escape') {
                    event.stopPropagation();
                    given.current = true;
                    onLeave();
                }
            }}
        />
    );
}
