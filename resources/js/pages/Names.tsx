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
        <Book title={`${book.production.name}, names`} book={book}>
            <ProductionFolios book={book} at="names" />
            <div className="px-6 pb-10">
                <Heading className="pt-4">Other names for settings</Heading>
                <p className="said max-w-[66ch] pt-2">
                    Usual names are understood without being told. What else settings are called here is pointed at
                    once, on the page of a scene or below, and understood from then on.
                </p>
                <NamedSettings production={production} names={names} />
                <AddName production={production} fields={fields} />
                <NamesAsFile production={production} some={names.length > 0} />
                <Heading className="mt-6">How lines of logs read</Heading>
                <Shapes production={production} {...logs} />
            </div>
        </Book>
    );
}
