import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef, useState, type DragEvent, type KeyboardEvent, type RefObject } from 'react';
import { classes } from '../../lib/classes';
import { blocks, isNumber, joined, moved, PIECES, SEPARATORS, written, type Block } from './pattern';

/** Pieces that a pattern has once at most. */
const ONCE = ['ext', 'frame'];

function said(block: Block): string {
    if (block.kind === 'text') {
        return block.text.replaceAll(' ', '␣');
    }

    return block.after === '' ? block.name : `${block.name} ${block.after}`;
}

const isExtension = (block: Block | undefined): boolean => block?.kind === 'piece' && block.name === 'ext';

/** The blocks of a pattern, which one is chosen, and what can be done with them. */
function useBlocks(value: string, onChange: (value: string) => void) {
    const list = blocks(value);
    const [at, setAt] = useState(0);
    const row = useRef<HTMLUListElement>(null);
    const place = Math.min(at, Math.max(0, list.length - 1));
    const focus = (to: number) => row.current?.querySelectorAll<HTMLElement>('button')[to]?.focus();
    const put = (next: Block[], chosen: number) => {
        onChange(written(next));
        const to = Math.max(0, Math.min(chosen, joined(next).length - 1));
        setAt(to);
        requestAnimationFrame(() => focus(to));
    };
    const insert = (block: Block) => {
        // the extension stays last, and what is added comes behind the chosen one
        const end = isExtension(list[list.length - 1]) ? list.length - 1 : list.length;
        const behind = list.length === 0 ? 0 : Math.min(place + 1, end);
        put([...list.slice(0, behind), block, ...list.slice(behind)], behind);
    };

    return {
        list,
        place,
        row,
        choose: setAt,
        go: (to: number) => {
            setAt(to);
            focus(to);
        },
        put,
        insert,
        move: (from: number, to: number) => put(moved(list, from, to), to),
        remove: () =>
            put(
                list.filter((_, n) => n !== place),
                place,
            ),
        change: (block: Block) => onChange(written(list.map((each, n) => (n === place ? block : each)))),
    };
}

type Blocks = ReturnType<typeof useBlocks>;

/** Arrows go from one to the next, with Alt they move it, Delete takes it out. */
function press(event: KeyboardEvent<HTMLUListElement>, { list, place, go, move, remove }: Blocks): void {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (step !== undefined) {
        event.preventDefault();
        const to = place + step;
        if (to >= 0 && to < list.length) {
            (event.altKey ? () => move(place, to) : () => go(to))();
        }
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
        event.preventDefault();
        remove();
    } else if (event.key === 'Enter') {
        // Enter on a block does not keep the whole: its own field is next
        event.preventDefault();
        event.currentTarget.closest('[data-builder]')?.querySelector<HTMLElement>('[data-own]')?.focus();
    }
}

function BlockButton({ block, n, own, dragged }: { block: Block; n: number; own: Blocks; dragged: boolean }) {
    const kind = block.kind === 'text' ? t`text ${block.text}` : t`piece ${said(block)}`;

    return (
        <button
            type="button"
            tabIndex={n === own.place ? 0 : -1}
            aria-pressed={n === own.place}
            aria-label={t`${kind}, ${n + 1} of ${own.list.length}`}
            onClick={() => own.choose(n)}
            onFocus={() => own.choose(n)}
            className={classes(
                'mono block min-w-5 cursor-grab border px-1.5 py-0.5 text-center text-[13px]',
                block.kind === 'text' ? 'border-rule border-dashed' : 'border-edge bg-paper',
                n === own.place && 'border-link! text-link',
                dragged && 'opacity-50',
            )}
        >
            {said(block)}
        </button>
    );
}

/** The blocks in a row; they can be dragged as well. */
function Row({ own, row }: { own: Blocks; row: RefObject<HTMLUListElement | null> }) {
    const [dragged, setDragged] = useState<number | null>(null);
    const drop = (event: DragEvent, n: number) => {
        event.preventDefault();
        if (dragged !== null) {
            own.move(dragged, n);
        }
        setDragged(null);
    };

    return (
        <ul
            ref={row}
            className="flex flex-wrap items-stretch gap-y-1"
            aria-label={t`Pieces of the pattern: arrows go along, Alt and arrows move one, Delete takes it out`}
            onKeyDown={(event) => press(event, own)}
        >
            {own.list.map((block, n) => (
                <li
                    key={n}
                    draggable
                    onDragStart={(event) => {
                        event.dataTransfer.effectAllowed = 'move';
                        event.dataTransfer.setData('text/plain', String(n));
                        setDragged(n);
                    }}
                    onDragEnd={() => setDragged(null)}
                    onDragOver={(event) => dragged !== null && event.preventDefault()}
                    onDrop={(event) => drop(event, n)}
                >
                    <BlockButton block={block} n={n} own={own} dragged={dragged === n} />
                </li>
            ))}
        </ul>
    );
}

