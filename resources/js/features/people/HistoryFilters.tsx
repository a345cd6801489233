import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState, type SyntheticEvent } from 'react';
import { Labelled } from '../../parts/Field';
import type { HistoryPage } from '../../types/views';

/** Which acts are looked for. */
export function Filters({ page, url }: { page: HistoryPage; url: string }) {
    const [asked, setAsked] = useState(page.filters);
    const set = (name: keyof typeof asked) => (event: { target: { value: string } }) =>
        setAsked({ ...asked, [name]: event.target.value });
    const look = (event: SyntheticEvent) => {
        event.preventDefault();
        router.get(url, asked, { preserveState: true });
    };

    return (
        <form onSubmit={look} className="flex flex-wrap items-end gap-3 pt-3">
            <Labelled label={t`about`}>
                <select className="select w-auto!" value={asked.about} onChange={set('about')}>
                    <option value="">
                        <Trans>everything</Trans>
                    </option>
                    {page.subjects.map((subject) => (
                        <option key={subject}>{subject}</option>
                    ))}
                </select>
            </Labelled>
            <Labelled label={t`who`}>
                <select className="select w-auto!" value={asked.who} onChange={set('who')}>
                    <option value="">
                        <Trans>anybody</Trans>
                    </option>
                    {page.people.map((name) => (
                        <option key={name}>{name}</option>
                    ))}
                </select>
            </Labelled>
            <Labelled label={t`words`}>
                <input className="input w-44!" value={asked.text} onChange={set('text')} />
            </Labelled>
            <Labelled label={t`from`}>
                <input type="date" className="input w-40!" value={asked.from} onChange={set('from')} />
            </Labelled>
            <Labelled label={t`to`}>
                <input type="date" className="input w-40!" value={asked.until} onChange={set('until')} />
            </Labelled>
            <button className="btn">
                <Trans>Look</Trans>
            </button>
        </form>
    );
}
