import { zone } from '$lib/zone';
import { editRows, SHELF, type Row } from '$lib/store/edits';
import { attempt } from '$lib/ui/attempt';
import type { CellReading } from '$lib/ui/table/columns';
import { bare, plain, readWithin, type Range } from '#core/units';

/** Puts one thing of the shelf; false where that failed. */
export const put = (label: string, row: Row, mark?: string): Promise<boolean> => attempt(() => editRows(SHELF, label, [row], mark));

export const today = (): string => zone.dayOf(Date.now());

/** A name, trimmed. */
export const readName = (text: string): CellReading => {
  const name = text.trim();
  if (!name) return { ok: false, says: 'Give it a name.' };
  return name.length > 80 ? { ok: false, says: 'A name has up to 80 letters.' } : { ok: true, value: name };
};

/** A number without unit, held to a range. */
export const readBare =
  (range: Range, what: string, digits = 3) =>
  (text: string): CellReading =>
    readWithin(bare, text, range, what, (v) => plain(v, digits));

/** A day, or nothing. */
export const readDay = (text: string): CellReading => {
  const day = text.trim();
  if (!day) return { ok: true, value: undefined };
  const at = /^\d{4}-\d\d-\d\d$/.test(day) ? new Date(`${day}T00:00:00Z`) : undefined;
  return at && !Number.isNaN(at.getTime()) && at.toISOString().startsWith(day)
    ? { ok: true, value: day }
    : { ok: false, says: `“${day}” is no date. Write it as 2026-11-25, or leave it empty.` };
};

/** A row with a field changed, or without it where nothing was given. */
export function withField<T extends object, K extends keyof T>(row: T, key: K, value: T[K] | undefined): T {
  const { [key]: _, ...rest } = row;
  return (value === undefined ? rest : { ...row, [key]: value }) as T;
}
