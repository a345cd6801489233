import { t } from '@lingui/core/macro';
import { useId, useRef, useState, type KeyboardEvent, type Ref, type RefObject } from 'react';
import { classes } from '../lib/classes';
import type { OfferedRequirement } from '../types/views';

const MOST = 12;

/** How well an entry fits: its own words first, then any usual word for it. */
function fit(each: OfferedRequirement, text: string): number {
    const [label, also] = [each.label.toLowerCase(), each.also.toLowerCase()];
    if (label.startsWith(text) || also.split(/,\s*/).includes(text)) {
        return 0;
    }
    if (label.split(/\s/).some((word) => word.startsWith(text))) {
        return 1;
    }
    if (also.split(/[\s,]+/).some((word) => word.startsWith(text)) || also.includes(text)) {
        return 2;
    }
    const all = `${label} ${also} ${each.id} ${each.group.toLowerCase()} ${each.words.join(' ').toLowerCase()}`;

    return text.split(/\s+/).every((word) => all.includes(word)) ? 3 : 9;
}

/** A fact of the production's own, by the words that were typed. */
function ownFact(text: string): OfferedRequirement | null {
    const name = text
        .trim()
        .toLowerCase()
        .replace(/^other\./, '')
        .replaceAll(/[^a-z0-9_-]+/g, '_')
        .replaceAll(/^_+|_+$/g, '')
        .slice(0, 60);

    return name === ''
        ? null
        : {
              id: `other.${name}`,
              label: `${name.charAt(0).toUpperCase()}${name.slice(1).replaceAll('_', ' ')}`,
              group: 'Render',
              example: t`a fact of your own`,
              also: '',
              words: [],
          };
}

function short(text: string): string {
    return text.length > 30 ? `${text.slice(0, 28)}…` : text;
}

/** What is offered for what was typed: what fits best first, and a fact of one's own last. */
function offers(
    offered: OfferedRequirement[],
    asked: Partial<Record<string, string>> | undefined,
    text: string,
): OfferedRequirement[] {
    const wanted = text.trim().toLowerCase();
    const own = ownFact(text);
    const fitting = offered
        // while nothing is typed, only what is not asked yet is offered
        .filter((each) => wanted !== '' || asked?.[each.id] === undefined)
        .map((each, place) => ({ each, place, fit: wanted === '' ? 0 : fit(each, wanted) }))
        .filter((one) => one.fit < 9)
        .sort((a, b) => a.fit - b.fit || a.place - b.place)
        .map(({ each }) => each);

    return [...(wanted === '' ? fitting : fitting.slice(0, MOST)), ...(own === null ? [] : [own])];
}

/** The list below the field. */
function Offers({
    name,
    label,
    shown,
    at,
    asked,
    list,
    onTake,
}: {
    name: string;
    label: string;
    shown: OfferedRequirement[];
    at: number;
    asked: Partial<Record<string, string>> | undefined;
    list: RefObject<HTMLUListElement | null>;
    onTake: (taken: OfferedRequirement) => void;
}) {
    return (
        <ul
            ref={list}
            id={`${name}-list`}
            role="listbox"
            aria-label={label}
            className="scroll absolute inset-x-0 top-full z-30 max-h-72 border border-edge bg-sheet"
        >
            {shown.map((each, n) => (
                <li
                    key={each.id}
                    id={`${name}-${each.id}`}
                    role="option"
                    aria-selected={n === at}
                    className={classes(
                        'grid cursor-pointer grid-cols-[1fr_auto] gap-x-3 px-2 py-1',
                        n === at && 'bg-[color-mix(in_oklab,var(--color-primary)_14%,var(--color-sheet))]',
                    )}
                    onMouseDown={(event) => {
                        event.preventDefault();
                        onTake(each);
                    }}
                >
                    <span>
                        {each.label}{' '}
                        <span className="text-[12.5px] text-faint">
                            {each.id.startsWith('other.') ? each.id : each.group}
                        </span>
                    </span>
                    <span className="text-[12.5px] text-faint">
                        {asked?.[each.id] !== undefined && t`now: `}
                        <span className="mono">{short(asked?.[each.id] ?? each.example)}</span>
                    </span>
                </li>
            ))}
        </ul>
    );
}

/** What is typed, which of the offers is chosen, and what keys do about it. */
function useFinder(
    offered: OfferedRequirement[],
    asked: Partial<Record<string, string>> | undefined,
    onTake: (taken: OfferedRequirement) => void,
) {
    const [text, setText] = useState('');
    const [at, setAt] = useState(0);
    const [open, setOpen] = useState(false);
    const list = useRef<HTMLUListElement>(null);
    const shown = offers(offered, asked, text);
    const chosen = shown[Math.min(at, shown.length - 1)];
    const take = (taken: OfferedRequirement | undefined) => {
        if (taken !== undefined) {
            setText('');
            setOpen(false);
            setAt(0);
            onTake(taken);
        }
    };
    const move = (way: 1 | -1) => {
        const to = open ? Math.max(0, Math.min(shown.length - 1, at + way)) : at;
        setOpen(true);
        setAt(to);
        list.current?.children[to]?.scrollIntoView({ block: 'nearest' });
    };
    const press = (event: KeyboardEvent<HTMLInputElement>) => {
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            move(event.key === 'ArrowDown' ? 1 : -1);
        } else if (event.key === 'Enter') {
            event.preventDefault();
            take(open ? chosen : undefined);
        } else if (event.key === 'Escape') {
            event.stopPropagation();
            setOpen(false);
            setText('');
        }
    };
    const type = (typed: string) => {
        setText(typed);
        setAt(0);
        setOpen(true);
    };

    return { text, at, isOpen: open && shown.length > 0, setOpen, list, shown, chosen, take, press, type };
}

/** Finds a requirement by any usual word for it. Down and up go along, Enter takes one. */
export function Finder({
    offered,
    label,
    asked,
    onTake,
    field,
}: {
    offered: OfferedRequirement[];
    label: string;
    asked?: Partial<Record<string, string>>;
    onTake: (taken: OfferedRequirement) => void;
    field?: Ref<HTMLInputElement>;
}) {
    const { text, at, isOpen, setOpen, list, shown, chosen, take, press, type } = useFinder(offered, asked, onTake);
    const name = useId();

    return (
        <div className="relative max-w-[440px]">
            <label htmlFor={name} className="aside block text-[13px]">
                {label}
            </label>
            <input
                id={name}
                ref={field}
                role="combobox"
                aria-expanded={isOpen}
                aria-controls={`${name}-list`}
                aria-autocomplete="list"
                aria-activedescendant={isOpen && chosen !== undefined ? `${name}-${chosen.id}` : undefined}
                className="input"
                value={text}
                placeholder={t`type any word for it: fps, padding, handles, codec`}
                autoComplete="off"
                spellCheck={false}
                onChange={(event) => type(event.target.value)}
                onClick={() => setOpen(true)}
                onBlur={() => setOpen(false)}
                onKeyDown={press}
            />
            {isOpen && (
                <Offers name={name} label={label} shown={shown} at={at} asked={asked} list={list} onTake={take} />
            )}
        </div>
    );
}
