import { t } from '@lingui/core/macro';
import { useReducer } from 'react';
import { tellForm } from '../../lib/ask';
import { to } from '../../lib/route';
import { readWorkbook, type SheetOfCells } from '../../lib/spreadsheet';
import { sentence } from '../../lib/trouble';
import { useQuestion } from '../../lib/useQuestion';
import type { ListPreview } from '../../types/views';

export type Source = 'file' | 'text' | 'learners';

/** What is brought, and from where. */
interface State {
    source: Source;
    specification: string;
    file: File | null;
    sheets: SheetOfCells[];
    sheet: number;
    text: string;
    roster: string[];
    code: string;
    /** what each column means, where somebody said so */
    matched: string[] | null;
    /** why the file could not be read here */
    fault: string | null;
}

export type Step =
    | { does: 'turn'; source: Source }
    | { does: 'forget' }
    | { does: 'take'; file: File; sheets: SheetOfCells[]; sheet: number }
    | { does: 'open'; sheet: number }
    | { does: 'paste'; text: string }
    | { does: 'call'; handle: string; on: boolean }
    | { does: 'set'; values: Partial<Pick<State, 'specification' | 'code' | 'matched' | 'fault'>> };

function next(state: State, step: Step): State {
    switch (step.does) {
        case 'turn':
            return { ...state, source: step.source, matched: null, fault: null };
        case 'forget':
            return { ...state, file: null, sheets: [], sheet: 0, matched: null, fault: null };
        case 'take':
            return { ...state, file: step.file, sheets: step.sheets, sheet: step.sheet };
        case 'open':
            return { ...state, sheet: step.sheet, matched: null };
        case 'paste':
            return { ...state, text: step.text, matched: null };
        case 'call':
            return { ...state, roster: called(state.roster, step.handle, step.on) };
        case 'set':
            return { ...state, ...step.values };
    }
}

function called(roster: string[], handle: string, on: boolean): string[] {
    const others = roster.filter((each) => each !== handle);

    return on ? [...others, handle] : others;
}

export type Given = Record<string, string | Blob | null>;

/** What goes to the server of it; null where there is nothing yet. */
function given(state: State): Given | null {
    const { source, specification, matched, file, text, roster, code } = state;
    const base = { specification, columns: matched === null ? null : JSON.stringify(matched) };
    if (specification === '') {
        return null;
    }
    if (source === 'learners') {
        return roster.length === 0 ? null : { ...base, columns: null, learners: roster.join('\n'), code };
    }
    if (source === 'text') {
        return text.trim() === '' ? null : { ...base, text, name: t`What was pasted` };
    }
    const cells = state.sheets[state.sheet];
    if (file === null) {
        return null;
    }

    return cells === undefined ? { ...base, file } : { ...base, cells: JSON.stringify(cells.cells), name: file.name };
}

/** By what one list differs from another. */
function keyOf(state: State): string {
    const { file, sheets, fault, ...rest } = state;

    return JSON.stringify([rest, file?.name, file?.lastModified, sheets.length, fault]);
}

/** The sheets of a workbook, and the longest of them, which is the list as a rule. */
async function sheetsOf(file: File): Promise<{ sheets: SheetOfCells[]; sheet: number }> {
    if (!/\.xlsx$/i.test(file.name)) {
        return { sheets: [], sheet: 0 };
    }
    const sheets = (await readWorkbook(file)).filter((each) => each.cells.length > 0);
    const sheet = sheets.reduce(
        (best, each, at) => (each.cells.length > (sheets[best]?.cells.length ?? 0) ? at : best),
        0,
    );

    return { sheets, sheet };
}

/** A list that is brought, and what it would do. */
export function useList(production: number, specification: string, roster: string[]) {
    const [state, take] = useReducer(next, {
        source: 'file',
        specification,
        file: null,
        sheets: [],
        sheet: 0,
        text: '',
        roster,
        code: '{production}_{learner}',
        matched: null,
        fault: null,
    });
    const data = state.fault === null ? given(state) : null;
    const { answer, fault, asking } = useQuestion(
        data === null ? null : keyOf(state),
        (stop) => tellForm<ListPreview>(to('list.read', { production }), data ?? {}, stop),
        { wait: 250, otherwise: t`This could not be read.`, keeps: false },
    );
    const choose = async (file: File | null) => {
        take({ does: 'forget' });
        if (file === null) {
            return;
        }
        try {
            take({ does: 'take', file, ...(await sheetsOf(file)) });
        } catch (trouble) {
            take({ does: 'set', values: { fault: sentence(trouble, t`This file could not be read.`) } });
        }
    };

    return { state, take, choose, data, plan: data === null ? null : answer, fault: state.fault ?? fault, asking };
}
