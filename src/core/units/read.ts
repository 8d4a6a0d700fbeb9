import { leadingNumber, numberOf, straightened } from './number';
import type { Quantity, Reading, Unit } from './quantity';

/** A unit without what does not matter in it: blanks, points, capitals; “per” is a stroke. */
const bareUnit = (word: string): string =>
  straightened(word)
    .toLowerCase()
    .replace(/\bper\b|\ba\b(?= (?:sq|m|ft))/g, '/')
    .replace(/[\s.·*]+/g, '');

/** The units of a quantity by all their spellings. */
const unitsOf = (q: Quantity): Map<string, Unit> =>
  new Map(q.units.flatMap((u) => [u.name, ...u.spellings].map((word): [string, Unit] => [bareUnit(word), u])));

const unitNamed = (q: Quantity, name: string): Unit | undefined => q.units.find((u) => u.name === name);

const listed = (q: Quantity): string => {
  const names = q.units.map((u) => u.name).filter(Boolean);
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`;
};

/** The unit whose spelling shares the longest beginning with what was typed, if at least half of it. */
function nearest(q: Quantity, word: string): string | undefined {
  let best: string | undefined;
  let most = Math.max(1, word.length / 2);
  for (const [spelling, unit] of unitsOf(q)) {
    let same = 0;
    while (same < spelling.length && spelling[same] === word[same]) same++;
    if (same >= most && same > 1) [best, most] = [unit.name, same];
  }
  return best;
}

/** The name of a quantity with its article. */
const called = ({ name }: Quantity): string => `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;

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

/** What was typed, as one value, or as two where a mark in it could be a thousand or a decimal. */
type Read = { ok: true; value: number; or?: number; digits: string } | { ok: false; says: string };

/** Twelve digits hold every factor exactly and drop what binary adds: 12 in is 304.8 mm, not 304.79999999999995. */
const inBase = (number: number, unit: Unit): number => Number(((number + (unit.offset ?? 0)) * unit.factor).toPrecision(12));

function readShort(q: Quantity, typed: string, assume: string): Read {
  const bad = (says: string): Read => ({ ok: false, says });
  if (!typed) return bad(`Give ${called(q)}, as in “${q.example}”.`);
  const units = unitsOf(q);
  let rest = straightened(typed);
  const first = leadingNumber(rest);
  if (!first) return bad(`“${typed}” has no number in front. Write ${called(q)} as in “${q.example}”.`);
  let total = 0;
  let or: number | undefined;
  let last: Unit | undefined;
  while (rest) {
    const lead = leadingNumber(rest);
    if (!lead) return bad(`“${typed}” is not ${called(q)} here. Write it as in “${q.example}”.`);
    const { digits } = lead;
    const number = numberOf(digits);
    if (!number) return bad(`“${digits}” is not a number. Write ${called(q)} as in “${q.example}”.`);
    rest = lead.rest.trim();
    // a unit may have figures in it, as “ml/100 cm²” has; only what is none as a whole is looked at in parts
    const whole = units.has(bareUnit(rest));
    const word = whole ? rest : /^[^\d]*/.exec(rest)![0];
    rest = whole ? '' : rest.slice(word.length);
    const key = bareUnit(word).replace(/(?:[-,]|and)$/, '');
    const unsure = q.unsure?.spellings.includes(key) ? q.unsure : undefined;
    // after pounds only the ounces of a weight can come, and after feet inches
    const expected = last ? last.then : assume;
    if (unsure && expected !== unsure.unit)
      return bad(`“${digits} ${word.trim()}” can be ${unsure.meanings}. This is ${called(q)}: write “${digits} ${unsure.unit}”.`);
    const unit = unsure ? unitNamed(q, unsure.unit) : key ? units.get(key) : expected === undefined ? undefined : unitNamed(q, expected);
    if (!unit || (last && unit.name !== last.then)) {
      const meant = nearest(q, key);
      const hint = meant && !last ? ` Did you mean “${digits} ${meant}”?` : '';
      const what = `${word}${rest}`.trim();
      return bad(
        what
          ? `“${what}” is not ${called(q)} unit here. Write ${listed(q) || 'the number alone'}, as in “${q.example}”.${hint}`
          : `“${typed}” is not ${called(q)} here. Write it as in “${q.example}”.`,
      );
    }
    if (number.or !== undefined) or = total + inBase(number.or, unit);
    else if (or !== undefined) or += inBase(number.value, unit);
    total += inBase(number.value, unit);
    last = unit;
  }
  return { ok: true, value: Number(total.toPrecision(12)), ...(or !== undefined && { or }), digits: first.digits };
}

const bothWays = (digits: string): Reading => {
  const at = digits.search(/[.,]/);
  return no(
    `“${digits}” could mean ${digits.slice(0, at)}${digits.slice(at + 1)} or ${digits.slice(0, at)}.${digits.slice(at + 1).replace(/0+$/, '') || '0'}. Write it without the mark, or with fewer digits behind it.`,
  );
};

/**
 * Reads a quantity as a person writes it: "12 in", "½ in", "1' 4"", "1 lb 4 oz", "1 h 30 min", "15 ml / 100 cm²", "72 F",
 * "1,5 mm", "1 000". A number without a unit is taken in the unit `assume`.
 * @param q       the quantity and its units
 * @param text    what was typed
 * @param assume  name of the unit meant by a bare number
 * @returns the value in the quantity's first unit, or a sentence saying what would be right
 */
export function read(q: Quantity, text: string, assume = q.units[0]!.name): Reading {
  const found = short((typed): Read => readShort(q, typed, assume))(text);
  if (!found.ok) return found;
  return 'or' in found && found.or !== undefined ? bothWays(found.digits) : { ok: true, value: found.value };
}

/** The least and most a quantity may be, and how each bound is written. */
export interface Range {
  min: number;
  max: number;
}

/**
 * Reads a quantity and holds it to a range, in one sentence when it is outside. A number that could be a thousand or a
 * decimal is whichever of the two can be planned, if only one can.
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
  const found = short((typed): Read => readShort(q, typed, assume ?? q.units[0]!.name))(text);
  if (!found.ok) return found;
  const within = (value: number): boolean => value >= range.min && value <= range.max;
  const { value, or } = 'or' in found ? found : { ...found, or: undefined };
  if (or !== undefined && within(value) && within(or)) return bothWays(found.digits);
  if (within(value)) return { ok: true, value };
  if (or !== undefined && within(or)) return { ok: true, value: or };
  return no(`${what} of ${write(value)} is outside what can be planned. Give ${write(range.min)} to ${write(range.max)}.`);
}
