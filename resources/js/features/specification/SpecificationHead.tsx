import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { to } from '../../lib/route';
import { Radios } from '../../parts/Field';
import type { Asked, DeliverableHead, SetBy } from '../../types/views';
import type { Changes } from './changes';
import { SavedBar } from './SavedBar';

/** Which specification it is, and the ways from here. */
function Source({ deliverable, asked, editable }: { deliverable: DeliverableHead; asked: Asked; editable: boolean }) {
    const says = t`${deliverable.specification}, revision ${deliverable.revision}`;

    return (
        <span className="text-[13px] text-faint">
            {editable ? (
                <Link href={to('revisions', { specification: asked.specification })} className="link">
                    {says}
                </Link>
            ) : (
                says
            )}
            {asked.usedBy > 1 && t`, shared by ${asked.usedBy} deliverables`}
            {' · '}
            <Link href={to('hand-out', { deliverable: deliverable.id })} className="link">
                <Trans>Hand it out</Trans>
            </Link>
        </span>
    );
}

/** Who else is here, and what they changed. */
function Others({ others, changed }: { others: string[]; changed: string | null }) {
    return others.length === 0 && changed === null ? null : (
        <p role="status" className="mt-1 text-[13px] text-ochre">
            {changed}{' '}
            {others.length > 0 &&
                (others.length === 1
                    ? t`${others.join()} has this open as well.`
                    : t`${others.join(', ')} have this open as well.`)}
        </p>
    );
}

/** What stands above what is asked: where it comes from, for whom a change holds, and who else is here. */
export function SpecificationHead({
    deliverable,
    asked,
    editable,
    scope,
    onScope,
    changes,
    presence,
}: {
    deliverable: DeliverableHead;
    asked: Asked;
    editable: boolean;
    scope: SetBy;
    onScope: (scope: SetBy) => void;
    changes: Changes;
    presence: { others: string[]; changed: string | null };
}) {
    const shared = asked.usedBy > 1 ? t`all ${asked.usedBy} that share it` : t`its specification`;
    const scopes = [
        ['deliverable', t`${deliverable.code} only`],
        ['specification', shared],
        ['house', t`the whole house`],
    ] as const;

    return (
        <div className="px-6 pt-2">
            <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                <Source deliverable={deliverable} asked={asked} editable={editable} />
                {editable && <SavedBar changes={changes} />}
            </p>
            {editable ? (
                <fieldset className="mt-1 flex print:hidden flex-wrap items-baseline gap-x-4 text-[13px]">
                    <legend className="float-left mr-3">
                        <Trans>A change holds for</Trans>
                    </legend>
                    <Radios name="scope" words={scopes} chosen={scope} onChoose={onScope} />
                </fieldset>
            ) : (
                <p className="aside text-[13px]">
                    <Trans>Only a coordinator or an instructor changes what is asked.</Trans>
                </p>
            )}
            {editable && <Others {...presence} />}
            {asked.notUnderstood.length > 0 && (
                <p className="mt-1 text-ochre">
                    <Trans>
                        Not understood, kept and not compared:{' '}
                        <span className="mono">{asked.notUnderstood.join(', ')}</span>
                    </Trans>
                </p>
            )}
        </div>
    );
}
