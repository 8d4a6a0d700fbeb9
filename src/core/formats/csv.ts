import Papa from 'papaparse';

/** A column of a table on paper: its head, and what stands under it. */
export interface Column<T> {
  head: string;
  cell: (row: T) => string | number | undefined;
}

/**
 * Rows as CSV (RFC 4180): commas, a point for decimals, lines ended as the standard says. A text that a spreadsheet would
 * run as a formula is led by an apostrophe, which reading takes off again.
 */
export const writeCsv = <T>(columns: Column<T>[], rows: T[]): string =>
  Papa.unparse(
    { fields: columns.map((c) => c.head), data: rows.map((row) => columns.map((c) => c.cell(row) ?? '')) },
    { escapeFormulae: true, newline: '\r\n' },
  ) + '\r\n';

/** A table read: its heads, and rows as text with the line each stands on. */
export interface Table {
  heads: string[];
  rows: { line: number; cells: string[] }[];
}

/** Reads CSV with commas, semicolons or tabs. Cells come back as the text they are; nothing is ever worked out. */
export function readCsv(text: string): Table {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const plain = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@\t\r])/, '');
  const lines = data.map((cells, i) => ({ line: i + 1, cells: cells.map(plain) })).filter(({ cells }) => cells.some((c) => c !== ''));
  const [first, ...rows] = lines;
  return { heads: (first?.cells ?? []).map((h) => h.toLowerCase()), rows };
}
