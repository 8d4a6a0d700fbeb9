import type { Zone } from '#core/air';
import { limits, supplies, type Stock, type StockOf, type StockUnit } from '#core/document';
import { itemKey, itemName, type Ledger, type Materials, type Usage } from '#core/stock';
import { bare, plain, readWithin, type Range, type Reading } from '#core/units';
import { readCsv, writeCsv, type Column } from './csv';

/** Everything a container can hold: both parts of each resin, each colourant, each supply. */
export const holdable = ({ resins, colourants }: Materials): StockOf[] => [
  ...resins.flatMap((r): StockOf[] => [
    { kind: 'resin', resinId: r.id, part: 'A' },
    { kind: 'resin', resinId: r.id, part: 'B' },
  ]),
  ...colourants.map((c): StockOf => ({ kind: 'colourant', colourantId: c.id })),
  ...supplies.map((supply): StockOf => ({ kind: 'supply', supply })),
];

/** Containers as CSV; what is left and what it was is for the reader and is not read back. */
export function writeShelf(shelf: Ledger, materials: Materials): string {
  const columns: Column<Ledger['lines'][0]>[] = [
    { head: 'id', cell: ({ stock }) => stock.id },
    { head: 'what', cell: ({ stock }) => itemName(stock.of, materials) },
    { head: 'name', cell: ({ stock }) => stock.name },
    { head: 'size', cell: ({ stock }) => stock.size },
    { head: 'unit', cell: ({ stock }) => stock.unit },
    { head: 'price', cell: ({ stock }) => stock.price },
    { head: 'since', cell: ({ stock }) => stock.since },
    { head: 'opened', cell: ({ stock }) => stock.opened },
    { head: 'expires', cell: ({ stock }) => stock.expires },
    { head: 'lot', cell: ({ stock }) => stock.lot },
    { head: 'density', cell: ({ stock }) => stock.density },
    { head: 'left', cell: ({ left }) => Number(left.toFixed(3)) },
  ];
  return writeCsv(columns, shelf.lines);
}

/** What pours took, a line for each thing. */
export function writeUsage(uses: Usage[], materials: Materials, zone: Zone): string {
  const rows = uses.flatMap((use) => use.taken.map((taken) => ({ ...taken, piece: use.piece, at: use.at })));
  return writeCsv<(typeof rows)[0]>(
    [
      { head: 'date', cell: (r) => zone.dayOf(r.at) },
      { head: 'piece', cell: (r) => r.piece },
      { head: 'what', cell: (r) => itemName(r.of, materials) },
      { head: 'amount', cell: (r) => Number(r.amount.toFixed(3)) },
      { head: 'unit', cell: (r) => r.unit },
    ],
    rows,
  );
}

/** What a file would change on the shelf; nothing is stored by looking. */
export interface ShelfPreview {
  added: Stock[];
  changed: { before: Stock; after: Stock; fields: { name: string; before: string; after: string }[] }[];
  same: number;
  refused: { line: number; says: string }[];
  /** Heads nobody reads here. */
  ignored: string[];
}
export type ShelfReading = { ok: true; preview: ShelfPreview } | { ok: false; says: string };

const required = ['what', 'name', 'size', 'unit', 'price', 'since'];
const optional = ['id', 'opened', 'expires', 'lot', 'density'];
const units: StockUnit[] = ['g', 'ml', 'm', 'pieces'];
/** More rows than this are not a shelf. */
export const MOST_ROWS = 5000;

type Cells = Record<string, string>;
type Read<T> = { ok: true; value: T } | { ok: false; says: string };
const no = (says: string): { ok: false; says: string } => ({ ok: false, says });

function readNumber(cells: Cells, head: string, range: Range): Reading {
  const text = cells[head] ?? '';
  if (/^[=+@]/.test(text)) return no(`${head} is a formula, “${text.slice(0, 24)}”. Give the number it comes to.`);
  // in a file a point is a decimal: only what a spreadsheet of another country wrote is read as a hand's
  const exact = /^-?\d+\.\d{3}$/.test(text) ? `${text}0` : text;
  const reading = readWithin(bare, exact, range, `A ${head}`, (v) => plain(v, 3));
  return reading.ok ? reading : no(`${head}: ${reading.says}`);
}

function readDay(cells: Cells, head: string): Read<string> {
  const text = cells[head] ?? '';
  return /^\d{4}-\d\d-\d\d$/.test(text) &&
    new Date(`${text}T00:00:00Z`).toString() !== 'Invalid Date' &&
    new Date(`${text}T00:00:00Z`).toISOString().startsWith(text)
    ? { ok: true, value: text }
    : no(`${head} is “${text.slice(0, 24)}”. Give a date as 2026-11-25.`);
}

