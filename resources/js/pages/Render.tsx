import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { BringLog } from '../features/render/BringLog';
import { Estimate } from '../features/render/Estimate';
import { LogFollowed } from '../features/render/LogFollowed';
import { Book } from '../parts/Book';
import { Folios } from '../parts/Folios';
import { Heading } from '../parts/Heading';
import type { RenderPage } from '../types/views';

/** Before and during the render: when it will be ready, and how far it is. */
export default function Render(page: RenderPage) {
    const { book, deliverable, log, typed } = page;

    return (
        <Book title={t`${deliverable.code}, render`} book={book} deliverable={deliverable}>
            <Folios deliverable={deliverable} at="render" />
            <div className="px-6 pb-10">
                <Estimate key={`${typed.times}/${typed.size}`} page={page} />
                <section aria-label={t`Render log`}>
                    <Heading className="mt-6">
                        <Trans>How far it is</Trans>
                    </Heading>
                    {log === null ? (
                        <p className="said max-w-[62ch] pt-2">
                            <Trans>
                                Bring the log of the render: it tells how far it is, the pace, which frames took
                                unusually long, and from which frame to go on after an interruption.
                            </Trans>
                        </p>
                    ) : (
                        <LogFollowed key={log.id} log={log} />
                    )}
                    <BringLog deliverable={deliverable.id} shapes={page.shapes} roots={page.roots} />
                </section>
            </div>
        </Book>
    );
}