/** What of the chosen block can be typed. */
function OwnField({ block, onChange }: { block: Block; onChange: (block: Block) => void }) {
    if (block.kind === 'text') {
        return (
            <label className="flex items-center gap-1.5">
                <Trans>text</Trans>
                <input
                    data-own
                    className="input mono w-28!"
                    value={block.text}
                    onChange={(event) => onChange({ kind: 'text', text: event.target.value })}
                />
            </label>
        );
    }
    if (!isNumber(block)) {
        return (
            <span className="text-faint">
                {PIECES.find((each) => each.name === block.name)?.says ?? t`a value of your own`}
            </span>
        );
    }

    return (
        <label className="flex items-center gap-1.5">
            <Trans>digits of {block.name}</Trans>
            <input
                data-own
                className="input mono w-12!"
                inputMode="numeric"
                value={block.after}
                onChange={(event) =>
                    onChange({ ...block, after: event.target.value.replaceAll(/\D/g, '').slice(0, 2) })
                }
            />
        </label>
    );
}

/** The chosen block: what can be typed of it, and where it can go. */
function Chosen({ own }: { own: Blocks }) {
    const { list, place } = own;
    const block = list[place];

    return block === undefined ? null : (
        <div className="flex flex-wrap items-center gap-2 pt-2 text-[13px]">
            <OwnField block={block} onChange={own.change} />
            <button type="button" className="link" disabled={place === 0} onClick={() => own.move(place, place - 1)}>
                <Trans>earlier</Trans>
            </button>
            <button
                type="button"
                className="link"
                disabled={place >= list.length - 1}
                onClick={() => own.move(place, place + 1)}
            >
                <Trans>later</Trans>
            </button>
            <button type="button" className="link" onClick={own.remove}>
                <Trans>take out</Trans>
            </button>
        </div>
    );
}

/** What can be added. */
function Additions({ own, folder }: { own: Blocks; folder: boolean }) {
    const { list } = own;
    const has = (name: string) => list.some((block) => block.kind === 'piece' && block.name === name);
    const add = (name: string, after: string) =>
        name === 'ext'
            ? own.put([...list, { kind: 'piece', name, after: '' }], list.length)
            : own.insert({ kind: 'piece', name, after });

    return (
        <div className="flex flex-wrap items-center gap-1 pt-2 text-[13px]" role="group" aria-label={t`Add a piece`}>
            <span className="aside pr-1">
                <Trans>add</Trans>
            </span>
            {PIECES.filter((piece) => !folder || !ONCE.includes(piece.name)).map((piece) => (
                <button
                    key={piece.name}
                    type="button"
                    title={piece.says}
                    className={classes(
                        'mono cursor-pointer border border-rule px-1.5 text-link hover:border-link',
                        'disabled:cursor-default disabled:text-faint',
                    )}
                    disabled={ONCE.includes(piece.name) && has(piece.name)}
                    onClick={() => add(piece.name, piece.after)}
                >
                    {piece.name}
                </button>
            ))}
            {SEPARATORS.filter((separator) => folder || separator !== '/').map((separator) => (
                <button
                    key={separator}
                    type="button"
                    aria-label={t`text ${separator}`}
                    className={classes(
                        'mono min-w-6 cursor-pointer border border-rule border-dashed px-1.5',
                        'text-link hover:border-link',
                    )}
                    onClick={() => own.insert({ kind: 'text', text: separator })}
                >
                    {separator}
                </button>
            ))}
        </div>
    );
}

/** The pieces of a pattern as blocks. */
export function PatternBuilder({
    value,
    folder,
    onChange,
}: {
    value: string;
    folder: boolean;
    onChange: (value: string) => void;
}) {
    const own = useBlocks(value, onChange);

    return (
        <div data-builder className="my-1 border border-rule px-2 py-2">
            {own.list.length === 0 ? (
                <p className="text-[13px] text-faint">
                    <Trans>No pieces yet. Add some, or type the pattern above.</Trans>
                </p>
            ) : (
                <Row own={own} row={own.row} />
            )}
            <Chosen own={own} />
            <Additions own={own} folder={folder} />
        </div>
    );
}
