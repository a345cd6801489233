import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { AnyDrop } from '../features/bring/AnyDrop';
import { LotLine } from '../features/bring/LotLine';
import { useBring } from '../features/bring/useBring';
import { Book } from '../parts/Book';
import { Fault } from '../parts/Fault';
import { LedgerHead } from '../parts/LedgerHead';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { BringPage } from '../types/views';

/** One place for whatever somebody brings: it says what each thing is, whose, and takes it where it is read. */
export default function Bring({ book, deliverables }: BringPage) {
    const production = book.production.id;
    const { found, busy, fault, over, read } = useBring(production);

    return (
        <Book title={t`${book.production.name}, bring in`} book={book}>
            <ProductionFolios book={book} at="bring" />
            <div className="px-6 pt-4 pb-10">
                <AnyDrop busy={busy !== null} onFiles={(files) => void read(files)} />
                <div aria-live="polite" className="pt-2">
                    {busy !== null && <p className="text-faint">{busy}</p>}
                    <Fault says={fault} />
                    {over > 0 && (
                        <p className="text-ochre">
                            <Trans>
                                {over} more were not looked at: these are too many for one go. Drop their folder on the
                                page of its deliverable, or begin a delivered tree.
                            </Trans>
                        </p>
                    )}
                </div>
                {found.length === 0 && busy === null && fault === null && (
                    <p className="said max-w-[66ch] pt-3">
                        <Trans>
                            Each thing is known by its content. Its two ends are sent to say what it is; frames and
                            movies themselves stay on this machine. Nothing is kept before you say so.
                        </Trans>
                    </p>
                )}
                {found.length > 0 && (
                    <table className="ledger mt-2">
                        <caption className="sr-only">
                            <Trans>What was brought</Trans>
                        </caption>
                        <LedgerHead
                            columns={[
                                [t`brought`, '32%'],
                                [t`what it is`, '28%'],
                                [t`belongs to`, '20%'],
                                [t`what can be done`, '20%'],
                            ]}
                        />
                        <tbody>
                            {found.map((lot) => (
                                <LotLine
                                    key={`${lot.key} ${lot.label} ${lot.things.length}`}
                                    lot={lot}
                                    production={production}
                                    decides={book.decides}
                                    deliverables={deliverables}
                                />
                            ))}
                        </tbody>
                    </table>
                )}
            </div>
        </Book>
    );
}
