import { useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { ProductionForm, type ProductionData } from '../features/people/ProductionForm';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Field } from '../parts/Field';
import type { NewProductionPage } from '../types/views';

/** A production that is begun. */
export default function NewProduction({ kinds, intake }: NewProductionPage) {
    const form = useForm<ProductionData>({ name: '', code: '', kind: kinds[0] ?? 'film', rate: '' });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('production.store'));
    };
    const folder = form.data.code
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '_')
        .replace(/^_+|_+$/g, '');

    return (
        <Book title="A new production" book={null}>
            <form onSubmit={submit} className="max-w-[720px] px-6 py-4" noValidate>
                <h1 className="title pb-2 text-[24px]">A new production</h1>
                <ProductionForm form={form} kinds={kinds}>
                    <Field
                        id="production-rate"
                        label="Frame rate"
                        fault={form.errors.rate ?? form.errors.refused}
                        help="Of everything in it, unless something says otherwise. It can be set later."
                    >
                        <input
                            id="production-rate"
                            className="input mono w-48!"
                            value={form.data.rate}
                            placeholder="24"
                            onChange={(event) => form.setData('rate', event.target.value)}
                        />
                    </Field>
                </ProductionForm>
                <p className="pt-3 text-[13px] text-faint">
                    Its files will be handed in below{' '}
                    <span className="mono [overflow-wrap:anywhere]">
                        {intake}/{folder === '' ? '…' : folder}
                    </span>
                    , a folder for each {form.data.kind === 'course' ? 'learner' : 'deliverable'}.
                </p>
                <p className="pt-4">
                    <button className="btn btn-primary" disabled={form.processing}>
                        Begin it
                    </button>
                </p>
            </form>
        </Book>
    );
}
