import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useRef, useState } from 'react';
import { refusal } from '../../lib/trouble';
import { EditableText } from '../../parts/EditableText';
import { Fault } from '../../parts/Fault';
import { Finder } from '../../parts/Finder';
import { Heading } from '../../parts/Heading';
import { InlineField } from '../../parts/InlineField';
import { LedgerHead } from '../../parts/LedgerHead';
import type { OfferedRequirement, StartingLine } from '../../types/views';

type Send = (
    data: Record<string, string | boolean | null>,
    done?: { kept?: () => void; refused?: (errors: Record<string, string>) => void },
) => void;

/** A starting value while it is typed: kept on Enter or when it is left. */
function StartingField({
    id,
    label,
    start,
    token,
    example,
    send,
    onDone,
}: {
    id: string;
    label: string;
    start: string;
    token: string | null;
    example: string;
    send: Send;
    onDone: () => void;
}) {
    const [value, setValue] = useState(start);
    const [fault, setFault] = useState<string | null>(null);
    const sending = useRef(false);
    const keep = () => {
        if (sending.current) {
            return;
        }
        if (value.trim() === '' || value.trim() === start) {
            onDone();

            return;
        }
        sending.current = true;
        const refused = (errors: Record<string, string>) => {
            sending.current = false;
            setFault(refusal(errors, t`This could not be saved.`, 'conflict', 'value', 'refused'));
        };
        send({ id, value, level: 'must', starting: true, seen: token }, { kept: onDone, refused });
    };

    return (
        <>
            <InlineField
                label={t`Starting value of ${label}`}
                value={value}
                className="input mono"
                placeholder={t`like ${example}`}
                isWrong={fault !== null}
                onChange={setValue}
                onKeep={keep}
                onLeave={onDone}
            />
            <Fault says={fault} className="text-[13px]" />
        </>
    );
}

function Row({
    line,
    example,
    editing,
    onEdit,
    send,
}: {
    line: StartingLine;
    example: string;
    editing: boolean;
    onEdit: (editing: boolean) => void;
    send: Send;
}) {
    const value = line.values.join(' | ');
    const drop = () => send({ id: line.id, level: 'must', drop: true, starting: true, seen: line.token });

    return (
        <tr>
            <th scope="row">{line.label}</th>
            <td className="column">
                {editing ? (
                    <StartingField
                        id={line.id}
                        label={line.label}
                        start={value}
                        token={line.token}
                        example={example}
                        send={send}
                        onDone={() => onEdit(false)}
                    />
                ) : (
                    <EditableText
                        label={line.label}
                        text={value}
                        className="mono w-full text-left"
                        onEdit={() => onEdit(true)}
                    />
                )}
            </td>
            <td className="column">
                <button type="button" className="link text-[13px]" onClick={drop}>
                    <Trans>take out</Trans>
                </button>
            </td>
        </tr>
    );
}

function Rows({
    lines,
    exampleOf,
    open,
    onOpen,
    send,
}: {
    lines: StartingLine[];
    exampleOf: (id: string) => string;
    open: string | null;
    onOpen: (id: string | null) => void;
    send: Send;
}) {
    return lines.length === 0 ? (
        <p className="pt-2 text-faint">
            <Trans>None yet.</Trans>
        </p>
    ) : (
        <table className="ledger mt-2">
            <LedgerHead
                columns={[
                    [t`setting`, '24%'],
                    [t`an untouched scene shows`, '50%'],
                    [
                        <span className="sr-only">
                            <Trans>away with it</Trans>
                        </span>,
                        '26%',
                    ],
                ]}
            />
            <tbody>
                {lines.map((line) => (
                    <Row
                        key={line.id}
                        line={line}
                        example={exampleOf(line.id)}
                        editing={open === line.id}
                        onEdit={(editing) => onOpen(editing ? line.id : null)}
                        send={send}
                    />
                ))}
            </tbody>
        </table>
    );
}

/** What a scene shows that nobody has touched yet. */
export function StartingValues({
    lines,
    offered,
    send,
}: {
    lines: StartingLine[];
    offered: OfferedRequirement[];
    send: Send;
}) {
    const [open, setOpen] = useState<string | null>(null);
    const [first, setFirst] = useState<OfferedRequirement | null>(null);
    const shown: Partial<Record<string, string>> = Object.fromEntries(
        lines.map((line) => [line.id, line.values.join(' | ')]),
    );
    const exampleOf = (id: string) => offered.find((each) => each.id === id)?.example ?? '';

    return (
        <>
            <Heading className="mt-8">
                <Trans>Starting values</Trans>
            </Heading>
            <p className="max-w-[70ch] py-2 text-faint">
                <Trans>
                    What a scene shows that nobody has touched yet. A setting that still has its starting value is told
                    as forgotten, rather than as chosen. Several are written with a bar between them: 1920x1080 |
                    1280x720.
                </Trans>
            </p>
            <Finder
                label={t`Add a starting value`}
                offered={offered}
                asked={shown}
                onTake={(taken) => (shown[taken.id] === undefined ? setFirst(taken) : setOpen(taken.id))}
            />
            {first !== null && (
                <div className="my-2 max-w-[640px] border border-edge px-3 py-2">
                    <p className="font-semibold">{first.label}</p>
                    <StartingField
                        key={first.id}
                        id={first.id}
                        label={first.label}
                        start=""
                        token={null}
                        example={first.example}
                        send={send}
                        onDone={() => setFirst(null)}
                    />
                </div>
            )}
            <Rows lines={lines} exampleOf={exampleOf} open={open} onOpen={setOpen} send={send} />
        </>
    );
}
