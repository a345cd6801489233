import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { tell } from '../../lib/ask';
import { to } from '../../lib/route';
import { sentence } from '../../lib/trouble';
import { Breaking } from '../../parts/Breaking';
import { Fault } from '../../parts/Fault';
import { Field, Radios } from '../../parts/Field';
import { FolderBrowser, type Choice } from '../../parts/FolderBrowser';
import { PresetOptions } from '../../parts/PresetOptions';
import type { NewDeliverablePage, ProposalShown } from '../../types/views';
import type { DeliverableForm, Set } from './deliverableForm';

/** Where a new specification begins. */
const BEGINNINGS = [
    ['preset', t`a preset`],
    ['copy', t`another specification`],
    ['files', t`files that are right`],
    ['document', t`a document`],
    ['', 'nothing'],
] as const;

export type Way = (typeof BEGINNINGS)[number][0];

type Offered = Pick<NewDeliverablePage, 'presets' | 'others' | 'roots'>;

/** What each way begins with, before anything is chosen. */
function firstOf(way: Way, { presets, others }: Offered): string {
    if (way === 'copy') {
        return others[0] === undefined ? '' : `copy:${others[0].id}`;
    }

    return way === 'preset' ? (presets[0]?.word ?? '') : '';
}

function Presets({ presets, form, set }: { presets: Offered['presets']; form: DeliverableForm; set: Set }) {
    return (
        <Field id="begin" label={t`Preset`} help={t`Everything in it can be changed afterwards.`}>
            <select id="begin" className="select" value={form.data.begin} onChange={set('begin')}>
                <PresetOptions presets={presets} />
            </select>
        </Field>
    );
}

function Copies({ others, form, set }: { others: Offered['others']; form: DeliverableForm; set: Set }) {
    return (
        <Field id="begin" label={t`Specification`} help={t`It is copied; the two go their own ways from then on.`}>
            <select id="begin" className="select" value={form.data.begin} onChange={set('begin')}>
                {others.map((other) => (
                    <option key={other.id} value={`copy:${other.id}`}>
                        {other.title}
                        {other.production !== '' && ` (${other.production})`}
                    </option>
                ))}
            </select>
        </Field>
    );
}

function Document({ form }: { form: DeliverableForm }) {
    return (
        <Field
            id="document"
            label={t`Document`}
            fault={form.errors.document}
            help={t`A plain-ledger/specification document, as it is handed out here.`}
        >
            <input
                id="document"
                type="file"
                accept=".json,application/json"
                className="file-input file-input-sm"
                onChange={(event) => form.setData('document', event.target.files?.[0] ?? null)}
            />
        </Field>
    );
}

/** What the files of a folder fulfil, as a specification would say it. */
function Proposal({ found }: { found: ProposalShown }) {
    return found.parts.map((part) => (
        <section key={part.name} className="px-6 pb-3" aria-label={t`What the files fulfil: ${part.name}`}>
            <p className="said">
                <Breaking text={part.prose} />
            </p>
            <details>
                <summary className="cursor-pointer text-faint">
                    <Trans>
                        {part.lines.length} requirements of {part.name}
                    </Trans>
                </summary>
                <dl>
                    {part.lines.map((line) => (
                        <div key={line.label} className="flex justify-between gap-4 border-b border-rule py-0.5">
                            <dt>{line.label}</dt>
                            <dd className="mono text-right">
                                <Breaking text={line.value} />
                            </dd>
                        </div>
                    ))}
                </dl>
            </details>
        </section>
    ));
}

function Files({ production, roots, form }: { production: number; roots: Offered['roots']; form: DeliverableForm }) {
    const [found, setFound] = useState<ProposalShown | null>(null);
    const [trouble, setTrouble] = useState<string | null>(null);
    const [reading, setReading] = useState(false);
    const propose = (at: Choice) => {
        setReading(true);
        setTrouble(null);
        tell<ProposalShown>(to('reference.propose', { production }), { ...at, code: form.data.code })
            .then(
                (answer) => {
                    setFound(answer);
                    form.setData((was) => ({ ...was, begin: 'files', root: String(at.root), below: at.below }));
                },
                (fault: unknown) => {
                    setFound(null);
                    form.setData((was) => ({ ...was, begin: '' }));
                    setTrouble(sentence(fault, t`These files could not be read.`));
                },
            )
            .finally(() => setReading(false));
    };

    return (
        <div className="-mx-6">
            <FolderBrowser
                browse={to('reference', { production })}
                roots={roots.map((root) => ({ ...root, own: '' }))}
                start={null}
                fault={trouble}
            >
                {(at, ready) => (
                    <>
                        <button type="button" className="btn" disabled={!ready || reading} onClick={() => propose(at)}>
                            {reading ? t`Reading…` : t`Read these files`}
                        </button>
                        <span className="text-[13px] text-faint">
                            <Trans>
                                What they all fulfil becomes what is asked. Put the code above first: it is looked for
                                in the names.
                            </Trans>
                        </span>
                    </>
                )}
            </FolderBrowser>
            {found !== null && <Proposal found={found} />}
        </div>
    );
}

/** Where the specification of a new deliverable begins. */
export function Beginning({
    production,
    offered,
    way,
    onWay,
    form,
    set,
}: {
    production: number;
    offered: Offered;
    way: Way;
    onWay: (way: Way) => void;
    form: DeliverableForm;
    set: Set;
}) {
    const open = BEGINNINGS.filter(
        ([word]) => (word !== 'copy' || offered.others.length > 0) && (word !== 'files' || offered.roots.length > 0),
    );
    const turnTo = (next: Way) => {
        onWay(next);
        form.setData((was) => ({ ...was, document: null, begin: firstOf(next, offered) }));
    };

    return (
        <>
            <Field id="newTitle" label={t`Its title`} fault={form.errors.newTitle}>
                <input
                    id="newTitle"
                    className="input"
                    value={form.data.newTitle}
                    placeholder={t`as what it begins from`}
                    onChange={set('newTitle')}
                />
            </Field>
            <div className="border-b border-rule py-2">
                <fieldset className="grid items-baseline gap-x-4 sm:grid-cols-[150px_minmax(0,1fr)]">
                    <legend className="float-left">
                        <Trans>It begins from</Trans>
                    </legend>
                    <div className="flex flex-wrap gap-x-4">
                        <Radios name="way" words={open} chosen={way} onChoose={turnTo} />
                    </div>
                </fieldset>
                <Fault says={form.errors.begin} className="text-[13px]" />
            </div>
            {way === 'preset' && <Presets presets={offered.presets} form={form} set={set} />}
            {way === 'copy' && <Copies others={offered.others} form={form} set={set} />}
            {way === 'document' && <Document form={form} />}
            {way === 'files' && <Files production={production} roots={offered.roots} form={form} />}
        </>
    );
}
