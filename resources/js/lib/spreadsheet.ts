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

        return written.endsWith('T00:00:00.000Z') ? written.slice(0, 10) : `${written.slice(0, 10)} ${written.slice(11, 16)}`;
    }
    if (typeof cell === 'number') {
        // 0.1 + 0.2 was never typed by anybody
        return String(Number(cell.toPrecision(12)));
    }

    return typeof cell === 'string' || typeof cell === 'boolean' ? String(cell) : '';
}

export async function readWorkbook(file: File): Promise<SheetOfCells[]> {
    if (file.size > LARGEST) {
        throw new Error(`${file.name} is larger than 20 MB. Save the sheet with the list as CSV and read that.`);
    }
    // fetched only when a workbook is read
    const { default: read } = await import('read-excel-file/browser');
    try {
        const sheets = await read(file);

        return sheets.map((each) => ({ name: each.sheet, cells: each.data.map((row) => row.map(text)) }));
    } catch {
        throw new Error(`${file.name} could not be read as a workbook. Save it as XLSX or CSV again.`);
    }
}
