import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { router } from '@inertiajs/react';
import { classes } from '../lib/classes';
import { to } from '../lib/route';
import { Book } from '../parts/Book';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { MessageShown, OutboxPage } from '../types/views';

const FORMATS = [
    ['mbox', t`as a mailbox`],
    ['txt', t`as text`],
    ['json', t`as JSON`],
] as const;

function Message({ message }: { message: MessageShown }) {
    const { id } = message;

    return (
        <li className="border-t border-ink py-3">
            <details>
                <summary className="cursor-pointer">
                    <span className="font-semibold">{message.to}</span>{' '}
                    <span className="text-faint">{message.address}</span> · {message.subject}{' '}
                    <span className="text-faint">· {message.at}</span>
                </summary>
                <pre className={classes('mt-2 max-w-[86ch] font-sans', 'whitespace-pre-wrap [overflow-wrap:anywhere]')}>
                    {message.body}
                </pre>
                {id === null ? (
                    <p className="mt-2 text-[13px] text-faint">
                        <Trans>The link stands here until it is used or ends. It is ended on the page People.</Trans>
                    </p>
                ) : (
                    <button
                        type="button"
                        className="link mt-2 text-[13px]"
                        onClick={() => router.delete(to('message.drop', { message: id }), { preserveScroll: true })}
                    >
                        <Trans>remove it</Trans>
                    </button>
                )}
            </details>
        </li>
    );
}

/** All of them as a file, or thrown away. */
function AllOfThem({ production, many }: { production: number; many: number }) {
    const clear = () => {
        if (window.confirm(t`Remove all ${many} messages?`)) {
            router.delete(to('outbox.clear', { production }));
        }
    };

    return (
        <>
            {FORMATS.map(([format, name]) => (
                <a key={format} className="link" href={to('outbox.export', { production, format })} download>
                    {name}
                </a>
            ))}
            {many > 0 && (
                <button type="button" className="link ml-auto" onClick={clear}>
                    <Trans>remove all</Trans>
                </button>
            )}
        </>
    );
}

/** What would be sent to owners. This stands in for a post office: nothing leaves this machine. */
export default function Outbox({ book, messages }: OutboxPage) {
    const production = book.production.id;
    // links are ended where people are, and not removed with the rest
    const many = messages.filter(({ id }) => id !== null).length;

    return (
        <Book title={t`${book.production.name}, outbox`} book={book}>
            <ProductionFolios book={book} at="outbox" />
            <div className="px-6 pb-10">
                <p className="said max-w-[62ch] pt-4">
                    <Trans>
                        What would be sent to owners, and links by which somebody comes in. Nothing leaves this machine
                        from here: take it with you as a file.
                    </Trans>
                </p>
                <p className="flex flex-wrap items-baseline gap-3 pt-2">
                    <button
                        type="button"
                        className="btn btn-primary"
                        onClick={() => router.post(to('outbox.write', { production }))}
                    >
                        <Trans>Write to everybody whose work does not balance</Trans>
                    </button>
                    {messages.length > 0 && <AllOfThem production={production} many={many} />}
                </p>
                {messages.length === 0 ? (
                    <p className="pt-4 text-faint">
                        <Trans>There is no message yet.</Trans>
                    </p>
                ) : (
                    <ul className="pt-3">
                        {messages.map((message, at) => (
                            <Message key={message.id ?? `link ${at}`} message={message} />
                        ))}
                    </ul>
                )}
            </div>
        </Book>
    );
}
