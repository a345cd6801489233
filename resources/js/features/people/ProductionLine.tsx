import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { to } from '../../lib/route';
import { useAction } from '../../lib/useAction';
import { ByCode } from '../../parts/ByCode';
import type { AdministrationPage } from '../../types/views';

type Line = AdministrationPage['productions'][number];

function Ways({ line }: { line: Line }) {
    const of = { production: line.id };
    const { fault, send } = useAction(t`It could not be deleted. Try again.`);

    return (
        <span className="ml-auto flex flex-wrap items-baseline gap-x-4">
            <button
                type="button"
                className="link"
                aria-label={`${line.isArchived ? t`Take back` : t`Archive`} ${line.name}`}
                onClick={() =>
                    line.isArchived
                        ? router.delete(to('production.back', of), { preserveScroll: true })
                        : router.post(to('production.archive', of), {}, { preserveScroll: true })
                }
            >
                {line.isArchived ? t`Take back` : t`Archive`}
            </button>
            <details>
                <summary className="link cursor-pointer" aria-label={t`Delete ${line.name}`}>
                    <Trans>Delete…</Trans>
                </summary>
                <ByCode
                    label={t`Type ${line.code}`}
                    button={t`Delete`}
                    fault={fault}
                    onSend={(code) => send('delete', to('production.drop', of), { code }, { names: ['code'] })}
                />
            </details>
        </span>
    );
}

/** A production as whoever runs the installation sees it: also one that they are not in. */
export function ProductionLine({ line }: { line: Line }) {
    const { id, code, name, kind, people, deliverables, isArchived, isSample, isIn } = line;

    return (
        <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            {isIn ? (
                <Link href={to('production', { production: id })} className="link title text-[16px]">
                    {name}
                </Link>
            ) : (
                <span className="title text-[16px]">{name}</span>
            )}
            <span className="aside">
                {code}, {kind}
            </span>
            <span className="text-faint">
                <Trans>
                    {people} {people === 1 ? t`person` : t`people`}, {deliverables} owed
                </Trans>
            </span>
            {isArchived && (
                <span className="aside text-ochre">
                    <Trans>archived</Trans>
                </span>
            )}
            {isSample && (
                <span className="aside">
                    <Trans>a sample</Trans>
                </span>
            )}
            <Ways line={line} />
        </li>
    );
}
