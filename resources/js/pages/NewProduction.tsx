import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { ProductionForm, type ProductionData } from '../features/people/ProductionForm';
import { HousePreset } from '../features/people/HousePreset';
import { Zone } from '../features/people/Zone';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Field } from '../parts/Field';
import type { NewProductionPage } from '../types/views';

/** A production that is begun. */
export default function NewProduction({ kinds, intake, presets, zones }: NewProductionPage) {
    const form = useForm<ProductionData>({
        name: '',
        code: '',
        kind: kinds[0] ?? 'film',
        rate: '',
        preset: '',
        time_zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('production.store'));
    };
    const folder = form.data.code
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '_')
        .replace(/^_+|_+$/g, '');

    return (
        <Book title={t`A new production`} book={null}>
            <form onSubmit={submit} className="max-w-[720px] px-6 py-4" noValidate>
                <h1 className="title pb-2 text-[24px]">
                    <Trans>A new production</Trans>
                </h1>
                <ProductionForm form={form} kinds={kinds}>
                    <HousePreset
                        presets={presets}
                        chosen={form.data.preset ?? ''}
                        onChoose={(preset) => form.setData('preset', preset)}
                    />
                    <Field
                        id="production-rate"
                        label={t`Frame rate`}
                        fault={form.errors.rate ?? form.errors.refused}
                        help={t`Of everything in it, unless something says otherwise. Empty: as the preset has it.`}
                    >
                        <input
                            id="production-rate"
                            className="input mono w-48!"
                            value={form.data.rate ?? ''}
                            placeholder="24"
                            onChange={(event) => form.setData('rate', event.target.value)}
                        />
                    </Field>
                    <Zone
                        zones={zones}
                        zone={form.data.time_zone ?? ''}
                        usual="UTC"
                        fault={form.errors.time_zone}
                        onChange={(zone) => form.setData('time_zone', zone)}
                    />
                </ProductionForm>
                <p className="pt-3 text-[13px] text-faint">
                    <Trans>
                        Its files will be handed in below{' '}
                        <span className="mono [overflow-wrap:anywhere]">
                            {intake}/{folder === '' ? '…' : folder}
                        </span>
                        , a folder for each {form.data.kind === 'course' ? t`learner` : t`deliverable`}.
                    </Trans>
                </p>
                <p className="pt-4">
                    <button className="btn btn-primary" disabled={form.processing}>
                        <Trans>Begin it</Trans>
                    </button>
                </p>
            </form>
        </Book>
    );
}
