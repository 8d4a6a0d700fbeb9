import type { Quantity, Reading, Unit } from './quantity';

const spellingOf = (q: Quantity, word: string): Unit | undefined => q.units.find((u) => u.spellings.includes(word));

const listed = (q: Quantity): string => {
  const names = q.units.map((u) => u.name).filter(Boolean);
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`;
};

/** The unit whose spelling shares the longest beginning with what was typed, if at least half of it. */
function nearest(q: Quantity, word: string): string | undefined {
  let best: string | undefined;
  let most = Math.max(1, word.length / 2);
  for (const unit of q.units)
    for (const spelling of unit.spellings) {
      let same = 0;
      while (same < spelling.length && spelling[same] === word[same]) same++;
      if (same >= most && same > 1) [best, most] = [unit.name, same];
    }
  return best;
}

const no = (says: string): Reading => ({ ok: false, says });

/** What is typed into one field is never longer; a page pasted by mistake is. */
const LONGEST = 200;

/**
 * A reader that is spared what no one types: runs of blanks come to it as one, so that no pattern looks at each of a
 * hundred thousand of them, and a text longer than any quantity is refused with a sentence.
 */
export const short =
  <R>(reads: (text: string) => R, longest = LONGEST) =>
  (text: string): R | { ok: false; says: string } => {
    const typed = text.replace(/\s+/g, ' ').trim();
    if (typed.length <= longest) return reads(typed);
    return { ok: false, says: `“${typed.slice(0, 24)}…” is too long. Write it in up to ${longest} letters.` };
  };

/** Reads "12", "1.5", "1,5", "3/4", "1 1/2" and "−10"; undefined where it is no number. */
function readNumber(text: string): number | undefined | 'ambiguous' {
  const t = text.replace(/^[−–]/, '-').trim();
  const mixed = /^(-?)(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(t);
  if (mixed) {
    const value = Number(mixed[2] ?? 0) + Number(mixed[3]) / Number(mixed[4]);
    return Number.isFinite(value) ? (mixed[1] ? -value : value) : undefined;
  }
  if (/^-?[1-9]\d{0,2},\d{3}$/.test(t)) return 'ambiguous';
  return /^-?(\d+([.,]\d*)?|[.,]\d+)$/.test(t) ? Number(t.replace(',', '.')) : undefined;
}

/**
 * Reads a quantity as a person writes it: "12 in", "30 cm", "3 fl oz", "72 F", "1 1/2 in", "1,5 mm".
 * A number without a unit is taken in the unit `assume`.
 * @param q       the quantity and its units
 * @param text    what was typed
 * @param assume  name of the unit meant by a bare number
 * @returns the value in the quantity's first unit, or a sentence saying what would be right
 */
export const read = (q: Quantity, text: string, assume = q.units[0]!.name): Reading => short((typed) => readShort(q, typed, assume))(text);

function readShort(q: Quantity, typed: string, assume: string): Reading {
  if (!typed) return no(`Give a ${q.name}, as in “${q.example}”.`);
  const match = /^([-−–]?[\d.,]+(?:\s*\/\s*\d+|\s+\d+\s*\/\s*\d+)?)\s*(.*)$/s.exec(typed);
  if (!match) return no(`“${typed}” has no number in front. Write a ${q.name} as in “${q.example}”.`);
  const number = readNumber(match[1]!.replace(/\s*\/\s*/, '/'));
  if (number === undefined) return no(`“${match[1]}” is not a number. Write a ${q.name} as in “${q.example}”.`);
  if (number === 'ambiguous')
    return no(
      `“${match[1]}” could mean ${match[1]!.replace(',', '')} or ${match[1]!.replace(',', '.')}. Write it with a point, or without a comma.`,
    );
  const word = match[2]!.trim().toLowerCase().replace(/\s+/g, ' ');
  const unit = word ? spellingOf(q, word) : q.units.find((u) => u.name === assume);
  if (!unit) {
    const meant = nearest(q, word);
    const hint = meant ? ` Did you mean “${match[1]} ${meant}”?` : '';
    return no(`“${match[2]!.trim()}” is not a ${q.name} unit here. Write ${listed(q) || 'the number alone'}, as in “${q.example}”.${hint}`);
  }
  // twelve digits hold every factor exactly and drop what binary adds: 12 in is 304.8 mm, not 304.79999999999995
  return { ok: true, value: Number(((number + (unit.offset ?? 0)) * unit.factor).toPrecision(12)) };
}

/** The least and most a quantity may be, and how each bound is written. */
export interface Range {
  min: number;
  max: number;
}

/**
 * Reads a quantity and holds it to a range, in one sentence when it is outside.
 * @param what  how the thing is called at the start of a sentence, as in "A side"
 * @param write how a value is written, for the bounds in the sentence
 */
export function readWithin(
  q: Quantity,
  text: string,
  range: Range,
  what: string,
  write: (value: number) => string,
  assume?: string,
): Reading {
  const reading = read(q, text, assume);
  if (!reading.ok) return reading;
  if (reading.value >= range.min && reading.value <= range.max) return reading;
  return no(`${what} of ${write(reading.value)} is outside what can be planned. Give ${write(range.min)} to ${write(range.max)}.`);
}
