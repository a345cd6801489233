import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Radios } from '../../parts/Field';
import type { LookPage } from '../../types/views';
import { before } from './look';
import { Laid } from './Laid';
import { pictureOf, type Shown } from './picture';

const WAYS = [
    ['beside', t`beside each other`],
    ['wipe', 'wipe'],
    ['flicker', 'flicker'],
    ['difference', 'difference'],
] as const;

export type Way = (typeof WAYS)[number][0];

/** What a frame can be laid beside: the one before it, the approved one, or the same of another check. */
function others(page: LookPage, frame: number): [string, string][] {
    const earlier = before(page.present, frame);

    return [
        ...(earlier === null ? [] : ([['before', t`frame ${earlier}, the one before`]] as [string, string][])),
        ...(page.approved.includes(frame) ? ([['approved', t`the approved picture`]] as [string, string][]) : []),
        ...page.earlier.map(({ id, made }): [string, string] => [String(id), t`the same frame, check of ${made}`]),
    ];
}

function shownOf(page: LookPage, frame: number, layer: string, other: string): Shown {
    const own = { check: page.check, part: page.part, pass: page.pass, frame, layer };
    switch (other) {
        case 'before':
            return { ...own, frame: before(page.present, frame) ?? frame };
        case 'approved':
            return { ...own, approved: true };
        default:
            return { ...own, check: Number(other), earlier: true };
    }
}

/** Which frame it is, to be typed. */
function FrameField({ frame, onFrame }: { frame: number; onFrame: (frame: number) => void }) {
    const [typed, setTyped] = useState(String(frame));

    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                if (/^-?\d+$/.test(typed)) {
                    onFrame(Number(typed));
                }
            }}
        >
            <label className="flex items-center gap-1.5">
                <Trans>frame</Trans>
                <input
                    className="input mono w-24!"
                    value={typed}
                    inputMode="numeric"
                    onChange={(event) => setTyped(event.target.value)}
                />
            </label>
        </form>
    );
}

/** One frame beside another one. */
export function TwoFrames({
    page,
    layer,
    frame,
    onFrame,
}: {
    page: LookPage;
    layer: string;
    frame: number;
    onFrame: (frame: number) => void;
}) {
    const [way, setWay] = useState<Way>('beside');
    const [wanted, setWanted] = useState('before');
    const all = others(page, frame);
    const other = all.find(([key]) => key === wanted) ?? all[0];
    const own = { check: page.check, part: page.part, pass: page.pass, frame, layer };

    return (
        <div className="px-6 pt-3">
            <div className="flex flex-wrap items-center gap-3">
                <FrameField key={frame} frame={frame} onFrame={onFrame} />
                {other !== undefined && (
                    <label className="flex items-center gap-1.5">
                        <Trans>and</Trans>
                        <select
                            className="select w-auto!"
                            value={other[0]}
                            onChange={(event) => setWanted(event.target.value)}
                        >
                            {all.map(([key, says]) => (
                                <option key={key} value={key}>
                                    {says}
                                </option>
                            ))}
                        </select>
                    </label>
                )}
                <span role="radiogroup" aria-label={t`How they are laid`} className="flex flex-wrap gap-3">
                    <Radios name="way" words={WAYS} chosen={way} onChoose={setWay} />
                </span>
            </div>
            {other === undefined ? (
                <p className="pt-4 text-faint">
                    <Trans>There is no other picture to lay this one beside.</Trans>
                </p>
            ) : (
                <Laid
                    key={`${frame} ${layer} ${other[0]}`}
                    way={way}
                    one={pictureOf(own, true)}
                    other={pictureOf(shownOf(page, frame, layer, other[0]), true)}
                    says={[t`frame ${frame}`, other[1]]}
                />
            )}
        </div>
    );
}
