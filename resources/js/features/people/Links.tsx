import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { CopyButton } from '../../parts/CopyButton';

interface Fresh {
    name: string;
    email: string;
    link: string;
}

/** Links that were just made: they are shown this once. */
export function Links({ fresh }: { fresh: Fresh[] }) {
    const all = fresh.map(({ name, email, link }) => [name, email, link].filter((part) => part !== '').join('\t'));

    return fresh.length === 0 ? null : (
        <section className="my-3 border border-edge px-3 py-2" aria-label={t`Links that were made`}>
            <p className="flex flex-wrap items-center gap-3">
                <span className="said">
                    <Trans>
                        {fresh.length === 1 ? t`The link is shown this once.` : t`The links are shown this once.`} Each
                        can be used once.
                    </Trans>
                </span>
                {fresh.length > 1 && <CopyButton text={`${all.join('\n')}\n`}>{t`Copy all`}</CopyButton>}
            </p>
            <ul>
                {fresh.map(({ name, email, link }) => (
                    <li key={link} className="flex flex-wrap items-center gap-x-3 border-t border-rule py-1">
                        <span>{name !== '' ? name : email}</span>
                        <span className="mono text-[13px] [overflow-wrap:anywhere]">{link}</span>
                        <CopyButton text={link}>{t`Copy`}</CopyButton>
                    </li>
                ))}
            </ul>
        </section>
    );
}
