import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Fragment, useState } from 'react';
import { useOpenSet } from '../../lib/useOpenSet';
import { Choices } from '../../parts/Choices';
import { LedgerHead } from '../../parts/LedgerHead';
import type { Entry, Ledger } from '../../types/views';
import { EntryLine } from './EntryLine';
import { lineKey } from './notes';

const WHICH = [
    [false, t`Everything`],
    [true, t`Only what does not balance`],
] as const;

const isGood = (entry: { mark: Entry['mark'] }): boolean => entry.mark === 'equal' || entry.mark === 'waived';

/** What nobody could look at, by the reason; the same of several parts or passes is said once with all of them. */
function byReason(lines: Ledger['document']['not_checked'], labels: Ledger['labels']): [string, string[]][] {
    const reasons = new Map<string, Map<string, Set<string>>>();
    const parts = new Set(lines.map((line) => line.part));
    for (const line of lines) {
        const own = reasons.get(line.why) ?? new Map<string, Set<string>>();
        const label = labels[line.id]?.label.toLowerCase() ?? line.id;
        const whose = own.get(label) ?? new Set<string>();
        const place = [parts.size > 1 ? line.part : null, line.pass ?? null]
            .filter((piece) => piece !== null)
            .join(', ');
        if (place !== '') {
            whose.add(place);
        }
        reasons.set(line.why, own.set(label, whose));
    }

    return [...reasons].map(([why, own]) => [
        why,
        [...own].map(([label, whose]) => (whose.size === 0 ? label : `${label} (${[...whose].join('; ')})`)),
    ]);
}

/** The entries of a part by their groups, in the order of the ledger. */
function byGroup(entries: Entry[], labels: Ledger['labels']): [string, Entry[]][] {
    const found = new Map<string, Entry[]>();
    for (const entry of entries) {
        const group = labels[entry.id]?.group ?? '';
        found.set(group, [...(found.get(group) ?? []), entry]);
    }

    return [...found];
}

/** How many balance, of all or of one side; what has changed since does not count on its side. */
function balance(entries: Entry[], side: 'mark' | 'scene' | 'files'): string {
    const marks = entries
        .map((entry) => (side === 'mark' ? entry : entry[side]))
        .filter((cell) => cell !== undefined)
        .filter((cell) => !('stale' in cell && cell.stale));

    return t`${marks.filter(isGood).length} of ${marks.length}`;
}

/** The name of a group; one that balances can be folded. */
function GroupHead({
    group,
    part,
    entries,
    closed,
    onFold,
}: {
    group: string;
    /** where there are several */
    part: string | null;
    entries: Entry[];
    closed: boolean;
    onFold: () => void;
}) {
    const name = (
        <>
            {group}
            {part !== null && (
                <span className="aside">
                    <Trans> of {part}</Trans>
                </span>
            )}
        </>
    );

    return (
        <tr className="group">
            <th scope="rowgroup" colSpan={4}>
                {entries.every(isGood) ? (
                    <button type="button" className="title cursor-pointer" aria-expanded={!closed} onClick={onFold}>
                        {name}
                        {closed && (
                            <span className="aside font-normal">
                                <Trans> · {entries.length} balance</Trans>
                            </span>
                        )}
                    </button>
                ) : (
                    <span className="title">{name}</span>
                )}
            </th>
        </tr>
    );
}

function NotChecked({ ledger }: { ledger: Ledger }) {
    const lines = ledger.document.not_checked;

    return lines.length === 0 ? null : (
        <section className="pt-3" aria-label={t`Not checked`}>
            {byReason(lines, ledger.labels).map(([why, labels]) => (
                <p key={why} className="aside">
                    <Trans>
                        Not checked, {why}: {labels.join(', ')}.
                    </Trans>
                </p>
            ))}
        </section>
    );
}

const side = (name: string, isGiven: boolean) => (
    <>
        {name}
        {!isGiven && (
            <span className="text-[12.5px]">
                <Trans>, not given</Trans>
            </span>
        )}
    </>
);

/** Required, scene and files side by side, one requirement a line; causes by the numbers of their notes. */
export function LedgerTable({
    ledger,
    numbers,
    touched,
    mayWaive,
    onTouch,
}: {
    ledger: Ledger;
    mayWaive: boolean;
    numbers: Map<string, number[]>;
    touched: number | null;
    onTouch: (note: number | null) => void;
}) {
    const [onlyTrouble, setOnlyTrouble] = useState(false);
    const { open: folded, set: fold } = useOpenSet<string>();
    const { entries } = ledger.document;
    const parts = [...new Set(entries.map((entry) => entry.part))];
    const shown = onlyTrouble ? entries.filter((entry) => entry.mark !== 'equal') : entries;
    const hasScene = ledger.scene !== null;
    const hasFiles = ledger.delivery !== null;

    return (
        <div className="px-6 pb-8">
            <Choices
                label={t`Which lines`}
                className="gap-x-4! pt-3 pb-1"
                words={WHICH}
                chosen={onlyTrouble}
                onChoose={setOnlyTrouble}
            />
            <table className="ledger">
                <LedgerHead
                    columns={[
                        [t`requirement`, '23%'],
                        [t`required`, '25%'],
                        [side(t`in the scene`, hasScene), '26%'],
                        [side(t`in the files`, hasFiles), '26%'],
                    ]}
                />
                {parts.map((part) => (
                    <Fragment key={part}>
                        {byGroup(
                            shown.filter((entry) => entry.part === part),
                            ledger.labels,
                        ).map(([group, lines]) => {
                            const key = `${part}/${group}`;
                            const closed = folded.has(key);

                            return (
                                <tbody key={key}>
                                    <GroupHead
                                        group={group}
                                        part={parts.length > 1 ? part : null}
                                        entries={lines}
                                        closed={closed}
                                        onFold={() => fold([key], !closed)}
                                    />
                                    {(closed ? [] : lines).map((entry) => {
                                        const notes = numbers.get(lineKey(entry)) ?? [];

                                        return (
                                            <EntryLine
                                                key={`${entry.id}/${entry.pass ?? ''}`}
                                                entry={entry}
                                                ledger={ledger}
                                                notes={notes}
                                                touched={touched !== null && notes.includes(touched)}
                                                mayWaive={mayWaive}
                                                onTouch={onTouch}
                                            />
                                        );
                                    })}
                                </tbody>
                            );
                        })}
                    </Fragment>
                ))}
                <tfoot>
                    <tr>
                        <td colSpan={2}>
                            <Trans>{balance(entries, 'mark')} balance</Trans>
                        </td>
                        <td className="column">{hasScene ? balance(entries, 'scene') : ''}</td>
                        <td className="column">{hasFiles ? balance(entries, 'files') : ''}</td>
                    </tr>
                </tfoot>
            </table>
            <NotChecked ledger={ledger} />
        </div>
    );
}
