import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState, type SyntheticEvent } from 'react';
import { Beginning, type Way } from '../features/production/Beginning';
import { OwnerAndDue } from '../features/production/OwnerAndDue';
import { useDeliverableForm, type Set } from '../features/production/deliverableForm';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Field } from '../parts/Field';
import type { NewDeliverablePage } from '../types/views';

export default function NewDeliverable(page: NewDeliverablePage) {
    const { book, specifications, people } = page;
    const production = book.production.id;
    const first = specifications[0];
    const form = useDeliverableForm(first === undefined ? '' : String(first.id), page.presets[0]?.word ?? '');
    const [way, setWay] = useState<Way>('preset');
    const set: Set = (key) => (event) => form.setData(key, event.target.value);
    const isNew = form.data.specification === '';
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.post(to('deliverable.store', { production }), { forceFormData: true });
    };

    return (
        <Book title={t`A new deliverable`} book={book}>
            <form onSubmit={submit} className="max-w-[720px] px-6 py-4" noValidate>
                <h1 className="title pb-2 text-[24px]">
                    <Trans>A new deliverable</Trans>
                </h1>
                <Field
                    id="code"
                    label={t`Code`}
                    fault={form.errors.code}
                    help={t`It stands for '{shot}' in names and folders.`}
                >
                    <input
                        id="code"
                        className="input mono"
                        value={form.data.code}
                        onChange={set('code')}
                        placeholder={`${book.production.code}_050`}
                    />
                </Field>
                <Field id="title" label={t`Title`} fault={form.errors.title}>
                    <input id="title" className="input" value={form.data.title} onChange={set('title')} />
                </Field>
                <Field id="specification" label={t`Specification`} fault={form.errors.specification}>
                    <select
                        id="specification"
                        className="select"
                        value={form.data.specification}
                        onChange={set('specification')}
                    >
                        {specifications.map((each) => (
                            <option key={each.id} value={each.id}>
                                {each.title}
                            </option>
                        ))}
                        <option value="">
                            <Trans>a new one</Trans>
                        </option>
                    </select>
                </Field>
                {isNew && (
                    <Beginning production={production} offered={page} way={way} onWay={setWay} form={form} set={set} />
                )}
                <Field
                    id="range"
                    label={t`Frame range`}
                    fault={form.errors.range ?? form.errors.refused}
                    help={t`Like 1001-1096. It can be set later.`}
                >
                    <input id="range" className="input mono" value={form.data.range} onChange={set('range')} />
                </Field>
                <OwnerAndDue people={people} values={form.data} errors={form.errors} onChange={form.setData} />
                <p className="pt-4">
                    <button
                        className="btn btn-primary"
                        disabled={form.processing || (isNew && way === 'files' && form.data.begin !== 'files')}
                    >
                        <Trans>Add it</Trans>
                    </button>
                </p>
            </form>
        </Book>
    );
}
