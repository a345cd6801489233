import { useForm } from '@inertiajs/react';
import type { FormEvent, ReactNode } from 'react';
import { Book } from '../parts/Book';
import type { Book as BookData } from '../types/book';

interface Fields {
    code: string;
    title: string;
    specification: string;
    newTitle: string;
    document: File | null;
    owner: string;
    due: string;
    range: string;
    [key: string]: string | File | null;
}

function Line({ id, label, fault, help, children }: { id: string; label: string; fault?: string | undefined; help?: string; children: ReactNode }) {
    return (
        <div className="grid grid-cols-[150px_minmax(0,1fr)] items-baseline gap-x-4 border-b border-rule py-2">
            <label htmlFor={id}>{label}</label>
            <div>
                {children}
                {help !== undefined && <p className="text-[13px] text-faint">{help}</p>}
                {fault !== undefined && (
                    <p role="alert" className="text-[13px] text-red">
                        {fault}
                    </p>
                )}
            </div>
        </div>
    );
}

export default function NewDeliverable({ book, specifications, people }: { book: BookData; specifications: { id: number; title: string }[]; people: { id: number; name: string; role: string }[] }) {
    const form = useForm<Fields>({ code: '', title: '', specification: specifications[0] === undefined ? '' : String(specifications[0].id), newTitle: '', document: null, owner: '', due: '', range: '' });
    const set = (key: keyof Fields & string) => (event: { target: { value: string } }) => form.setData(key, event.target.value);
    const submit = (event: FormEvent) => {
        event.preventDefault();
        form.post(`/productions/${book.production.id}/deliverables`, { forceFormData: true });
    };
    const faults = form.errors as Record<string, string | undefined>;

    return (
        <Book title="A new deliverable" book={book}>
            <form onSubmit={submit} className="max-w-[720px] px-6 py-4" noValidate>
                <h1 className="title pb-2 text-[24px]">A new deliverable</h1>
                <Line id="code" label="Code" fault={faults.code} help="It stands for {shot} in names and folders.">
                    <input id="code" className="line-field mono" value={form.data.code} onChange={set('code')} placeholder={`${book.production.code}_050`} />
                </Line>
                <Line id="title" label="Title" fault={faults.title}>
                    <input id="title" className="line-field" value={form.data.title} onChange={set('title')} />
                </Line>
                <Line id="specification" label="Specification" fault={faults.specification}>
                    <select id="specification" className="line-field" value={form.data.specification} onChange={set('specification')}>
                        {specifications.map((each) => (
                            <option key={each.id} value={each.id}>
                                {each.title}
                            </option>
                        ))}
                        <option value="">a new one</option>
                    </select>
                </Line>
                {form.data.specification === '' && (
                    <>
                        <Line id="newTitle" label="Its title" fault={faults.newTitle}>
                            <input id="newTitle" className="line-field" value={form.data.newTitle} onChange={set('newTitle')} />
                        </Line>
                        <Line id="document" label="From a file" fault={faults.document} help="Optional: a plain-ledger/specification document. Without one it begins empty.">
                            <input id="document" type="file" accept=".json,application/json" className="file-input file-input-sm" onChange={(event) => form.setData('document', event.target.files?.[0] ?? null)} />
                        </Line>
                    </>
                )}
                <Line id="range" label="Frame range" fault={faults.range ?? faults.refused} help="Like 1001-1096. It can be set later.">
                    <input id="range" className="line-field mono" value={form.data.range} onChange={set('range')} />
                </Line>
                <Line id="owner" label="Owner" fault={faults.owner}>
                    <select id="owner" className="line-field" value={form.data.owner} onChange={set('owner')}>
                        <option value="">nobody yet</option>
                        {people.map((person) => (
                            <option key={person.id} value={person.id}>
                                {person.name}, {person.role}
                            </option>
                        ))}
                    </select>
                </Line>
                <Line id="due" label="Due" fault={faults.due}>
                    <input id="due" type="datetime-local" className="line-field w-56!" value={form.data.due} onChange={set('due')} />
                </Line>
                <p className="pt-4">
                    <button className="press strong" disabled={form.processing}>
                        Add it
                    </button>
                </p>
            </form>
        </Book>
    );
}
