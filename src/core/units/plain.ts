/** Numbers as they are shown. */

/** A number with a true minus sign and at most `digits` decimals, without trailing zeros. */
export const plain = (value: number, digits: number): string => String(Number(value.toFixed(digits))).replace('-', '−');

/** A number with exactly `digits` decimals, so that columns line up. */
export const fixed = (value: number, digits: number): string => value.toFixed(digits).replace('-', '−');

/** A number in at most `figures` figures, never in powers of ten: 0.0123, 1.23, 123. */
export function figures(value: number, most: number): string {
  if (value === 0) return '0';
  const before = Math.floor(Math.log10(Math.abs(value))) + 1;
  return plain(value, Math.min(6, Math.max(0, most - before)));
}

/**
 * Inches as a rule is read, in halves, quarters, eighths and so on: 3.75 → "3 3/4", 0.5 → "1/2".
 * @param parts the finest mark, of an inch: a power of two
 */
export function binaryInches(inches: number, parts: number): string {
  const all = Math.round(Math.abs(inches) * parts);
  if (all === 0) return '0';
  const [whole, over] = [Math.floor(all / parts), all % parts];
  let [top, below] = [over, parts];
  while (top > 0 && top % 2 === 0) [top, below] = [top / 2, below / 2];
  return `${inches < 0 ? '−' : ''}${[whole > 0 ? String(whole) : '', top > 0 ? `${top}/${below}` : ''].filter(Boolean).join(' ')}`;
}
