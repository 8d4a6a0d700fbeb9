import type { ToldCup, ToldDose } from '#core/document';
import type { Cup } from '#core/coat';
import { plain } from '#core/units';

/** What is counted or weighed of one colourant: "5 drops", "6 drops of 1 : 9", "0.31 g", "0.6 g of 1 : 9". */
export function writeDose({ count, letDown, grams }: Pick<ToldDose, 'count' | 'letDown' | 'grams'>): string {
  const of = letDown ? ` of 1 : ${letDown}` : '';
  if (count !== undefined) return `${count} drop${count === 1 ? '' : 's'}${of}`;
  const weighed = grams * ((letDown ?? 0) + 1);
  return `${plain(weighed, weighed < 1 ? 2 : 1)} g${of}`;
}

/** All colourants of a cup in a narrow column headed "drops": "7 of 1:4 + 5 of 1:9". */
export const writeDoses = (doses: Pick<ToldDose, 'count' | 'letDown' | 'grams'>[]): string =>
  doses
    .map((d) => (d.count === undefined ? writeDose(d).replace(' : ', ':') : d.letDown ? `${d.count} of 1:${d.letDown}` : String(d.count)))
    .join(' + ');

/** What of a cup is written about: its doses, its sand, its additive. */
export type Contents = Pick<ToldCup, 'doses' | 'sandG' | 'pressed' | 'additive'>;

/** All that goes into a cup beside resin, each in a few words: "5 drops Phthalo blue tint". */
export const writeContents = ({ doses, sandG, pressed, additive }: Contents): string[] => [
  ...doses.map((d) => `${writeDose(d).replace(' : ', ':')} ${d.name}`),
  ...(sandG > 0 ? [`${plain(sandG, 0)} g sand${pressed ? ', pressed in on the board' : ''}`] : []),
  ...(additive ? [`${additive.drops} drop${additive.drops === 1 ? '' : 's'} ${additive.name}`] : []),
];

/** What goes into a cup that is planned and not told yet. */
export const contentsOf = ({ doses, sandG, made }: Cup): Contents => ({
  doses,
  sandG,
  ...(made.sand?.pressed && { pressed: true }),
  ...(made.additive && { additive: made.additive }),
});
