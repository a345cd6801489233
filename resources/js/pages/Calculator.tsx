import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Book } from '../parts/Book';
import { Sum } from '../parts/Sum';
import type { CalculatorPage } from '../types/views';

/** The sums people do at the desk, one below the other, each with its formula. */
export default function Calculator({ calculations }: CalculatorPage) {
    return (
        <Book title={t`Calculator`} book={null}>
            <div className="mx-auto max-w-[980px] px-6 py-4">
                <h1 className="title text-[24px]">
                    <Trans>Calculator</Trans>
                </h1>
                <nav aria-label={t`Sums`} className="flex flex-wrap gap-x-4 border-b border-ink py-2 text-[13px]">
                    {calculations.map((each) => (
                        <a key={each.word} href={`#${each.word}`} className="link">
                            {each.title}
                        </a>
                    ))}
                </nav>
                {calculations.map((each) => (
                    <section
                        key={each.word}
                        id={each.word}
                        className="pt-5 pb-2"
                        aria-labelledby={`${each.word}-title`}
                    >
                        <h2 id={`${each.word}-title`} className="title border-b border-edge pb-1 text-[18px]">
                            {each.title}
                        </h2>
                        <Sum calculation={each} />
                    </section>
                ))}
            </div>
        </Book>
    );
}
