import type { Reading } from '#core/units';

/** Reads a full hour of the day, "14" or "14:00". */
export function readHour(text: string): Reading {
  const n = Number(text.trim().replace(/:00$/, ''));
  return text.trim() && Number.isInteger(n) && n >= 0 && n <= 23
    ? { ok: true, value: n }
    : { ok: false, says: 'Give a full hour of the day, 0 to 23.' };
}
