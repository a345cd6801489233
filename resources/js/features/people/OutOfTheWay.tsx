import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { ByCode } from '../../parts/ByCode';
import type { SettingsPage } from '../../types/views';

/** A production that is over: archived, taken back, deleted; a sample goes with its files. */
export function OutOfTheWay({ page }: { page: SettingsPage }) {
    const { id, code, name } = page.book.production;
    const { fault, send } = useAction(t`It could not be deleted. Try again.`);
    const of = { production: id };

    return (
        <>
            <p className="flex flex-wrap items-center gap-3 py-2">
                {page.archived === null ? (
                    <>
                        <button type="button" className="btn" onClick={() => router.post(to('production.archive', of))}>
                            <Trans>Archive</Trans>
                        </button>
                        <span className="text-faint">
                            <Trans>It can be read then, and nothing in it changed.</Trans>
                        </span>
                    </>
                ) : (
                    <>
                        <Trans>Archived {page.archived}.</Trans>
                        <button type="button" className="btn" onClick={() => router.delete(to('production.back', of))}>
                            <Trans>Take back from the archive</Trans>
                        </button>
                    </>
                )}
            </p>
            {page.isSample && page.administers && (
                <p className="py-2">
                    <button type="button" className="btn" onClick={() => router.delete(to('sample.drop', of))}>
                        <Trans>Remove this sample with its files</Trans>
                    </button>
                </p>
            )}
            {page.administers && !page.isSample && (
                <ByCode
                    label={t`To delete ${name} with all its checks, type ${code}`}
                    button={t`Delete`}
                    fault={fault}
                    onSend={(typed) => send('delete', to('production.drop', of), { code: typed }, { names: ['code'] })}
                />
            )}
        </>
    );
}
