import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Head, Link } from '@inertiajs/react';
import { to } from '../lib/route';
import type { FaultPage } from '../types/views';

const SAYS: Record<number, [string, string]> = {
    403: [t`This page is not yours to open.`, t`If it should be, ask the coordinator of the production.`],
    404: [t`There is no such page.`, t`It may have been taken out, or the address has a slip in it.`],
    405: [t`This address is not opened that way.`, t`Go back and use the page’s own buttons.`],
    413: [t`That was more than is taken at once.`, t`A settings file has a few kilobytes.`],
    429: [t`That was too often in a short time.`, t`Wait a minute, then try again.`],
    500: [
        t`Something in the program went wrong.`,
        t`Nothing was changed. Try again; if it happens again, tell whoever runs this ledger.`,
    ],
    503: [t`The ledger is closed for a moment.`, t`Try again in a minute.`],
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
                        <Trans>To the productions</Trans>
                    </Link>
                </p>
            </div>
        </main>
    );
}
