import { startingFilm, startingWhite } from '#core/craft';
import type { BaseCoat } from '#core/document';
import { additiveFor } from './additive';
import { tintHex } from './colour';
import { tintOver } from './covering';
import { cupFor, filmNeed } from './cup';
import type { Kind } from './kind';
import { allOf } from './region';

/** One tint below the sea, which hides the board or lends it a colour. */
export const base: Kind<BaseCoat> = {
  name: () => 'Base',
  over: 'whole',
  laid: 'poured',
  place: 'on the seal',
  starts: ({ base: own, limit, resin, onShelf }) => ({
    ...own,
    kind: 'base',
    samePour: false,
    film: startingFilm('base', 'poured', resin),
    tint: onShelf({ ...startingWhite(limit), name: 'Base' }),
  }),
  film: ({ film }) => film,
  cups: (s, coat, regions) => [
    cupFor(s, coat, 'base', coat.tint.name, filmNeed(s, coat, allOf(regions), coat.film), {
      tint: coat.tint,
      colour: tintHex(s, coat.tint, coat.film),
      ...additiveFor(s, coat),
    }),
  ],
  covers: ({ tint }, { colourants }) => tintOver(tint.recipe, colourants),
  section: () => [{ kind: 'base', share: 1 }],
  says: ({ name, place }) => `Lay ${name} over ${place}.`,
};
