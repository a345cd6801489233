import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { ByCode } from '../../parts/ByCode';
import type { AboutPage } from '../../types/views';

/** Out of the way, back, and for good. */
export function PutAway({ page }: { page: AboutPage }) {
    const deliverable = page.deliverable.id;
    const { fault, send } = useAction(t`It could not be deleted. Try again.`);

    return page.isAway ? (
        <>
            <p className="flex flex-wrap items-center gap-3 py-2">
                <Trans>It is put away.</Trans>
                <button className="btn" onClick={() => router.delete(to('away.back', { deliverable }))}>
                    <Trans>Put it back</Trans>
                </button>
            </p>
            <ByCode
                label={t`To delete it with its ${page.checks} checks, type ${page.about.code}`}
                button={t`Delete`}
                fault={fault}
                onSend={(code) => send('delete', to('away.forget', { deliverable }), { code }, { names: ['code'] })}
            />
        </>
    ) : (
        <p className="flex flex-wrap items-center gap-3 py-2">
            <button className="btn" onClick={() => router.post(to('away', { deliverable }))}>
                <Trans>Put it away</Trans>
            </button>
            <span className="text-faint">
                <Trans>It is in no list then, and can be put back.</Trans>
            </span>
        </p>
    );
}
