import { dabs, spoonDensity } from '#core/craft';
import { limits, type Colourant } from '#core/document';
import { bare, fraction, mass, plain, read, readWithin, volume, type Reading, type Writes } from '#core/units';

/** A cup that a dose is typed for: its colourant, and A + B in it, g. */
export interface DoseInto {
  colourant: Pick<Colourant, 'name' | 'kind' | 'density' | 'dropMl'>;
  resinG: number;
}

const percent = (load: number): string => `${plain(load * 100, 4)} %`;
const no = (says: string): Reading => ({ ok: false, says });

/** How a dose may be typed. */
export const DOSES = 'as in “5 drops”, “0.3 g”, “a pea”, “a stick dip” or “0.5 %”';

/** Reads so many of something small that is taken by eye: "2 peas", "a match-head", "1½ stick dips". */
function readDabs(typed: string): number | undefined {
  const found = /^(an?|[\d.,/¼½¾ ]+)?\s*(.+?)s?$/.exec(typed);
  const dab = found && dabs.find((d) => d.spellings.includes(found[2]!));
  if (!dab) return undefined;
  const count = found[1] === undefined || /^an?$/.test(found[1]) ? undefined : read(bare, found[1]);
  return count === undefined ? dab.ml : count.ok ? count.value * dab.ml : undefined;
}

/**
 * Reads how much of a colourant goes into a cup, as a hand says it: "5 drops", "0.3 g", "1/8 tsp", "a pea", "2 stick dips",
 * or as a share of the mix, "0.5 %"; a bare number is per cent.
 * @returns its load, a share of A + B by weight
 */
export function readDose(text: string, { colourant, resinG }: DoseInto, write: Writes): Reading {
  const typed = text.trim().toLowerCase().replace(/\s+/g, ' ');
  const within = (grams: number): Reading => {
    if (resinG <= 0) return no('There is no resin in this cup yet. Give a share of it, as in “0.5 %”.');
    const load = Number((grams / resinG).toPrecision(9));
    return load <= limits.load.max
      ? { ok: true, value: load }
      : no(`“${text.trim()}” is ${percent(load)} of this cup; more than ${percent(limits.load.max)} is no tint any more. Give less of it.`);
  };
  const drops = /^(-?[\d.,/ ]+?) ?(?:drops?|gtt)$/.exec(typed);
  if (drops) {
    const count = Number(drops[1]!.replace(',', '.'));
    if (!Number.isInteger(count) || count < 0)
      return no(
        `“${text.trim()}” cannot be counted. Give whole drops, or a share of the mix, and it is thinned so that whole drops make it.`,
      );
    return colourant.dropMl === undefined
      ? no(`${colourant.name} does not drip. Give it ${DOSES.replace('“5 drops”, ', '')}.`)
      : within(count * colourant.dropMl * colourant.density);
  }
  const dabbed = readDabs(typed);
  if (dabbed !== undefined) return within(dabbed * spoonDensity(colourant));
  if (/[a-zA-Z]/.test(typed) && !/per ?cent/.test(typed)) {
    const [filled, weighed] = [read(volume, typed, write.units.volume), read(mass, typed, write.units.weight)];
    // ounces may be either: what is poured is fluid, what is weighed is not, and neither is guessed
    const both = /\d ?(?:oz|ounces?)\b(?! *(?:wt|by))/.test(typed) && !/fl|fluid/.test(typed);
    if (both) return no(`“${text.trim()}” can be fluid ounces or ounces by weight. Write “fl oz” or “oz wt”.`);
    if (weighed.ok) return within(weighed.value);
    return filled.ok ? within(filled.value * spoonDensity(colourant)) : no(`“${text.trim()}” is no dose here. Give it ${DOSES}.`);
  }
  return readWithin(fraction, typed, limits.load, 'A dose', percent, '%');
}

/** What an ordinary mix weighs, g/ml, where its resin is not known. */
const DENSITY = 1.1;

/**
 * Reads a dose where no cup stands beside it: a share of the mix, "0.5 %", or any dose with what it goes into, "5 drops in
 * 30 ml", "1 drop in 10 g".
 * @returns its load, a share of A + B by weight
 */
export function readDoseIn(text: string, colourant: DoseInto['colourant'], write: Writes): Reading {
  const [, dose, into] = /^(.+?)\s+in(?:to)?\s+(.+)$/i.exec(text.trim()) ?? [];
  if (dose !== undefined && into !== undefined) {
    const [filled, weighed] = [read(volume, into, write.units.volume), read(mass, into, write.units.weight)];
    const resinG = weighed.ok ? weighed.value : filled.ok ? filled.value * DENSITY : 0;
    if (resinG <= 0) return no(`“${into}” is no amount of resin. Give it as in “30 ml” or “10 g”.`);
    return readDose(dose, { colourant, resinG }, write);
  }
  if (/[a-z]/i.test(text) && !/per ?cent/i.test(text))
    return no(`Say in how much resin, as in “${text.trim()} in ${write.volume(30)}”, or give a share of it, as in “0.5 %”.`);
  return readWithin(fraction, text, limits.load, 'A share', percent, '%');
}
