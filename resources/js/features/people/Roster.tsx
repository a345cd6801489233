import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { answer, xsrfToken } from '../../lib/ask';
import { to } from '../../lib/route';
import { asText } from '../../lib/spreadsheet';
import { sentence } from '../../lib/trouble';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { Labelled } from '../../parts/Field';
import type { RosterRead } from '../../types/views';

/** A line as the field of invitations takes it. */
const line = ({ name, email, number }: RosterRead['people'][number]): string =>
    [name.replaceAll(/[,;]/g, ' '), email, number === '' ? '' : `#${number}`].filter((each) => each !== '').join(', ');

async function read(production: number, files: File[], chosen: string): Promise<RosterRead> {
    const form = new FormData();
    for (const file of files) {
        form.append('files[]', file);
    }
    form.append('class', chosen);

    return answer<RosterRead>(
        await fetch(to('roster', { production }), {
            method: 'POST',
            headers: { Accept: 'application/json', 'X-XSRF-TOKEN': xsrfToken() },
            body: form,
        }),
    );
}

/** What was read of a roster, and which class of it is meant. */
function Found({
    roster,
    chosen,
    onChoose,
}: {
    roster: RosterRead;
    chosen: string;
    onChoose: (chosen: string) => void;
}) {
    const here = roster.people.filter(({ isHere }) => isHere).length;

    return (
        <div className="pt-2" role="status">
            {roster.classes.length > 1 && (
                <Labelled label={t`class`}>
                    <select className="select w-72!" value={chosen} onChange={(event) => onChoose(event.target.value)}>
                        <option value="">{t`all of them`}</option>
                        {roster.classes.map(({ id, title, people }) => (
                            <option key={id} value={id}>
                                {title}, {people}
                            </option>
                        ))}
                    </select>
                </Labelled>
            )}
            <p>
                <Trans>
                    {roster.people.length} people; {here} of them are here already. All stand in the field below.
                </Trans>
            </p>
            {roster.notes.map((says) => (
                <p key={says} className="text-[13px] text-ochre">
                    <Breaking text={says} />
                </p>
            ))}
        </div>
    );
}

/** People from another system's roster, put into the field of invitations. */
export function Roster({ production, onRead }: { production: number; onRead: (lines: string) => void }) {
    const [files, setFiles] = useState<File[]>([]);
    const [chosen, setChosen] = useState('');
    const [roster, setRoster] = useState<RosterRead | null>(null);
    const [fault, setFault] = useState<string | null>(null);
    const look = async (given: File[], from: string) => {
        setFiles(given);
        setChosen(from);
        setFault(null);
        try {
            const found = await read(production, await Promise.all(given.map(asText)), from);
            setRoster(found);
            onRead(
                found.people
                    .filter(({ teaches }) => !teaches)
                    .map(line)
                    .join('\n'),
            );
        } catch (trouble) {
            setFault(sentence(trouble, t`The roster could not be read.`));
        }
    };

    return (
        <div className="pb-2">
            <Labelled label={t`from a roster: a table, or the files of a OneRoster (also as zip)`}>
                <input
                    type="file"
                    multiple
                    className="file-input"
                    accept=".csv,.tsv,.txt,.xlsx,.zip"
                    onChange={(event) => {
                        const given = [...(event.target.files ?? [])];
                        if (given.length > 0) {
                            void look(given, '');
                        }
                    }}
                />
            </Labelled>
            <Fault says={fault} />
            {roster !== null && <Found roster={roster} chosen={chosen} onChoose={(from) => void look(files, from)} />}
        </div>
    );
}