/** One row as a container, or the first thing that is wrong with it. */
function readRow(cells: Cells, known: Map<string, StockOf>): Read<Omit<Stock, 'id'>> {
  const of = known.get((cells['what'] ?? '').toLowerCase());
  if (!of)
    return no(
      `what is “${cells['what']}”, which is neither a resin’s part, a colourant nor a supply here. Write it as “Slow coating A” or “sand”.`,
    );
  const name = cells['name'] ?? '';
  if (!name || name.length > 80) return no('name is empty or longer than 80 letters.');
  const unit = units.find((u) => u === cells['unit']);
  if (!unit || (of.kind !== 'supply' && unit !== 'g' && unit !== 'ml'))
    return no(`unit is “${cells['unit']}”. Write ${of.kind === 'supply' ? 'g, ml, m or pieces' : 'g or ml'}.`);
  const size = readNumber(cells, 'size', { min: 0.001, max: 1e6 });
  if (!size.ok) return size;
  const price = readNumber(cells, 'price', { min: 0, max: 1e6 });
  if (!price.ok) return price;
  const since = readDay(cells, 'since');
  if (!since.ok) return since;
  const row: Omit<Stock, 'id'> = { name, of, size: size.value, unit, price: price.value, since: since.value };
  for (const head of ['opened', 'expires'] as const) {
    if (!cells[head]) continue;
    const day = readDay(cells, head);
    if (!day.ok) return day;
    row[head] = day.value;
  }
  if (cells['lot']) row.lot = cells['lot'].slice(0, 60);
  if (cells['density']) {
    const density = readNumber(cells, 'density', limits.density);
    if (!density.ok) return density;
    row.density = density.value;
  }
  return { ok: true, value: row };
}

const fields = ['name', 'size', 'unit', 'price', 'since', 'opened', 'expires', 'lot', 'density'] as const;
const shown = (value: unknown): string => (value === undefined ? '–' : String(value));

function differences(before: Stock, after: Stock, materials: Materials): { name: string; before: string; after: string }[] {
  const what =
    itemKey(before.of) === itemKey(after.of)
      ? []
      : [{ name: 'what', before: itemName(before.of, materials), after: itemName(after.of, materials) }];
  return [
    ...what,
    ...fields.filter((f) => before[f] !== after[f]).map((f) => ({ name: f, before: shown(before[f]), after: shown(after[f]) })),
  ];
}

/**
 * Reads a shelf from CSV beside the one there is. A row with an id that is known changes that container and keeps its
 * corrections; any other adds one. Containers the file does not name stay.
 * @param freshId makes an id that no container has
 */
export function readShelf(text: string, stock: Stock[], materials: Materials, freshId: (n: number) => string): ShelfReading {
  const { heads, rows } = readCsv(text);
  const missing = required.filter((head) => !heads.includes(head));
  if (missing.length)
    return no(
      heads.length
        ? `This file has no column “${missing.join('”, “')}”. A shelf needs ${required.join(', ')} in its first line; it has ${heads.slice(0, 12).join(', ')}.`
        : 'This file is empty. A shelf begins with a line of column names.',
    );
  if (rows.length > MOST_ROWS) return no(`This file has ${rows.length} rows; a shelf of up to ${MOST_ROWS} is read at once. Split it.`);
  const known = new Map(holdable(materials).map((of) => [itemName(of, materials).toLowerCase(), of]));
  const byId = new Map(stock.map((s) => [s.id, s]));
  const preview: ShelfPreview = {
    added: [],
    changed: [],
    same: 0,
    refused: [],
    ignored: heads.filter((h) => h && h !== 'left' && !required.includes(h) && !optional.includes(h)),
  };
  const seen = new Set<string>();
  for (const { line, cells } of rows) {
    const named = Object.fromEntries(heads.map((head, i) => [head, cells[i] ?? '']));
    const reading = readRow(named, known);
    if (!reading.ok) {
      preview.refused.push({ line, says: reading.says });
      continue;
    }
    const before = named['id'] ? byId.get(named['id']) : undefined;
    if (before && seen.has(before.id)) {
      preview.refused.push({ line, says: `id “${before.id}” stands here a second time. Leave it out to add another container.` });
      continue;
    }
    if (!before) {
      preview.added.push({ id: freshId(preview.added.length), ...reading.value });
      continue;
    }
    seen.add(before.id);
    const after: Stock = { id: before.id, ...reading.value, ...(before.corrections && { corrections: before.corrections }) };
    const found = differences(before, after, materials);
    if (found.length) preview.changed.push({ before, after, fields: found });
    else preview.same++;
  }
  return { ok: true, preview };
}
