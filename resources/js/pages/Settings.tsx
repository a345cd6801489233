import { useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { ProductionForm, type ProductionData } from '../features/people/ProductionForm';
import { Roots } from '../features/people/Roots';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { SettingsPage } from '../types/views';

/** What a production is called, and where its files lie. */
export default function Settings({ book, kinds, roots, intake }: SettingsPage) {
    const { id, name, code, kind } = book.production;
    const form = useForm<ProductionData>({ name, code, kind });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.patch(to('settings.update', { production: id }), { preserveScroll: true });
    };

    return (
        <Book title={`${name}, settings`} book={book}>
            <ProductionFolios book={book} at="settings" />
            <div className="px-6 pb-10">
                <form onSubmit={submit} className="max-w-[720px]" noValidate>
                    <ProductionForm form={form} kinds={kinds} />
                    <p className="pt-2">
                        <button className="btn" disabled={form.processing || !form.isDirty}>
                            Save
                        </button>
                    </p>
                </form>
                <Heading className="mt-6">Where its files lie</Heading>
                <p className="said max-w-[66ch] py-2">
                    Folders below <span className="mono [overflow-wrap:anywhere]">{intake}</span>. In a path{' '}
                    <span className="mono">{'{shot}'}</span> and <span className="mono">{'{learner}'}</span> are filled
                    for each: then nobody looks into another’s.
                </p>
                <Roots production={id} roots={roots} />
            </div>
        </Book>
    );
}
