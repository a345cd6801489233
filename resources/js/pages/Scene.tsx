import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { BrokenOff } from '../parts/BrokenOff';
import { LedgerSheet } from '../features/check/LedgerSheet';
import { verdictInWords } from '../lib/verdict';
import { PartMade } from '../features/check/PartMade';
import { PastChecks } from '../features/check/PastChecks';
import { BringScene } from '../features/scene/BringScene';
import { NotUnderstood } from '../features/scene/NotUnderstood';
import { ComesTo, NoScene } from '../features/scene/SceneFacts';
import { Breaking } from '../parts/Breaking';
import { Folios } from '../parts/Folios';
import type { Ledger, ScenePage } from '../types/views';

/** What is known of the scene, above the ledger. */
function Known({ ledger, page }: { ledger: Ledger; page: ScenePage }) {
    const deliverable = page.deliverable.id;

    return (
        <div className="px-6 pt-3">
            <p className="said">{verdictInWords(ledger.document)}</p>
            <p className="text-[13px] text-faint">
                <Trans>
                    Settings from{' '}
                    <span className="mono">
                        <Breaking text={ledger.scene?.name ?? ''} />
                    </span>
                    , {ledger.scene?.at}.
                </Trans>
            </p>
            {ledger.parts.length > 1 && <PartMade key={ledger.id} deliverable={deliverable} ledger={ledger} />}
            <ComesTo lines={ledger.document.scene?.comes_to ?? []} />
            <NotUnderstood
                deliverable={deliverable}
                ledger={ledger}
                unknown={page.unknown}
                fields={page.fields}
                decides={page.book.decides}
            />
        </div>
    );
}

/** The scene before it is rendered: its settings beside what is asked. */
export default function Scene(page: ScenePage) {
    const { book, deliverable, past, broken } = page;
    const ledger = page.ledger?.scene == null ? null : page.ledger;

    return (
        <LedgerSheet
            title={t`${deliverable.code}, scene`}
            book={book}
            deliverable={deliverable}
            ledger={ledger}
            head={
                <>
                    <Folios deliverable={deliverable} at="scene" />
                    {broken !== null && <BrokenOff broken={broken} />}
                    <BringScene deliverable={deliverable.id} first={ledger === null} />
                </>
            }
            between={ledger === null ? <NoScene deliverable={deliverable.id} /> : <Known ledger={ledger} page={page} />}
            aside={<PastChecks past={past} current={page.ledger?.id ?? null} />}
        />
    );
}
