import { router } from '@inertiajs/react';
import { classes } from '../lib/classes';
import { Book } from '../parts/Book';
import { ProductionFolios } from '../parts/ProductionFolios';
import type { Book as BookData } from '../types/views';

interface Message {
    id: number;
    to: string;
    address: string;
    by: string | null;
    subject: string;
    body: string;
    at: string;
}

/** What would be sent to owners. This stands in for a post office: nothing leaves this machine. */
export default function Outbox({ book, messages }: { book: BookData; messages: Message[] }) {
    const base = `/productions/${book.production.id}/outbox`;

    return (
        <Book title={`${book.production.name}, outbox`} book={book}>
            <ProductionFolios book={book} at="/outbox" />
            <div className="px-6 pb-10">
                <p className="said max-w-[62ch] pt-4">
                    What would be sent to owners. Nothing leaves this machine: take it with you as a file.
                </p>
                <p className="flex flex-wrap items-baseline gap-3 pt-2">
                    <button type="button" className="btn btn-primary" onClick={() => router.post(base, {})}>
                        Write to everybody whose work does not balance
                    </button>
                    {messages.length > 0 && (
                        <>
                            {(['mbox', 'txt', 'json'] as const).map((format) => (
                                <a key={format} className="link" href={`${base}.${format}`} download>
                                    {format === 'mbox' ? 'as a mailbox' : format === 'txt' ? 'as text' : 'as JSON'}
                                </a>
                            ))}
                            <button
                                type="button"
                                className="link ml-auto"
                                onClick={() => {
                                    if (window.confirm(`Throw away all ${messages.length} messages?`)) {
                                        router.delete(base);
                                    }
                                }}
                            >
                                throw all away
                            </button>
                        </>
                    )}
                </p>
                {messages.length === 0 ? (
                    <p className="pt-4 text-faint">There is no message yet.</p>
                ) : (
                    <ul className="pt-3">
                        {messages.map((message) => (
                            <li key={message.id} className="border-t border-ink py-3">
                                <details>
                                    <summary className="cursor-pointer">
                                        <span className="font-semibold">{message.to}</span>{' '}
                                        <span className="text-faint">{message.address}</span> · {message.subject}{' '}
                                        <span className="text-faint">· {message.at}</span>
                                    </summary>
                                    <pre
                                        className={classes(
                                            'mt-2 max-w-[86ch] font-sans',
                                            'whitespace-pre-wrap [overflow-wrap:anywhere]',
                                        )}
                                    >
                                        {message.body}
                                    </pre>
                                    <button
                                        type="button"
                                        className="link mt-2 text-[13px]"
                                        onClick={() =>
                                            router.delete(`/messages/${message.id}`, { preserveScroll: true })
                                        }
                                    >
                                        throw it away
                                    </button>
                                </details>
                            </li>
                        ))}
                    </ul>
                )}
            </div>
        </Book>
    );
}
