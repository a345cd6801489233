import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { answer, tellForm, xsrfToken } from '../../lib/ask';
import { to } from '../../lib/route';
import { asText } from '../../lib/spreadsheet';
import { sentence } from '../../lib/trouble';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import { Heading } from '../../parts/Heading';
import type { GradebookPage, TriedGradebook } from '../../types/views';
import { ColumnChoice, type Columns } from './ColumnChoice';

/** What could not be filled, and why. */
function Left({ tried }: { tried: TriedGradebook }) {
    const lists: [string, string[]][] = [
        [t`Rows of nobody who is known here`, tried.unknown],
        [t`Learners who stand in several rows; none of them is filled`, tried.twice],
        [t`Learners with points whom no row is for`, tried.absent],
        [t`Learners without points; their rows stay as they are`, tried.pointless],
    ];

    return lists.map(
        ([what, who]) =>
            who.length > 0 && (
                <p key={what} className="pt-1 text-[13px]">
                    <span className="text-ochre">{what}:</span> {who.join(', ')}
                </p>
            ),
    );
}

/** A workbook is read here and goes on as the CSV it comes back as. */
const asGiven = async (file: File): Promise<File> => {
    const text = await asText(file);

    return text === file ? file : new File([text], file.name.replace(/\.xlsx$/i, '.csv'), { type: 'text/csv' });
};

const save = (file: Blob, name: string) => {
    const url = URL.createObjectURL(file);
    const link = document.createElement('a');
    link.href = url;
    link.download = name;
    link.click();
    URL.revokeObjectURL(url);
};

/** Sends a gradebook, and tells what came of it. */
function useGradebook(production: number, assignment: number) {
    const [file, setFile] = useState<File | null>(null);
    const [tried, setTried] = useState<TriedGradebook | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const given = (sent: File, columns: Columns | null) => ({
        file: sent,
        assignment: String(assignment),
        columns: columns === null ? null : JSON.stringify(columns),
    });
    const carry = async (work: () => Promise<void>) => {
        setBusy(true);
        setFault(null);
        try {
            await work();
        } catch (trouble) {
            setFault(sentence(trouble, t`The gradebook could not be read.`));
        }
        setBusy(false);
    };
    const look = (chosen: File, columns: Columns | null) =>
        carry(async () => {
            const sent = await asGiven(chosen);
            setFile(sent);
            setTried(await tellForm<TriedGradebook>(to('gradebook.read', { production }), given(sent, columns)));
        });
    const fill = (columns: Columns) =>
        carry(async () => {
            if (file === null) {
                return;
            }
            const form = new FormData();
            for (const [key, value] of Object.entries(given(file, columns))) {
                if (value !== null) {
                    form.append(key, value);
                }
            }
            const response = await fetch(to('gradebook.fill', { production }), {
                method: 'POST',
                headers: { Accept: 'application/json', 'X-XSRF-TOKEN': xsrfToken() },
                body: form,
            });
            if (!response.ok) {
                await answer(response);
            }
            save(await response.blob(), file.name);
        });

    return { file, tried, fault, busy, look, fill };
}

/** Another system's gradebook: read, filled, and given back as it came. */
export function GradebookFile({ page: { assignments, book } }: { page: GradebookPage }) {
    const [assignment, setAssignment] = useState(assignments[0]?.id ?? 0);
    const { file, tried, fault, busy, look, fill } = useGradebook(book.production.id, assignment);
    const columns = tried?.columns ?? null;

    return (
        <section aria-labelledby="gradebook-file" className="print:hidden">
            <Heading className="pt-6">
                <span id="gradebook-file">
                    <Trans>Into another system’s gradebook</Trans>
                </span>
            </Heading>
            <p className="said max-w-[70ch] pt-1">
                <Trans>
                    Give the gradebook as that system exports it. It comes back with points in it, and all else as it
                    was.
                </Trans>
            </p>
            <div className="flex flex-wrap items-end gap-4 pt-2">
                <Labelled label={t`assignment`}>
                    <select
                        className="select w-60!"
                        value={assignment}
                        onChange={(event) => setAssignment(Number(event.target.value))}
                    >
                        {assignments.map(({ id, title }) => (
                            <option key={id} value={id}>
                                {title}
                            </option>
                        ))}
                    </select>
                </Labelled>
                <Labelled label={t`gradebook, CSV (or XLSX, which comes back as CSV)`}>
                    <input
                        type="file"
                        className="file-input"
                        accept=".csv,.tsv,.txt,.xlsx,text/csv"
                        onChange={(event) => {
                            const sent = event.target.files?.[0];
                            if (sent !== undefined) {
                                void look(sent, null);
                            }
                        }}
                    />
                </Labelled>
            </div>
            <Fault says={fault} className="pt-1" />
            {tried !== null && file !== null && (
                <div className="mt-3 border border-edge bg-paper px-4 py-3" role="status">
                    <ColumnChoice
                        key={`${file.name} ${String(columns === null)}`}
                        headings={tried.headings}
                        columns={columns}
                        onChange={(next) => void look(file, next)}
                    />
                    {columns !== null && (
                        <p className="pt-2">
                            <Trans>
                                {tried.filled} rows are filled; {tried.changed} of them had other points before.
                            </Trans>
                        </p>
                    )}
                    <Left tried={tried} />
                    {columns !== null && (
                        <button
                            type="button"
                            className="btn btn-primary mt-3"
                            disabled={busy || tried.filled === 0}
                            onClick={() => void fill(columns)}
                        >
                            <Trans>Take it with points</Trans>
                        </button>
                    )}
                </div>
            )}
        </section>
    );
}
