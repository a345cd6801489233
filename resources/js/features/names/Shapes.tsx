import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import type { NamesPage } from '../../types/views';
import { ShapeEditor, type Shape } from './ShapeEditor';

function ShapeLine({
    production,
    shape,
    isOwn,
    onEdit,
}: {
    production: number;
    shape: Shape;
    isOwn: boolean;
    onEdit: (shape: Shape) => void;
}) {
    const remove = () =>
        router.post(to('shape', { production }), { name: shape.name, drop: true }, { preserveScroll: true });

    return (
        <li className="border-b border-rule py-1.5">
            <span className="flex flex-wrap items-baseline gap-3">
                <span className="font-semibold">{shape.name}</span>
                <span className="text-faint">{isOwn ? t`of this production` : t`comes with the program`}</span>
                <span className="ml-auto flex gap-3 text-[13px]">
                    <button
                        type="button"
                        className="link"
                        onClick={() => onEdit(isOwn ? shape : { ...shape, name: '' })}
                    >
                        {isOwn ? t`change` : t`make one like it`}
                    </button>
                    {isOwn && (
                        <button type="button" className="link" onClick={remove}>
                            <Trans>remove</Trans>
                        </button>
                    )}
                </span>
            </span>
            <span className="mono block text-[12.5px]">
                <Breaking text={shape.example === '' ? (shape.patterns[0]?.pattern ?? '') : shape.example} />
            </span>
            <details className="text-[12.5px] text-faint">
                <summary className="cursor-pointer">
                    <Trans>its patterns</Trans>
                </summary>
                <ul>
                    {shape.patterns.map(({ event, pattern }, at) => (
                        <li key={at} className="mono">
                            {event}: <Breaking text={pattern} />
                        </li>
                    ))}
                </ul>
            </details>
        </li>
    );
}

/** How the lines of logs read. */
export function Shapes({
    production,
    shapes,
    own,
    events,
    pieces,
}: Pick<NamesPage, 'shapes' | 'own' | 'events' | 'pieces'> & { production: number }) {
    const [editing, setEditing] = useState<Shape | null>(null);

    return (
        <>
            <ul>
                {shapes.map((shape, at) => (
                    <ShapeLine
                        key={`${shape.name}-${at}`}
                        production={production}
                        shape={shape}
                        isOwn={at < own}
                        onEdit={setEditing}
                    />
                ))}
            </ul>
            {editing === null ? (
                <p className="pt-3">
                    <button
                        type="button"
                        className="btn"
                        onClick={() => setEditing({ name: '', patterns: [], example: '' })}
                    >
                        <Trans>Add a shape</Trans>
                    </button>
                </p>
            ) : (
                <ShapeEditor
                    key={editing.name}
                    production={production}
                    shape={editing}
                    events={events}
                    pieces={pieces}
                    onClose={() => setEditing(null)}
                />
            )}
        </>
    );
}
