import Papa from 'papaparse';

/**
 * Whether a text would not come back as it is: a spreadsheet would run it as a formula, or a reader would take the blanks
 * off its ends. One that is led by an apostrophe before such a text is taken for an escaped one.
 */
function needsEscape(text: string): boolean {
  const rest = text.replace(/^'+/, '');
  return text !== text.trim() || rest !== rest.trim() || /^[=+\-@]/.test(rest);
}

const escaped = <V>(value: V): V | string => (typeof value === 'string' && needsEscape(value) ? `'${value}` : value);
const unescaped = (cell: string): string => (cell.startsWith("'") && needsEscape(cell.slice(1)) ? cell.slice(1) : cell.trim());

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
    { fields: columns.map((c) => escaped(c.head)), data: rows.map((row) => columns.map((c) => escaped(c.cell(row) ?? ''))) },
    { newline: '\r\n' },
  ) + '\r\n';

/** A table read: its heads, and rows as text with the line each stands on. */
export interface Table {
  heads: string[];
  rows: { line: number; cells: string[] }[];
}

/** What stands between the cells, by the first line: a comma in the others may be the decimals' own. Undefined where it shows none. */
function between(text: string): string | undefined {
  const [first = ''] = text.split(/\r?\n/, 1);
  const count = (mark: string): number => first.split(mark).length;
  return (['\t', ';'] as const).find((mark) => count(mark) > 1 && count(mark) >= count(','));
}

/** Reads CSV with commas, semicolons or tabs. Cells come back as the text they are; nothing is ever worked out. */
export function readCsv(text: string): Table {
  const plain = text.replace(/^\uFEFF/, '');
  const delimiter = between(plain);
  const { data } = Papa.parse<string[]>(plain, { skipEmptyLines: false, ...(delimiter !== undefined && { delimiter }) });
  const lines = data.map((cells, i) => ({ line: i + 1, cells: cells.map(unescaped) })).filter(({ cells }) => cells.some((c) => c !== ''));
  const [first, ...rows] = lines;
  return { heads: (first?.cells ?? []).map((h) => h.toLowerCase()), rows };
}
