import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Field } from '../../parts/Field';

/** The clock that times are written on: lists, messages, hours of machines, and what is due. */
export function Zone({
    zones,
    zone,
    usual,
    fault,
    onChange,
}: {
    zones: string[];
    zone: string;
    usual: string;
    fault: string | undefined;
    onChange: (zone: string) => void;
}) {
    return (
        <Field
            id="production-zone"
            label={t`Time zone`}
            fault={fault}
            help={t`For its lists, messages and hours of machines. Pages show the clock of each reader’s browser.`}
        >
            <select
                id="production-zone"
                className="select w-72! max-w-full"
                value={zone}
                onChange={(event) => onChange(event.target.value)}
            >
                <option value="">
                    <Trans>the installation’s, {usual}</Trans>
                </option>
                {zones.map((name) => (
                    <option key={name}>{name}</option>
                ))}
            </select>
        </Field>
    );
}
