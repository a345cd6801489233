import { t } from '@lingui/core/macro';
/** A workbook's cells as text, read here in the browser; nothing of it is run. */

const LARGEST = 20_000_000;

export interface SheetOfCells {
    name: string;
    cells: string[][];
}

function text(cell: unknown): string {
    if (cell === null || cell === undefined) {
        return '';
    }
    if (cell instanceof Date) {
        // a workbook's dates have no zone; they come as if they were of UTC
        const written = cell.toISOString();

        return written.endsWith('T00:00:00.000Z')
            ? written.slice(0, 10)
            : `${written.slice(0, 10)} ${written.slice(11, 16)}`;
    }
    if (typeof cell === 'number') {
        // 0.1 + 0.2 was never typed by anybody; a number of many digits may be somebody's
        return Number.isSafeInteger(cell) ? String(cell) : String(Number(cell.toPrecision(12)));
    }

    return typeof cell === 'string' || typeof cell === 'boolean' ? String(cell) : '';
}

export async function readWorkbook(file: File): Promise<SheetOfCells[]> {
    if (file.size > LARGEST) {
        throw new Error(t`${file.name} is larger than 20 MB. Save the sheet with the list as CSV and read that.`);
    }
    // fetched only when a workbook is read
    const { default: read } = await import('read-excel-file/browser');
    try {
        const sheets = await read(file);

        return sheets.map((each) => ({ name: each.sheet, cells: each.data.map((row) => row.map(text)) }));
    } catch {
        throw new Error(t`${file.name} could not be read as a workbook. Save it as XLSX or CSV again.`);
    }
}

/** Cells as separated values (RFC 4180), for whoever reads those. */
export function asCsv(cells: string[][]): string {
    return cells
        .map((row) => row.map((cell) => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell)).join(','))
        .join('\r\n');
}

/** A workbook as separated values, from its longest sheet and under its own name; any other file as it is. */
export async function asText(file: File): Promise<File> {
    if (!/\.xlsx$/i.test(file.name)) {
        return file;
    }
    const sheets = (await readWorkbook(file)).sort((a, b) => b.cells.length - a.cells.length);

    return new File([asCsv(sheets[0]?.cells ?? [])], file.name, { type: 'text/csv' });
}
