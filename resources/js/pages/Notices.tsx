import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, router } from '@inertiajs/react';
import { Wishes } from '../features/account/Wishes';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { Breaking } from '../parts/Breaking';
import { Heading } from '../parts/Heading';
import type { NoticesPage } from '../types/views';

/** What others wrote to one, whole. */
function Written({ messages }: Pick<NoticesPage, 'messages'>) {
    return messages.length === 0 ? null : (
        <section aria-labelledby="written">
            <Heading className="mt-6">
                <span id="written">
                    <Trans>Written to you</Trans>
                </span>
            </Heading>
            <ul>
                {messages.map(({ id, by, production, subject, body, at }) => (
                    <li key={id} id={`message-${id}`} className="border-b border-rule py-2">
                        <p className="flex flex-wrap items-baseline gap-x-3">
                            <strong>
                                <Breaking text={subject} />
                            </strong>
                            <span className="aside ml-auto">{[by, production, at].filter(Boolean).join(', ')}</span>
                        </p>
                        <p className="max-w-[86ch] pt-1 whitespace-pre-wrap [overflow-wrap:anywhere]">{body}</p>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** What somebody was told, and what they want to be told. */
export default function Notices({ notices, messages, wishes, mails }: NoticesPage) {
    const hasNew = notices.some((notice) => notice.isNew);

    return (
        <Book title={t`Notices`} book={null}>
            <div className="max-w-[980px] px-6 pb-10">
                <h1 className="title pt-4 text-[24px]">
                    <Trans>Notices</Trans>
                </h1>
                {notices.length === 0 && (
                    <p className="said pt-2">
                        <Trans>
                            Nothing was told to you yet. When a check ends, something else is asked of you, or something
                            is due, it stands here.
                        </Trans>
                    </p>
                )}
                {hasNew && (
                    <p className="pt-2">
                        <button
                            type="button"
                            className="btn"
                            onClick={() => router.post(to('notices.read'), {}, { preserveScroll: true })}
                        >
                            <Trans>I have read them</Trans>
                        </button>
                    </p>
                )}
                <ul className="pt-2">
                    {notices.map(({ id, says, url, at, production, isNew }) => (
                        <li key={id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1.5">
                            <Link href={url} className={isNew ? 'link font-semibold' : 'link'}>
                                <Breaking text={says} />
                            </Link>
                            <span className="aside ml-auto">
                                {production}, {at}
                                {isNew && (
                                    <span className="text-ochre">
                                        <Trans> new</Trans>
                                    </span>
                                )}
                            </span>
                        </li>
                    ))}
                </ul>
                <Written messages={messages} />
                <Heading className="mt-6">
                    <Trans>What you want to be told</Trans>
                </Heading>
                <Wishes wishes={wishes} mails={mails} />
            </div>
        </Book>
    );
}
