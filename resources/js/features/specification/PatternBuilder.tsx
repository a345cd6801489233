import { useRef, useState, type KeyboardEvent } from 'react';
import { classes } from '../../lib/classes';
import { blocks, isNumber, joined, moved, PIECES, SEPARATORS, written, type Block } from './pattern';

function said(block: Block): string {
    return block.kind === 'text'
        ? block.text.replaceAll(' ', '␣')
        : block.after === ''
          ? block.name
          : `${block.name} ${block.after}`;
}

/** The pieces of a pattern as blocks: arrows go from one to the next, with Alt they move it, Delete takes it out. */
export function PatternBuilder({
    value,
    folder,
    onChange,
}: {
    value: string;
    folder: boolean;
    onChange: (value: string) => void;
}) {
    const list = blocks(value);
    const [at, setAt] = useState(0);
    const [dragged, setDragged] = useState<number | null>(null);
    const row = useRef<HTMLUListElement>(null);
    const chosen = list[Math.min(at, list.length - 1)];
    const place = Math.min(at, Math.max(0, list.length - 1));

    const put = (next: Block[], focus: number) => {
        onChange(written(next));
        const to = Math.max(0, Math.min(focus, joined(next).length - 1));
        setAt(to);
        requestAnimationFrame(() => row.current?.querySelectorAll<HTMLElement>('button')[to]?.focus());
    };
    const insert = (block: Block) => {
        const next = [...list];
        // the extension stays last, and what is added comes behind the chosen one
        const last = list[list.length - 1];
        const behind = last?.kind === 'piece' && last.name === 'ext' ? Math.min(place + 1, list.length - 1) : place + 1;
        next.splice(list.length === 0 ? 0 : behind, 0, block);
        put(next, list.length === 0 ? 0 : behind);
    };
    const press = (event: KeyboardEvent<HTMLUListElement>) => {
        const step = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
        if (step !== 0) {
            event.preventDefault();
            const to = place + step;
            if (to < 0 || to >= list.length) {
                return;
            }
            if (event.altKey) {
                put(moved(list, place, to), to);
            } else {
                setAt(to);
                row.current?.querySelectorAll<HTMLElement>('button')[to]?.focus();
            }
        } else if (event.key === 'Delete' || event.key === 'Backspace') {
            event.preventDefault();
            put(
                list.filter((_, n) => n !== place),
                place,
            );
        } else if (event.key === 'Enter') {
            // Enter on a block does not keep the whole: its own field is next
            event.preventDefault();
            event.currentTarget.closest('[data-builder]')?.querySelector<HTMLElement>('[data-own]')?.focus();
        }
    };
    const change = (block: Block) => {
        onChange(written(list.map((each, n) => (n === place ? block : each))));
    };

    return (
        <div data-builder className="my-1 border border-rule px-2 py-2">
            {list.length === 0 ? (
                <p className="text-[13px] text-faint">No pieces yet. Add some, or type the pattern above.</p>
            ) : (
                <ul
                    ref={row}
                    className="flex flex-wrap items-stretch gap-y-1"
                    aria-label="Pieces of the pattern: arrows go along, Alt and arrows move one, Delete takes it out"
                    onKeyDown={press}
                >
                    {list.map((block, n) => (
                        <li
                            key={n}
                            draggable
                            onDragStart={(event) => {
                                event.dataTransfer.effectAllowed = 'move';
                                event.dataTransfer.setData('text/plain', String(n));
                                setDragged(n);
                            }}
                            onDragEnd={() => setDragged(null)}
                            onDragOver={(event) => {
                                if (dragged !== null) {
                                    event.preventDefault();
                                }
                            }}
                            onDrop={(event) => {
                                event.preventDefault();
                                if (dragged !== null) {
                                    put(moved(list, dragged, n), n);
                                }
                                setDragged(null);
                            }}
                        >
                            <button
                                type="button"
                                tabIndex={n === place ? 0 : -1}
                                aria-pressed={n === place}
                                aria-label={
                                    (block.kind === 'text' ? `text ${block.text}` : `piece ${said(block)}`) +
                                    `, ${n + 1} of ${list.length}`
                                }
                                onClick={() => setAt(n)}
                                onFocus={() => setAt(n)}
                                className={classes(
                                    'mono block min-w-5 cursor-grab border px-1.5 py-0.5 text-center text-[13px]',
                                    block.kind === 'text' ? 'border-rule border-dashed' : 'border-edge bg-paper',
                                    n === place && 'border-link! text-link',
                                    dragged === n && 'opacity-50',
                                )}
                            >
                                {said(block)}
                            </button>
                        </li>
                    ))}
                </ul>
            )}
            {chosen !== undefined && (
                <div className="flex flex-wrap items-center gap-2 pt-2 text-[13px]">
                    {chosen.kind === 'text' ? (
                        <label className="flex items-center gap-1.5">
                            text
                            <input
                                data-own
                                className="input mono w-28!"
                                value={chosen.text}
                                onChange={(event) => change({ kind: 'text', text: event.target.value })}
                            />
                        </label>
                    ) : isNumber(chosen) ? (
                        <label className="flex items-center gap-1.5">
                            digits of {chosen.name}
                            <input
                                data-own
                                className="input mono w-12!"
                                inputMode="numeric"
                                value={chosen.after}
                                onChange={(event) =>
                                    change({ ...chosen, after: event.target.value.replaceAll(/\D/g, '').slice(0, 2) })
                                }
                            />
                        </label>
                    ) : (
                        <span className="text-faint">
                            {PIECES.find((each) => each.name === chosen.name)?.says ?? 'a value of your own'}
                        </span>
                    )}
                    <button
                        type="button"
                        className="link"
                        disabled={place === 0}
                        onClick={() => put(moved(list, place, place - 1), place - 1)}
                    >
                        earlier
                    </button>
                    <button
                        type="button"
                        className="link"
                        disabled={place >= list.length - 1}
                        onClick={() => put(moved(list, place, place + 1), place + 1)}
                    >
                        later
                    </button>
                    <button
                        type="button"
                        className="link"
                        onClick={() =>
                            put(
                                list.filter((_, n) => n !== place),
                                place,
                            )
                        }
                    >
                        take out
                    </button>
                </div>
            )}
            <div className="flex flex-wrap items-center gap-1 pt-2 text-[13px]" role="group" aria-label="Add a piece">
                <span className="aside pr-1">add</span>
                {PIECES.filter((piece) => !folder || (piece.name !== 'frame' && piece.name !== 'ext')).map((piece) => (
                    <button
                        key={piece.name}
                        type="button"
                        title={piece.says}
                        className={classes(
                            'mono cursor-pointer border border-rule px-1.5 text-link hover:border-link',
                            'disabled:cursor-default disabled:text-faint',
                        )}
                        disabled={
                            (piece.name === 'ext' || piece.name === 'frame') &&
                            list.some((block) => block.kind === 'piece' && block.name === piece.name)
                        }
                        onClick={() =>
                            piece.name === 'ext'
                                ? put([...list, { kind: 'piece', name: 'ext', after: '' }], list.length)
                                : insert({ kind: 'piece', name: piece.name, after: piece.after })
                        }
                    >
                        {piece.name}
                    </button>
                ))}
                {SEPARATORS.filter((separator) => folder || separator !== '/').map((separator) => (
                    <button
                        key={separator}
                        type="button"
                        aria-label={`text ${separator}`}
                        className={classes(
                            'mono min-w-6 cursor-pointer border border-rule border-dashed px-1.5',
                            'text-link hover:border-link',
                        )}
                        onClick={() => insert({ kind: 'text', text: separator })}
                    >
                        {separator}
                    </button>
                ))}
            </div>
        </div>
    );
}
