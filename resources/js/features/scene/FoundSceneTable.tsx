import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { classes } from '../../lib/classes';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { LedgerHead } from '../../parts/LedgerHead';
import { MarkSign, verdictMark } from '../../parts/MarkSign';
import type { FoundScene, FoundScenes, KeptScene } from '../../types/views';

/** Whose a scene is; those it could be of come first. */
function Owner({
    scene,
    deliverables,
    settled,
    twice,
    onPoint,
}: {
    scene: FoundScene;
    deliverables: FoundScenes['deliverables'];
    settled: boolean;
    twice: boolean;
    onPoint: (deliverable: number | null) => void;
}) {
    const isPerhaps = (each: { id: number }) => scene.perhaps.includes(each.id);
    const sorted = [...deliverables.filter(isPerhaps), ...deliverables.filter((each) => !isPerhaps(each))];

    return (
        <td className="column">
            <select
                aria-label={t`Deliverable of ${scene.label}`}
                className={classes('select', scene.deliverable === null && 'border-red!')}
                value={scene.deliverable ?? ''}
                disabled={settled}
                onChange={(event) => onPoint(event.target.value === '' ? null : Number(event.target.value))}
            >
                <option value="">{scene.perhaps.length > 0 ? t`which of these?` : t`whose is it?`}</option>
                {sorted.map((each) => (
                    <option key={each.id} value={each.id}>
                        {each.code}
                        {each.owner !== null && `, ${each.owner}`}
                    </option>
                ))}
            </select>
            {twice && (
                <span className="block text-[12.5px] text-ochre">
                    <Trans>brought twice; the later one counts</Trans>
                </span>
            )}
        </td>
    );
}

/** What came of a scene. */
function Result({ result }: { result: KeptScene | undefined }) {
    if (result === undefined) {
        return (
            <span className="text-faint">
                <Trans>not checked yet</Trans>
            </span>
        );
    }
    if (result.fault !== null) {
        return (
            <span className="text-red">
                <Breaking text={result.fault} />
            </span>
        );
    }
    const mark = verdictMark(result.verdict);

    return (
        <span className="grid grid-cols-[18px_1fr] gap-x-1">
            <span>{mark !== null && <MarkSign mark={mark} label={result.verdict ?? ''} />}</span>
            <span>
                <Link className="link" href={to('scene', { deliverable: result.id })}>
                    {result.holdsUp}
                </Link>
                {result.cause !== null && (
                    <span className="block text-[12.5px]">
                        <Breaking text={result.cause} />
                    </span>
                )}
            </span>
        </span>
    );
}

/** Scenes that were brought, whose they are, and what came of them. */
export function FoundSceneTable({
    found,
    done,
    onPoint,
}: {
    found: FoundScenes;
    done: Record<number, KeptScene>;
    onPoint: (at: number, deliverable: number | null) => void;
}) {
    const owners = found.scenes.map((scene) => scene.deliverable).filter((id) => id !== null);
    const twice = new Set(owners.filter((id, at) => owners.indexOf(id) !== at));

    return (
        <table className="ledger mt-2">
            <LedgerHead
                columns={[
                    [t`came as`, '32%'],
                    [t`belongs to`, '25%'],
                    [t`settings`, '11%'],
                    [t`comes to`, '32%'],
                ]}
            />
            <tbody>
                {found.scenes.map((scene, at) => (
                    <tr key={at}>
                        <th scope="row" className="mono">
                            <Breaking text={scene.label} />
                        </th>
                        <Owner
                            scene={scene}
                            deliverables={found.deliverables}
                            settled={done[at] !== undefined}
                            twice={scene.deliverable !== null && twice.has(scene.deliverable)}
                            onPoint={(deliverable) => onPoint(at, deliverable)}
                        />
                        <td className="column">
                            {scene.settings}
                            {scene.unknown > 0 && (
                                <span className="block text-[12.5px] text-faint">
                                    <Trans>{scene.unknown} not understood</Trans>
                                </span>
                            )}
                        </td>
                        <td className="column">
                            <Result result={done[at]} />
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
