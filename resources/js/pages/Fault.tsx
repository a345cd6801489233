import { Head, Link } from '@inertiajs/react';
import { to } from '../lib/route';
import type { FaultPage } from '../types/views';

const SAYS: Record<number, [string, string]> = {
    403: ['This page is not yours to open.', 'If it should be, ask the coordinator of the production.'],
    404: ['There is no such page.', 'It may have been taken out, or the address has a slip in it.'],
    405: ['This address is not opened that way.', 'Go back and use the page’s own buttons.'],
    413: ['That was more than is taken at once.', 'A settings file has a few kilobytes.'],
    429: ['That was too often in a short time.', 'Wait a minute, then try again.'],
    500: [
        'Something in the program went wrong.',
        'Nothing was changed. Try again; if it stays so, tell whoever runs this ledger.',
    ],
    503: ['The ledger is closed for a moment.', 'Try again in a minute.'],
};

export default function Fault({ status, says }: FaultPage) {
    const [what, then] = SAYS[status] ?? SAYS[500] ?? ['', ''];

    return (
        <main className="flex h-full flex-col items-center px-6 pt-[14vh]">
            <Head title={what} />
            <div className="sheet w-full max-w-[520px] border-y px-8 py-7">
                <p className="mono text-faint">{status}</p>
                <h1 className="title border-b-[3px] border-double border-ink pb-2 text-[24px]">{what}</h1>
                <p className="said mt-3">{says !== null && says !== 'This action is unauthorized.' ? says : then}</p>
                <p className="mt-4">
                    <Link href={to('productions')} className="link">
                        To the productions
                    </Link>
                </p>
            </div>
        </main>
    );
}
