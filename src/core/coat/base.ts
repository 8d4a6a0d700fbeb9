import { startingBase, startingFilm } from '#core/craft';
import { tintsOf, type BaseCoat } from '#core/document';
import { partsOf, type CoatRegions } from '#core/geometry';
import { additiveFor } from './additive';
import { tintHex } from './colour';
import { tintOver } from './covering';
import { cupFor, filmNeed, type Cup } from './cup';
import type { Kind } from './kind';
import { allOf, depthOf, joined } from './region';
import type { Setting } from './setting';
import { partsOfCup, tintAt } from './tinted-parts';

function cups(s: Setting, coat: BaseCoat, regions: CoatRegions): Cup[] {
  const tints = tintsOf(coat);
  const several = tints.length > 1;
  return tints.flatMap((tint, index) => {
    const own = partsOfCup(coat, regions, s.piece.sea, index);
    if (several && !own.length) return [];
    const region = several ? joined(own.map((part) => partsOf(regions)[part]!)) : allOf(regions);
    return [
      cupFor(s, coat, 'base', tint.name, filmNeed(s, coat, region, coat.film), {
        ...(several && { index }),
        tint,
        colour: tintHex(s, tint, coat.film, several ? depthOf(s, own[0]!) : undefined),
        ...additiveFor(s, coat),
      }),
    ];
  });
}

/** A tint below the sea, which hides the board or lends it a colour; or several, from the deep to the beach. */
export const base: Kind<BaseCoat> = {
  name: ({ inshore = [] }) => (inshore.length ? `Base, ${inshore.length + 1} tints` : 'Base'),
  over: 'whole',
  laid: 'poured',
  place: 'on the seal',
  starts: ({ base: own, limit, resin, onShelf }) => ({
    ...own,
    kind: 'base',
    samePour: false,
    film: startingFilm('base', 'poured', resin),
    tint: onShelf(startingBase(limit)),
  }),
  film: ({ film }) => film,
  cups,
  covers: (coat, at) => {
    const tints = tintsOf(coat);
    if (tints.length === 1) return tintOver(coat.tint.recipe, at.colourants);
    const { place, of } = at.own;
    return tintOver((tints[tintAt(tints.length, place, of)] ?? coat.tint).recipe, at.colourants);
  },
  section: () => [{ kind: 'base', share: 1 }],
  says: ({ name, place, into, several }) =>
    into !== undefined ? `Lay ${name} next, and draw it into ${into}.` : `Lay ${name} over ${several ? 'the deep side' : place}.`,
};
