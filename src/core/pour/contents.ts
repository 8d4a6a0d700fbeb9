import { bulk } from '#core/craft';
import type { ToldCup, ToldDose } from '#core/document';
import type { Cup } from '#core/coat';
import { plain, type Writes } from '#core/units';

type Dosed = Pick<ToldDose, 'count' | 'letDown' | 'grams' | 'name' | 'ml'>;

/** How much of a colourant is counted or measured: "5 drops", "0.31 g", by marked cups "0.2 ml". What is thinned is measured thinned. */
export function writeMeasured({ count, letDown, grams, ml }: Dosed, write: Writes): string {
  if (count !== undefined) return `${count} drop${count === 1 ? '' : 's'}`;
  const thinned = (letDown ?? 0) + 1;
  if (!write.byScale && ml !== undefined) return write.volume(ml * thinned);
  const weighed = grams * thinned;
  return write.weight(weighed, weighed < 1 ? 2 : 1);
}

/** What goes into a cup of one colourant: "5 drops Phthalo blue tint", "6 drops thinned Phthalo blue tint (1 : 9)". */
export const writeDose = (dose: Dosed, write: Writes): string =>
  `${writeMeasured(dose, write)} ${dose.letDown ? `thinned ${dose.name} (1 : ${dose.letDown})` : dose.name}`;

/** Dry sand or gravel, by weight or by the cup. @param loose what it weighs as it is strewn, g/ml */
export const writeSand = (g: number, write: Writes, loose: number = bulk.sand): string =>
  write.byScale ? write.weight(g, g < 10 ? 1 : 0) : write.volume(g / loose);

/** What of a cup is written about: its doses, its sand, its additive. */
export type Contents = Pick<ToldCup, 'doses' | 'sandG' | 'pressed' | 'additive'>;

/** All that goes into a cup beside resin, each in a few words: "5 drops Phthalo blue tint". */
export const writeContents = ({ doses, sandG, pressed, additive }: Contents, write: Writes): string[] => [
  ...doses.map((dose) => writeDose(dose, write)),
  ...(sandG > 0 ? [`${writeSand(sandG, write)} sand${pressed ? ', pressed in on the board' : ''}`] : []),
  ...(additive ? [`${plain(additive.drops, 0)} drop${additive.drops === 1 ? '' : 's'} ${additive.name}`] : []),
];

/** What goes into a cup that is planned and not told yet. */
export const contentsOf = ({ doses, sandG, made }: Cup): Contents => ({
  doses,
  sandG,
  ...(made.sand?.pressed && { pressed: true }),
  ...(made.additive && { additive: made.additive }),
});
