/** Numbers as hands write them. */

/** What a number may be: one value, or two where a mark between digits could be a thousand or a decimal. */
export type NumberReading = { value: number; or?: number };

const FRACTIONS: Record<string, string> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** A text with one sign for each thing: plain fractions, straight inch and foot marks, one minus, ² as 2. */
export const straightened = (text: string): string =>
  text
    .replace(/[¼½¾⅓⅔⅛⅜⅝⅞]/g, (sign) => ` ${FRACTIONS[sign]!}`)
    .replace(/[”“″]|''|′′/g, '"')
    .replace(/[’‘′]/g, "'")
    .replace(/[−–]/g, '-')
    .normalize('NFKC')
    .replace(/⁄/g, '/')
    .trim();

/** Where a number ends: "12 1/2", "1-1/2", "3/4", "1 000", "1e3", "1.5". The longest way of reading it comes first. */
const NUMBER = /^-?(?:\d+(?:\s+|\s*-\s*)\d+\s*\/\s*\d+|\d+\s*\/\s*\d+|\d{1,3}(?: \d{3})+(?!\d)(?:[.,]\d+)?|[\d.,]+(?:e[+-]?\d+)?)/;

/** The number a straightened text begins with, and what comes after it. */
export function leadingNumber(text: string): { digits: string; rest: string } | undefined {
  const digits = NUMBER.exec(text)?.[0];
  return digits === undefined ? undefined : { digits, rest: text.slice(digits.length) };
}

const finite = (value: number): NumberReading | undefined => (Number.isFinite(value) ? { value } : undefined);

/** What the digits of a number come to; undefined where they are none. */
export function numberOf(digits: string): NumberReading | undefined {
  const minus = digits.startsWith('-') ? -1 : 1;
  const t = digits.replace(/^-/, '');
  const parts = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(t);
  if (parts) return finite(minus * (Number(parts[1] ?? 0) + Number(parts[2]) / Number(parts[3])));
  const plain = t.replace(/ /g, '');
  // one mark with three digits behind it is written both ways
  if (/^[1-9]\d{0,2}[.,]\d{3}$/.test(plain)) {
    const [whole, three] = plain.split(/[.,]/) as [string, string];
    return { value: minus * Number(`${whole}.${three}`), or: minus * Number(whole + three) };
  }
  for (const [thousand, decimal] of [
    [',', '.'],
    ['.', ','],
  ] as const) {
    const grouped = new RegExp(`^\\d{1,3}(?:\\${thousand}\\d{3})+(?:\\${decimal}\\d+)?$`);
    if (grouped.test(plain) && (plain.includes(decimal) || plain.split(thousand).length > 2))
      return finite(minus * Number(plain.replaceAll(thousand, '').replace(decimal, '.')));
  }
  return /^(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/.test(plain) ? finite(minus * Number(plain.replace(',', '.'))) : undefined;
}
