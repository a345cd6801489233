import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { SyntheticEvent } from 'react';
import { Finder } from '../../parts/Finder';
import type { OfferedRequirement } from '../../types/views';

/** What is to be changed of many. */
export interface SharedChange {
    line: OfferedRequirement | null;
    value: string;
    /** what each sets itself is taken back */
    drop: boolean;
}

/** One value for all that are chosen, or what each sets itself taken back. */
export function SharedValue({
    offered,
    shared,
    many,
    busy,
    onChange,
    onLook,
}: {
    offered: OfferedRequirement[];
    shared: SharedChange;
    /** how many are chosen */
    many: number;
    busy: boolean;
    onChange: (shared: SharedChange) => void;
    onLook: () => void;
}) {
    const { line, value, drop } = shared;
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        onLook();
    };

    return (
        <>
            <h2 className="title border-b border-edge pb-1 text-[16px]">
                <Trans>What</Trans>
            </h2>
            <div className="py-2">
                <Finder
                    label={line === null ? t`The requirement` : t`Another requirement`}
                    offered={offered}
                    onTake={(taken) => onChange({ ...shared, line: taken })}
                />
            </div>
            {line !== null && (
                <form onSubmit={submit}>
                    <label htmlFor="value" className="block font-semibold">
                        {line.label}
                    </label>
                    <input
                        id="value"
                        className="input mono max-w-[440px]"
                        value={value}
                        disabled={drop}
                        placeholder={t`like ${line.example}`}
                        autoComplete="off"
                        spellCheck={false}
                        onChange={(event) => onChange({ ...shared, value: event.target.value })}
                    />
                    <label className="mt-2 flex items-center gap-1.5 text-[13px]">
                        <input
                            type="checkbox"
                            className="checkbox"
                            checked={drop}
                            onChange={(event) => onChange({ ...shared, drop: event.target.checked })}
                        />
                        <Trans>take back what each sets itself, so that its specification holds again</Trans>
                    </label>
                    <p className="pt-2">
                        <button className="btn" disabled={busy || many === 0 || (!drop && value.trim() === '')}>
                            {busy ? t`Looking…` : t`Look at what would become of ${many === 0 ? 'them' : many}`}
                        </button>
                        {many === 0 && (
                            <span className="pl-3 text-faint">
                                <Trans>Choose the deliverables first.</Trans>
                            </span>
                        )}
                    </p>
                </form>
            )}
        </>
    );
}
