import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Chooser } from '../features/production/Chooser';
import { PreviewedChanges } from '../features/production/PreviewedChanges';
import { SharedValue, type SharedChange } from '../features/production/SharedValue';
import { tell } from '../lib/ask';
import { to } from '../lib/route';
import { sentence } from '../lib/trouble';
import { useAction } from '../lib/useAction';
import { useOpenSet } from '../lib/useOpenSet';
import { Book } from '../parts/Book';
import { Fault } from '../parts/Fault';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { PreviewedChange, TogetherPage } from '../types/views';

/** One value of many deliverables: chosen, looked at, then changed together. */
export default function Together({ book, lines, offered }: TogetherPage) {
    const production = book.production.id;
    const chosen = useOpenSet<number>();
    const [shared, setShared] = useState<SharedChange>({ line: null, value: '', drop: false });
    const [plan, setPlan] = useState<PreviewedChange[] | null>(null);
    const [looking, setLooking] = useState(false);
    const action = useAction(t`Nothing was changed.`);
    const given = {
        deliverables: [...chosen.open],
        id: shared.line?.id ?? '',
        value: shared.value,
        level: 'must',
        drop: shared.drop,
    };
    const forget = () => {
        setPlan(null);
        action.setFault(null);
    };
    const look = () => {
        setLooking(true);
        action.setFault(null);
        tell<{ lines: PreviewedChange[] }>(to('together.read', { production }), given)
            .then(
                (answer) => setPlan(answer.lines),
                (trouble: unknown) => action.setFault(sentence(trouble, t`This could not be looked at.`)),
            )
            .finally(() => setLooking(false));
    };
    const write = () =>
        action.send('post', to('together.store', { production }), given, {
            done: () => {
                setPlan(null);
                chosen.clear();
            },
        });

    return (
        <Book title={t`${book.production.name}, many together`} book={book}>
            <ProductionFolios book={book} at="together" />
            <div className="px-6 pt-3 pb-10">
                <p className="said pb-3">
                    <Trans>
                        One value of many deliverables, changed together. What would become of each is shown before
                        anything is written.
                    </Trans>
                </p>
                <div className="grid gap-x-8 md:grid-cols-[minmax(0,320px)_minmax(0,1fr)]">
                    <Chooser
                        lines={lines}
                        chosen={chosen.open}
                        onChoose={(ids, on) => {
                            forget();
                            chosen.set(ids, on);
                        }}
                    />
                    <section aria-label={t`What`}>
                        <SharedValue
                            offered={offered}
                            shared={shared}
                            many={chosen.open.size}
                            busy={looking || action.busy}
                            onChange={(next) => {
                                forget();
                                setShared(next);
                            }}
                            onLook={look}
                        />
                        <Fault says={action.fault} className="py-2" />
                        {plan !== null && (
                            <PreviewedChanges plan={plan} busy={looking || action.busy} onWrite={write} />
                        )}
                    </section>
                </div>
            </div>
        </Book>
    );
}
