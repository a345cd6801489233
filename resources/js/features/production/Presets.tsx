import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../../lib/route';
import { Breaking } from '../../parts/Breaking';
import { Heading } from '../../parts/Heading';
import { InlineField } from '../../parts/InlineField';

interface Preset {
    id: number;
    title: string;
}

function PresetLine({ preset }: { preset: Preset }) {
    const [title, setTitle] = useState<string | null>(null);
    const keep = () => {
        const now = title?.trim() ?? '';
        setTitle(null);
        if (now !== '' && now !== preset.title) {
            router.patch(to('preset.rename', { preset: preset.id }), { title: now }, { preserveScroll: true });
        }
    };
    const remove = () => {
        if (window.confirm(t`Take the preset “${preset.title}” away? What was begun from it stays.`)) {
            router.delete(to('preset.destroy', { preset: preset.id }), { preserveScroll: true });
        }
    };

    return (
        <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            {title === null ? (
                <span>
                    <Breaking text={preset.title} />
                </span>
            ) : (
                <InlineField
                    label={t`Title of the preset`}
                    value={title}
                    className="input w-full! max-w-96"
                    onChange={setTitle}
                    onKeep={keep}
                    onLeave={() => setTitle(null)}
                />
            )}
            <span className="ml-auto flex gap-3 text-[13px]">
                <button type="button" className="link" onClick={() => setTitle(preset.title)}>
                    <Trans>call it otherwise</Trans>
                </button>
                <button type="button" className="link" onClick={remove}>
                    <Trans>remove</Trans>
                </button>
            </span>
        </li>
    );
}

/** What others may begin from here. */
export function Presets({ presets }: { presets: Preset[] }) {
    return presets.length === 0 ? null : (
        <section className="pt-6">
            <Heading>
                <Trans>Presets of this production</Trans>
            </Heading>
            <ul>
                {presets.map((preset) => (
                    <PresetLine key={preset.id} preset={preset} />
                ))}
            </ul>
        </section>
    );
}
