import { verdictInWords } from '../features/check/notes';
import { Breaking } from '../parts/Breaking';
import { BrokenOff, type Broken } from '../features/check/BrokenOff';
import { BringScene } from '../features/scene/BringScene';
import { Folios } from '../parts/Folios';
import { LedgerSheet } from '../features/check/LedgerSheet';
import { PartMade } from '../features/check/PartMade';
import { PastChecks } from '../features/check/PastChecks';
import { PointAt, type Field, type Unknown } from '../features/scene/PointAt';
import type { Book, DeliverableHead, Ledger, PastCheck } from '../types/views';

function NotUnderstood({
    deliverable,
    ledger,
    unknown,
    fields,
    decides,
}: {
    deliverable: number;
    ledger: Ledger;
    unknown: Unknown[];
    fields: Field[];
    decides: boolean;
}) {
    const pointed = (line: string) =>
        unknown.some((each) => each.name === line || (line.endsWith('…') && each.name.startsWith(line.slice(0, -1))));
    const rest = ledger.document.not_understood.filter(
        (line) => !pointed(line) && !unknown.some((each) => each.field !== null && line.startsWith(`${each.field}: `)),
    );

    return (
        <details className="mt-2" open>
            <summary className="cursor-pointer">
                Not understood: {ledger.document.not_understood_count}{' '}
                {ledger.document.not_understood_count === 1 ? 'setting' : 'settings'}, kept and not compared
            </summary>
            {unknown.length > 0 && (
                <ul className="mt-1 border-y border-rule">
                    {unknown.slice(0, 40).map((each) => (
                        <PointAt
                            key={`${each.name}=${each.value}`}
                            deliverable={deliverable}
                            unknown={each}
                            fields={fields}
                            decides={decides}
                        />
                    ))}
                </ul>
            )}
            <ul className="mono ml-4 text-[13px] text-faint">
                {rest.map((key, at) => (
                    <li key={at}>
                        <Breaking text={key} />
                    </li>
                ))}
            </ul>
        </details>
    );
}

/** The scene before it is rendered: its settings beside what is asked. */
export default function Scene({
    book,
    deliverable,
    ledger,
    past,
    unknown,
    fields,
    broken,
}: {
    book: Book;
    deliverable: DeliverableHead;
    ledger: Ledger | null;
    past: PastCheck[];
    unknown: Unknown[];
    fields: Field[];
    broken: Broken | null;
}) {
    const withScene = ledger !== null && ledger.scene !== null;

    return (
        <LedgerSheet
            title={`${deliverable.code}, scene`}
            book={book}
            deliverable={deliverable}
            ledger={withScene ? ledger : null}
            head={
                <>
                    <Folios deliverable={deliverable} at="scene" />
                    {broken !== null && <BrokenOff broken={broken} />}
                    <BringScene deliverable={deliverable.id} first={!withScene} />
                </>
            }
            between={
                withScene ? (
                    <div className="px-6 pt-3">
                        <p className="said">{verdictInWords(ledger.document)}</p>
                        <p className="text-[13px] text-faint">
                            Settings from{' '}
                            <span className="mono">
                                <Breaking text={ledger.scene?.name ?? ''} />
                            </span>
                            , {ledger.scene?.at}.
                        </p>
                        {ledger.parts.length > 1 && (
                            <PartMade key={ledger.id} deliverable={deliverable.id} ledger={ledger} />
                        )}
                        {(ledger.document.scene?.comes_to.length ?? 0) > 0 && (
                            <dl
                                className="mt-2 grid grid-cols-[150px_1fr] gap-x-3 border-y border-rule py-1.5"
                                aria-label="What the settings come to"
                            >
                                {ledger.document.scene?.comes_to.map((line) => (
                                    <div key={`${line.part ?? ''}/${line.id}`} className="contents">
                                        <dt className="aside">
                                            {line.label}
                                            {line.part !== undefined && ` (${line.part})`}
                                        </dt>
                                        <dd className="mono">
                                            <Breaking text={line.says} />
                                        </dd>
                                    </div>
                                ))}
                            </dl>
                        )}
                        {ledger.document.not_understood_count > 0 && (
                            <NotUnderstood
                                deliverable={deliverable.id}
                                ledger={ledger}
                                unknown={unknown}
                                fields={fields}
                                decides={book.decides}
                            />
                        )}
                    </div>
                ) : (
                    <div className="said max-w-[62ch] px-6 pt-5">
                        <p>
                            No settings are known of this scene yet. They are compared with what is asked before
                            anything is rendered: the size and its scale, the range, the rate, the camera, the format,
                            the output name.
                        </p>
                        <p className="mt-2 text-[15px] text-faint">
                            Settings come as a <span className="mono">plain-ledger/scene</span> document, a scene or its
                            render settings as USD text, a line for each setting, or a sheet. For an exporter, or to
                            fill in by hand:{' '}
                            <a className="link" href={`/deliverables/${deliverable.id}/settings.json`} download>
                                what is asked as JSON
                            </a>{' '}
                            or{' '}
                            <a className="link" href={`/deliverables/${deliverable.id}/settings.txt`} download>
                                as lines
                            </a>
                            .
                        </p>
                    </div>
                )
            }
            aside={<PastChecks past={past} current={ledger?.id ?? null} />}
        />
    );
}
