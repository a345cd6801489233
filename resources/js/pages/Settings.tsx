import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import { ProductionForm, type ProductionData } from '../features/people/ProductionForm';
import { Limits } from '../features/people/Limits';
import { OutOfTheWay } from '../features/people/OutOfTheWay';
import { Retention } from '../features/people/Retention';
import { Roots } from '../features/people/Roots';
import { Webhooks } from '../features/people/Webhooks';
import { Zone } from '../features/people/Zone';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { SettingsPage } from '../types/views';

/** What a production is called, and where its files lie. */
export default function Settings(page: SettingsPage) {
    const { book, kinds, roots, intake } = page;
    const { id, name, code, kind } = book.production;
    const form = useForm<ProductionData>({ name, code, kind, time_zone: page.zone });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.patch(to('settings.update', { production: id }), { preserveScroll: true });
    };

    return (
        <Book title={t`${name}, settings`} book={book}>
            <ProductionFolios book={book} at="settings" />
            <div className="px-6 pb-10">
                <form onSubmit={submit} className="max-w-[720px]" noValidate>
                    <ProductionForm form={form} kinds={kinds}>
                        <Zone
                            zones={page.zones}
                            zone={form.data.time_zone ?? ''}
                            usual={page.usualZone}
                            fault={form.errors.time_zone}
                            onChange={(zone) => form.setData('time_zone', zone)}
                        />
                    </ProductionForm>
                    <p className="pt-2">
                        <button className="btn" disabled={form.processing || !form.isDirty}>
                            <Trans>Save</Trans>
                        </button>
                    </p>
                </form>
                <Heading className="mt-6">
                    <Trans>Where its files lie</Trans>
                </Heading>
                <p className="said max-w-[66ch] py-2">
                    <Trans>
                        Folders below <span className="mono [overflow-wrap:anywhere]">{intake}</span>. In a path{' '}
                        <span className="mono">{'{shot}'}</span> and <span className="mono">{'{learner}'}</span> are
                        filled for each: then nobody looks into another’s.
                    </Trans>
                </p>
                <Roots production={id} roots={roots} />
                {page.administers && (
                    <>
                        <Heading className="mt-6">
                            <Trans>How much it may take</Trans>
                        </Heading>
                        <Limits production={id} limits={page.limits} />
                    </>
                )}
                <Heading className="mt-6">
                    <Trans>Programs elsewhere that are told</Trans>
                </Heading>
                <Webhooks production={id} page={page} />
                <Heading className="mt-6">
                    <Trans>How long checks are kept</Trans>
                </Heading>
                <Retention production={id} retention={page.retention} />
                <Heading className="mt-6">
                    <Trans>When it is over</Trans>
                </Heading>
                <OutOfTheWay page={page} />
            </div>
        </Book>
    );
}
