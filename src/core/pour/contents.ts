import { bulk, dabs } from '#core/craft';
import type { ToldCup, ToldDose } from '#core/document';
import type { Cup } from '#core/coat';
import { inUnit, plain, volume, type Writes } from '#core/units';

/** From so much on a spoon or a small cup measures it, ml; less of a paste is taken on the tip of a stick. */
const SPOON = 0.55;
const eighths = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'];
const halves = (n: number): string => `${Math.floor(n) || ''}${n % 1 ? '½' : ''}`;

/** A little of a paste or a powder where nothing is weighed: "1/8 tsp", "1½ peas", "a match-head". */
function writeByEye(ml: number, write: Writes): string {
  if (ml >= SPOON) {
    if (write.units.volume === 'ml') return write.volume(ml);
    const parts = Math.max(1, Math.round(inUnit(volume, ml, 'tsp') * 8));
    const [whole, over] = [Math.floor(parts / 8), parts % 8];
    return `${[whole || '', eighths[over]].filter(Boolean).join(' ')} tsp`;
  }
  const dab = dabs.findLast((d) => ml >= 0.75 * d.ml) ?? dabs[0]!;
  const count = Math.max(0.5, Math.round((2 * ml) / dab.ml) / 2);
  return count === 1 ? dab.name : `${halves(count)} ${dab.name.replace(/^an? /, '')}${count > 1 ? 's' : ''}`;
}

type Dosed = Pick<ToldDose, 'count' | 'letDown' | 'grams' | 'name' | 'ml'>;

/** How much of a colourant is counted or measured: "5 drops", "0.31 g", by marked cups "0.2 ml". What is thinned is measured thinned. */
export function writeMeasured({ count, letDown, grams, ml }: Dosed, write: Writes): string {
  if (count !== undefined) return `${count} drop${count === 1 ? '' : 's'}`;
  const thinned = (letDown ?? 0) + 1;
  if (!write.byScale && ml !== undefined) return writeByEye(ml * thinned, write);
  const weighed = grams * thinned;
  return write.weight(weighed, weighed < 1 ? 2 : 1);
}

/** What goes into a cup of one colourant: "5 drops Phthalo blue tint", "6 drops thinned Phthalo blue tint (1 : 9)". */
export const writeDose = (dose: Dosed, write: Writes): string =>
  `${writeMeasured(dose, write)} ${dose.letDown ? `thinned ${dose.name} (1 : ${dose.letDown})` : dose.name}`;

/** Dry sand or gravel, by weight or by the cup. @param loose what it weighs as it is strewn, g/ml */
export const writeSand = (g: number, write: Writes, loose: number = bulk.sand): string =>
  write.byScale ? write.weight(g, g < 10 ? 1 : 0) : write.volume(g / loose);

/** Sand or gravel of a cup, named. */
export const writeGrains = ({ sandG, gravel }: { sandG: number; gravel?: boolean | undefined }, write: Writes): string =>
  gravel ? `${writeSand(sandG, write, bulk.gravel)} gravel` : `${writeSand(sandG, write)} sand`;

/** What of a cup is written about: its doses, its sand, its additive. */
export type Contents = Pick<ToldCup, 'doses' | 'sandG' | 'pressed' | 'gravel' | 'additive'>;

/** All that goes into a cup beside resin, each in a few words: "5 drops Phthalo blue tint". */
export const writeContents = ({ doses, sandG, pressed, gravel, additive }: Contents, write: Writes): string[] => [
  ...doses.map((dose) => writeDose(dose, write)),
  ...(sandG > 0 ? [`${writeGrains({ sandG, gravel }, write)}${pressed ? ', pressed in on the board' : ''}`] : []),
  ...(additive ? [`${plain(additive.drops, 0)} drop${additive.drops === 1 ? '' : 's'} ${additive.name}`] : []),
];

/** What goes into a cup that is planned and not told yet. */
export const contentsOf = ({ doses, sandG, made }: Cup): Contents => ({
  doses,
  sandG,
  ...(made.sand?.pressed && { pressed: true }),
  ...(made.sand?.gravel && { gravel: true }),
  ...(made.additive && { additive: made.additive }),
});
