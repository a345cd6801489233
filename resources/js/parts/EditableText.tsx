import { t } from '@lingui/core/macro';
import type { Ref } from 'react';
import { classes } from '../lib/classes';
import { Breaking } from './Breaking';

/** A value that is changed where it stands. */
export function EditableText({
    label,
    text,
    nothing,
    onEdit,
    className,
    button,
}: {
    label: string;
    text: string | undefined;
    /** what is said where there is no value yet */
    nothing?: string;
    onEdit: () => void;
    className?: string;
    button?: Ref<HTMLButtonElement>;
}) {
    return (
        <button
            ref={button}
            type="button"
            className={classes(
                'editable cursor-pointer underline decoration-rule decoration-dotted',
                'underline-offset-4 hover:decoration-link',
                className,
            )}
            aria-label={t`${label}: ${text ?? nothing ?? ''}. Change`}
            onClick={onEdit}
        >
            {text === undefined ? <span className="text-ochre">{nothing}</span> : <Breaking text={text} />}
        </button>
    );
}
