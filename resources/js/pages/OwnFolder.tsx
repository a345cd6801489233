import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Head } from '@inertiajs/react';
import { useState } from 'react';
import { OwnAnswer } from '../features/own/OwnAnswer';
import { OwnFolder as Place } from '../features/own/OwnFolder';
import { to } from '../lib/route';
import { verdictInWords } from '../lib/verdict';
import { VerdictSign } from '../parts/MarkSign';
import type { CheckDocument, OwnFolderPage } from '../types/views';

/** For somebody without a sign-in: a folder of their own against what is asked, before it is handed in. */
export default function OwnFolder({ link, code, title, production, until, looks, labels }: OwnFolderPage) {
    const [document, setDocument] = useState<CheckDocument | null>(null);

    return (
        <main className="scroll flex h-full flex-col items-center px-6 py-8">
            <Head title={t`${code}, checked before it is handed in`} />
            <div className="sheet w-full max-w-[860px] border-y px-8 py-6">
                <p className="aside">{production}</p>
                <h1 className="title border-b-[3px] border-double border-ink pb-2 text-[26px]">
                    {code}, {title}
                </h1>
                <p className="said mt-3">
                    {document === null
                        ? t`Choose the folder you are going to hand in. It stays where it is; what is found is shown ` +
                          t`here, and nothing is kept.`
                        : verdictInWords(document)}
                </p>
                {document !== null && (
                    <p className="mt-1">
                        <VerdictSign verdict={document.verdict} waived={false} /> {document.verdict}
                    </p>
                )}
                <div className="-mx-6 mt-2">
                    <Place
                        begin={to('own.begin', { link })}
                        says={t`Drop the folder here.`}
                        zip={t`This is an archive. Unpack it, and drop the folder.`}
                        looks={looks}
                        onEnded={(_, found) => setDocument(found)}
                    />
                </div>
                {document !== null && <OwnAnswer document={document} labels={labels} />}
                <p className="mt-6 border-t border-rule pt-2 text-[13px] text-faint">
                    <Trans>This page is open until {until}.</Trans>
                </p>
            </div>
        </main>
    );
}
