import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState, type SyntheticEvent } from 'react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { Fault } from '../../parts/Fault';
import { COLUMNS, columnsOf } from './columns';
import type { BoardView, SavedView } from './useBoardView';

/** Keeps what is seen now by a name. */
function Keep({ production, view }: { production: number; view: BoardView }) {
    const [name, setName] = useState('');
    const action = useAction(t`This could not be saved.`);
    const keep = (event: SyntheticEvent) => {
        event.preventDefault();
        const { which, text, specification } = view.filter;
        const data = { name, which, text, specification, by: view.by, down: view.down, columns: view.columns };
        action.send('post', to('view.keep', { production }), data, { names: ['name'], done: () => setName('') });
    };

    return (
        <form onSubmit={keep} className="flex flex-wrap items-center gap-2 pt-2">
            <label className="flex items-center gap-2">
                <Trans>Save this view as</Trans>
                <input className="input w-40!" value={name} onChange={(event) => setName(event.target.value)} />
            </label>
            <button className="btn" disabled={name.trim() === '' || action.busy}>
                <Trans>Save</Trans>
            </button>
            <Fault says={action.fault} className="w-full" />
        </form>
    );
}

/** Which columns are shown, and views that one has kept. */
export function Views({ production, view, views }: { production: number; view: BoardView; views: SavedView[] }) {
    const [open, setOpen] = useState<SavedView | null>(null);
    const choose = (id: string) => {
        const found = views.find((each) => String(each.id) === id) ?? null;
        setOpen(found);
        view.open(found);
    };

    return (
        <span className="flex flex-wrap items-center gap-x-4 gap-y-2">
            {views.length > 0 && (
                <select
                    aria-label={t`Saved views`}
                    className="select w-auto!"
                    value={open?.id ?? ''}
                    onChange={(event) => choose(event.target.value)}
                >
                    <option value="">
                        <Trans>as usual</Trans>
                    </option>
                    {views.map(({ id, name }) => (
                        <option key={id} value={id}>
                            {name}
                        </option>
                    ))}
                </select>
            )}
            <details className="relative">
                <summary className="link cursor-pointer">
                    <Trans>Columns and views</Trans>
                </summary>
                <div className="z-20 w-80 max-w-full border sm:absolute sm:right-0 border-edge bg-sheet px-3 py-2">
                    <fieldset className="flex flex-wrap gap-x-4 gap-y-1">
                        <legend className="aside">
                            <Trans>Columns</Trans>
                        </legend>
                        {COLUMNS.map(([word, says]) => (
                            <label key={word} className="flex items-center gap-1.5">
                                <input
                                    type="checkbox"
                                    className="checkbox"
                                    checked={view.columns.includes(word)}
                                    onChange={(event) =>
                                        view.setColumns(
                                            event.target.checked
                                                ? columnsOf([...view.columns, word])
                                                : view.columns.filter((own) => own !== word),
                                        )
                                    }
                                />
                                {says}
                            </label>
                        ))}
                    </fieldset>
                    <Keep production={production} view={view} />
                    {open !== null && (
                        <button
                            type="button"
                            className="link mt-2"
                            onClick={() => {
                                choose('');
                                router.delete(to('view.drop', { view: open.id }), { preserveScroll: true });
                            }}
                        >
                            <Trans>Remove “{open.name}”</Trans>
                        </button>
                    )}
                </div>
            </details>
        </span>
    );
}
