import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { AddName, NamedSettings, NamesAsFile } from '../features/names/NamedSettings';
import { Shapes } from '../features/names/Shapes';
import { Book } from '../parts/Book';
import { Heading } from '../parts/Heading';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { NamesPage } from '../types/views';

/** What settings are called in this production, and how the lines of its logs read. */
export default function Names({ book, names, fields, ...logs }: NamesPage) {
    const production = book.production.id;

    return (
        <Book title={t`${book.production.name}, names`} book={book}>
            <ProductionFolios book={book} at="names" />
            <div className="px-6 pb-10">
                <Heading className="pt-4">
                    <Trans>Other names for settings</Trans>
                </Heading>
                <p className="said max-w-[66ch] pt-2">
                    <Trans>
                        Usual names are understood without being told. What else settings are called here is pointed at
                        once, on the page of a scene or below, and understood from then on.
                    </Trans>
                </p>
                <NamedSettings production={production} names={names} />
                <AddName production={production} fields={fields} />
                <NamesAsFile production={production} some={names.length > 0} />
                <Heading className="mt-6">
                    <Trans>How lines of logs read</Trans>
                </Heading>
                <Shapes production={production} {...logs} />
            </div>
        </Book>
    );
}
