import { startingFilm, startingTints } from '#core/craft';
import type { SeaCoat } from '#core/document';
import type { CoatRegions } from '#core/geometry';
import { filmVolume } from '#core/mix';
import { additiveFor } from './additive';
import { tintHex } from './colour';
import { tintOver } from './covering';
import { cupFor, filmNeed, innerNeed, type Cup } from './cup';
import type { Kind } from './kind';
import { allOf, depthOf, joined, regionOfTint } from './region';
import type { Setting } from './setting';

const counted = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];

/** A bed of clear and the tints over it share the film. Where the sea runs over the beach, its shore tint does. */
function cups(s: Setting, coat: SeaCoat, regions: CoatRegions): Cup[] {
  const bed = coat.bed ?? 0;
  const last = coat.tints.length - 1;
  const tints = coat.tints.flatMap((tint, index) => {
    const own = regionOfTint(regions, index);
    const region = own && index === last ? joined([own, regions.beach]) : own;
    if (!region) return [];
    const need = filmNeed(s, coat, region, coat.film - bed);
    const colour = tintHex(s, tint, coat.film - bed, depthOf(s, s.cut.sea.length - index));
    return [cupFor(s, coat, 'tint', tint.name, need, { index, tint, colour, ...additiveFor(s, coat) })];
  });
  if (coat.order === 'shore first') tints.reverse();
  if (bed <= 0) return tints;
  // what runs over the rim is the tints'; the bed lies inside them
  const { area } = allOf(regions);
  return [cupFor(s, coat, 'bed', 'Clear bed', innerNeed(s, filmVolume(area, bed), area)), ...tints];
}

/** Tints of the sea from the deep to the shore, laid in one film. */
export const sea: Kind<SeaCoat> = {
  name: ({ tints }) => `Sea, ${counted[tints.length]} tint${tints.length === 1 ? '' : 's'}`,
  over: 'sea',
  laid: 'poured',
  place: 'under the tops',
  starts: ({ base, parts, resin, onShelf }) => {
    const at = (i: number): number => (parts > 1 ? Math.round((i * (startingTints.length - 1)) / (parts - 1)) : 0);
    const tints = Array.from({ length: parts }, (_, i) => onShelf(startingTints[at(i)]!));
    return { ...base, kind: 'sea', samePour: true, film: startingFilm('sea', 'poured', resin), tints };
  },
  film: ({ film }) => film,
  cups,
  // where the sea runs over the beach, it is its shore tint; the bed of clear keeps its share of a thicker film
  covers: ({ tints, film, bed = 0 }, { part, parts, colourants }) =>
    tintOver(tints[Math.min(parts - part, parts - 1)]?.recipe ?? [], colourants, 1 - bed / film),
  section: () => [{ kind: 'sea', share: 1 }],
  says: ({ role, name, place, into }) =>
    role === 'bed'
      ? `Wet ${place} with clear, thin and even, before the tints.`
      : `Lay ${name}${into === undefined ? '' : `, and draw it into ${into}`}.`,
};
