import type { Dose } from '#core/mix';
import type { Cup } from '#core/plan';
import { plain } from '#core/units';

/** What is counted or weighed of one colourant: "5 drops", "6 drops of 1 : 9", "0.31 g". */
export function writeDose({ count, letDown, grams }: Dose): string {
  if (count === undefined) return `${plain(grams, grams < 1 ? 2 : 1)} g`;
  const drops = `${count} drop${count === 1 ? '' : 's'}`;
  return letDown ? `${drops} of 1 : ${letDown}` : drops;
}

/** All of a cup in a column headed "drops": "7 of 1:4 + 5 of 1:9". */
export const writeDoses = (doses: Dose[]): string =>
  doses.map((d) => (d.count === undefined ? writeDose(d) : d.letDown ? `${d.count} of 1:${d.letDown}` : String(d.count))).join(' + ');

/** All that goes into a cup beside resin, each in a few words: "5 drops Phthalo blue tint". */
export const writeContents = ({ doses, sandG, made }: Cup): string[] => [
  ...doses.map((d) => `${d.letDown ? `${d.count} drops of 1:${d.letDown}` : writeDose(d)} ${d.name}`),
  ...(sandG > 0 ? [`${plain(sandG, 0)} g sand`] : []),
  ...(made.additive ? [`${made.additive.drops} drops ${made.additive.name}`] : []),
];
