import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { History } from '../features/submission/History';
import { RecordLinks } from '../features/submission/RecordLinks';
import { Sealing } from '../features/submission/Sealing';
import { Past, Signed } from '../features/submission/Signed';
import { Accepted, InTheWay, SignOff, Since, WhatIsSigned } from '../features/submission/SignOff';
import { Book } from '../parts/Book';
import { Folios } from '../parts/Folios';
import type { SubmissionPage } from '../types/views';

/** How what was signed is proved where nothing runs. */
const VERIFY = 'bin/plain-ledger verify --record RECORD.json --files DIR';

function Proving({ print }: { print: string }) {
    return (
        <section className="mb-5 text-[13px]">
            <h2 className="aside border-b border-ink pb-1">
                <Trans>To be proved anywhere</Trans>
            </h2>
            <p className="pt-2">
                <Trans>Records of this installation are signed with the key</Trans>
            </p>
            <p className="mono text-[12px]">{print}</p>
            <p className="pt-1 text-faint">
                <Trans>Whoever has a record and the files proves both with nothing running:</Trans>
            </p>
            <p className="mono text-[12px] [overflow-wrap:anywhere]">{VERIFY}</p>
        </section>
    );
}

/** What would be signed, and what stands in the way of that. */
function ToSign({ page }: { page: SubmissionPage }) {
    const { check, obstacles, running, may } = page;
    const isAnswerable = obstacles.every(({ kind }) => kind === 'open');
    const canSign = may.sign && running === null && isAnswerable;

    return (
        <>
            <div className="pt-4">
                <WhatIsSigned page={page} />
            </div>
            {check !== null && !(canSign && obstacles.length > 0) && <InTheWay obstacles={obstacles} />}
            <Accepted accepted={page.accepted} />
            <Since since={page.since} />
            {check !== null && canSign && <SignOff key={check.id} page={page} check={check} />}
        </>
    );
}

/** What is handed over, sealed to the very files that were checked. */
export default function Submission(page: SubmissionPage) {
    const { book, deliverable, check, current, running, may } = page;

    return (
        <Book
            title={t`${deliverable.code}, submission`}
            book={book}
            deliverable={deliverable}
            margin={
                <>
                    {may.sign && current !== null && <RecordLinks submission={current.id} links={page.links} />}
                    <Proving print={page.signsWith} />
                </>
            }
        >
            <Folios deliverable={deliverable} at="submission" />
            <div className="px-6 pb-10">
                {running !== null && <Sealing key={running.id} running={running} />}
                {current !== null && <Signed submission={current} may={may.sign && running === null} />}
                {/* the very check that was signed needs no second signature */}
                {(current === null || current.check !== check?.id) && <ToSign page={page} />}
                <Past past={page.past} />
                <History page={page} />
            </div>
        </Book>
    );
}
