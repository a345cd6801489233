import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useForm } from '@inertiajs/react';
import type { ChangeEvent, SyntheticEvent } from 'react';
import { OwnerAndDue } from '../features/production/OwnerAndDue';
import { PutAway } from '../features/production/PutAway';
import { to } from '../lib/route';
import { useAction } from '../lib/useAction';
import { Book } from '../parts/Book';
import { ByCode } from '../parts/ByCode';
import { Field } from '../parts/Field';
import { Folios } from '../parts/Folios';
import { Heading } from '../parts/Heading';
import type { AboutPage } from '../types/views';

/** What it is called, who owes it, until when. */
function About({ page }: { page: AboutPage }) {
    const { about, specifications, people } = page;
    const form = useForm({
        code: about.code,
        title: about.title,
        specification: String(about.specification),
        owner: about.owner === null ? '' : String(about.owner),
        due: about.due,
    });
    const set = (key: keyof typeof form.data) => (event: ChangeEvent<HTMLInputElement | HTMLSelectElement>) =>
        form.setData(key, event.target.value);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        form.patch(to('about.update', { deliverable: page.deliverable.id }), { preserveScroll: true });
    };

    return (
        <form onSubmit={submit} className="max-w-[720px] pt-2" noValidate>
            <Field
                id="about-code"
                label={t`Code`}
                fault={form.errors.code}
                help={t`It stands for '{shot}': names and folders that are asked change with it.`}
            >
                <input id="about-code" className="input mono" value={form.data.code} onChange={set('code')} />
            </Field>
            <Field id="about-title" label={t`Title`} fault={form.errors.title}>
                <input id="about-title" className="input" value={form.data.title} onChange={set('title')} />
            </Field>
            <Field id="about-specification" label={t`Specification`} fault={form.errors.specification}>
                <select
                    id="about-specification"
                    className="select"
                    value={form.data.specification}
                    onChange={set('specification')}
                >
                    {specifications.map(({ id, title }) => (
                        <option key={id} value={id}>
                            {title}
                        </option>
                    ))}
                </select>
            </Field>
            <OwnerAndDue people={people} values={form.data} errors={form.errors} onChange={form.setData} />
            <p className="pt-3">
                <button className="btn btn-primary" disabled={form.processing || !form.isDirty}>
                    <Trans>Save</Trans>
                </button>
            </p>
        </form>
    );
}

/** What a deliverable is called, who owes it and until when; another like it; and out of the way. */
export default function AboutDeliverable(page: AboutPage) {
    const { book, deliverable } = page;
    const { fault, send } = useAction(t`It could not be made. Try again.`);

    return (
        <Book title={t`${deliverable.code}, about`} book={book} deliverable={deliverable}>
            <Folios deliverable={deliverable} at={null} />
            <div className="px-6 pb-10">
                <About key={deliverable.code} page={page} />
                <Heading className="mt-6">
                    <Trans>Another like it</Trans>
                </Heading>
                <ByCode
                    label={t`With the code`}
                    button={t`Duplicate`}
                    fault={fault}
                    onSend={(code) =>
                        send('post', to('about.copy', { deliverable: deliverable.id }), { code }, { names: ['code'] })
                    }
                />
                <Heading className="mt-4">
                    <Trans>Out of the way</Trans>
                </Heading>
                <PutAway page={page} />
            </div>
        </Book>
    );
}
