import { useForm } from '@inertiajs/react';
import { useRef, useState, type DragEvent } from 'react';
import { verdictInWords } from '../lib/notes';
import { Breaking } from '../parts/Breaking';
import { Folios } from '../parts/Folios';
import { LedgerSheet } from '../parts/LedgerSheet';
import { PastChecks } from '../parts/PastChecks';
import type { Book, Deliverable, Ledger, PastCheck } from '../types/book';

function DropPlace({ deliverable, first }: { deliverable: number; first: boolean }) {
    const form = useForm<{ settings: File | null }>({ settings: null });
    const [over, setOver] = useState(false);
    const field = useRef<HTMLInputElement>(null);
    const send = (file: File | undefined) => {
        if (file === undefined) {
            return;
        }
        form.transform(() => ({ settings: file }));
        form.post(`/deliverables/${deliverable}/scene`, { forceFormData: true, preserveScroll: true });
    };
    const drop = (event: DragEvent) => {
        event.preventDefault();
        setOver(false);
        send(event.dataTransfer.files[0]);
    };

    return (
        <div className="px-6 pt-3">
            <div
                onDragOver={(event) => {
                    event.preventDefault();
                    setOver(true);
                }}
                onDragLeave={() => setOver(false)}
                onDrop={drop}
                className={`flex flex-wrap items-center gap-3 border border-dashed px-4 py-3 ${over ? 'border-link bg-[color-mix(in_oklab,var(--color-primary)_9%,transparent)]' : 'border-edge'}`}
            >
                <span className="said">{first ? 'Drop the scene’s settings file here before you render.' : 'Settings changed? Drop the file again.'}</span>
                <label className="sr-only" htmlFor="settings">
                    Settings file
                </label>
                <input id="settings" ref={field} type="file" accept=".json,.usda,.usd,.txt,.ini,.cfg,application/json,text/plain" className="sr-only" tabIndex={-1} onChange={(event) => send(event.target.files?.[0])} />
                <button type="button" className="press" disabled={form.processing} onClick={() => field.current?.click()}>
                    {form.processing ? 'Reading…' : 'Choose a file'}
                </button>
            </div>
            {form.errors.settings !== undefined && (
                <p role="alert" className="mt-2 text-red">
                    <Breaking text={form.errors.settings} />
                </p>
            )}
        </div>
    );
}

export default function Scene({ book, deliverable, ledger, past }: { book: Book; deliverable: Deliverable; ledger: Ledger | null; past: PastCheck[] }) {
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
                    <DropPlace deliverable={deliverable.id} first={!withScene} />
                </>
            }
            between={
                withScene ? (
                    <div className="px-6 pt-3">
                        <p className="said">{verdictInWords(ledger.document)}</p>
                        <p className="text-[13px] text-faint">
                            Settings from <span className="mono">{ledger.scene?.name}</span>, {ledger.scene?.at}.
                        </p>
                        {ledger.document.not_understood_count > 0 && (
                            <details className="mt-2" open>
                                <summary className="cursor-pointer">
                                    Not understood: {ledger.document.not_understood_count} {ledger.document.not_understood_count === 1 ? 'setting' : 'settings'}, kept and not compared
                                </summary>
                                <ul className="mono ml-4 text-[13px] text-faint">
                                    {ledger.document.not_understood.map((key, at) => (
                                        <li key={at}>
                                            <Breaking text={key} />
                                        </li>
                                    ))}
                                </ul>
                            </details>
                        )}
                    </div>
                ) : (
                    <div className="said max-w-[62ch] px-6 pt-5">
                        <p>No settings are known of this scene yet. They are compared with what is asked before anything is rendered: the size and its scale, the range, the rate, the camera, the format, the output name.</p>
                        <p className="mt-2 text-[15px] text-faint">
                            A settings file is a <span className="mono">plain-ledger/scene</span> document, a scene or its render settings as USD text, or a line for each setting, such as{' '}
                            <span className="mono">resolution = 1920x1080</span>.
                        </p>
                    </div>
                )
            }
            aside={<PastChecks past={past} current={ledger?.id ?? null} />}
        />
    );
}
