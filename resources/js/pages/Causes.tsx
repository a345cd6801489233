import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from '@inertiajs/react';
import { useState } from 'react';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import type { CausesPage } from '../types/views';

/** What can have gone wrong, and where it is found just now. */
export default function Causes({ causes }: CausesPage) {
    const [text, setText] = useState('');
    const wanted = text.trim().toLowerCase();
    const shown = causes.filter(({ name, from, by }) => `${name} ${from} ${by}`.toLowerCase().includes(wanted));

    return (
        <Book title={t`Causes`} book={null}>
            <div className="max-w-[880px] px-6 pb-10">
                <h1 className="title pt-4 text-[24px]">
                    <Trans>What can have gone wrong</Trans>
                </h1>
                <p className="said max-w-[66ch] py-2">
                    <Trans>
                        Told by facts alone. For one line the first cause that holds explains it; others that the same
                        facts allow are named beside it.
                    </Trans>
                </p>
                <input
                    type="search"
                    aria-label={t`Find a cause`}
                    placeholder={t`Find a cause`}
                    className="input w-72!"
                    value={text}
                    onChange={(event) => setText(event.target.value)}
                />
                {shown.length === 0 && (
                    <p className="pt-3 text-faint">
                        <Trans>Nothing bears that word.</Trans>
                    </p>
                )}
                <dl className="pt-2">
                    {shown.map(({ id, name, from, by, found }) => (
                        <div key={id} id={id} className="border-b border-rule py-2 target:bg-paper">
                            <dt className="font-semibold">{name}</dt>
                            <dd>
                                <span className="text-faint">
                                    <Trans>Seen by:</Trans>
                                </span>{' '}
                                <Breaking text={from} />
                            </dd>
                            <dd>
                                <span className="text-faint">
                                    <Trans>Put right by:</Trans>
                                </span>{' '}
                                <Breaking text={by} />
                            </dd>
                            {found.length > 0 && (
                                <dd className="text-[13px]">
                                    <span className="text-faint">
                                        <Trans>Found now in</Trans>
                                    </span>{' '}
                                    {found.map((each, n) => (
                                        <span key={each.id}>
                                            {n > 0 && ', '}
                                            <Link
                                                className="link mono"
                                                href={to(each.folio === 'scene' ? 'scene' : 'frames', {
                                                    deliverable: each.id,
                                                })}
                                            >
                                                {each.code}
                                            </Link>
                                        </span>
                                    ))}
                                </dd>
                            )}
                        </div>
                    ))}
                </dl>
            </div>
        </Book>
    );
}
