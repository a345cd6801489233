import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Field } from '../../parts/Field';
import { PresetOptions } from '../../parts/PresetOptions';
import type { NewProductionPage } from '../../types/views';

/** What is asked of everything in a production, from a preset. */
export function HousePreset({
    presets,
    chosen,
    onChoose,
}: {
    presets: NewProductionPage['presets'];
    chosen: string;
    onChoose: (word: string) => void;
}) {
    const asks = presets.find((preset) => preset.word === chosen)?.asks ?? [];

    return (
        <Field
            id="production-preset"
            label={t`Its house asks`}
            help={
                asks.length === 0
                    ? t`Nothing yet: each specification says everything itself. It can be set later.`
                    : t`Of everything in it: ${asks.join(', ')}.`
            }
        >
            <select
                id="production-preset"
                className="select"
                value={chosen}
                onChange={(event) => onChoose(event.target.value)}
            >
                <option value="">
                    <Trans>nothing of everything</Trans>
                </option>
                <PresetOptions presets={presets} />
            </select>
        </Field>
    );
}
