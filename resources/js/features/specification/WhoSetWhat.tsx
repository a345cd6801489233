import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { below, OF_LAYER } from './layers';
import type { AskedPart, SetBy } from '../../types/views';
import { Breaking } from '../../parts/Breaking';

const LAYERS: Record<SetBy, string> = {
    house: t`the house`,
    specification: t`this specification`,
    deliverable: t`this deliverable`,
};

/** How much each layer sets, and what an upper one says instead of a lower. */
export function WhoSetWhat({ parts }: { parts: AskedPart[] }) {
    const lines = parts.flatMap((part) => part.lines.map((line) => ({ line, part: part.name })));
    const instead = lines.filter(({ line }) => below(line) !== null);
    const count = (layer: SetBy) => lines.filter(({ line }) => line.setBy === layer).length;
    if (lines.length === 0) {
        return null;
    }

    return (
        <section className="mb-5" aria-label={t`Who set what`}>
            <h2 className="aside pb-1">
                <Trans>Who set what</Trans>
            </h2>
            <p className="border-t border-ink pt-1 text-[13px] text-faint">
                {(['house', 'specification', 'deliverable'] as const)
                    .filter((layer) => count(layer) > 0)
                    .map((layer) => `${LAYERS[layer]} ${count(layer)}`)
                    .join(', ')}
            </p>
            {instead.map(({ line, part }) => {
                const lower = below(line);

                return (
                    <p key={`${part}-${line.id}`} className="border-b border-rule py-1 text-[13px]">
                        <a href={`#${part}-${line.id}`} className="link">
                            {line.label}
                        </a>
                        {parts.length > 1 && (
                            <span className="text-faint">
                                <Trans> of {part}</Trans>
                            </span>
                        )}
                        <span className="mono block">
                            <Breaking text={line.value} />{' '}
                            <span className="font-sans text-faint">
                                <Trans>here, not</Trans>
                            </span>{' '}
                            <s className="text-faint">
                                <Breaking text={lower?.value ?? 'nothing'} />
                            </s>{' '}
                            <span className="font-sans text-faint">
                                <Trans>of {OF_LAYER[lower?.by ?? 'specification']}</Trans>
                            </span>
                        </span>
                    </p>
                );
            })}
        </section>
    );
}
