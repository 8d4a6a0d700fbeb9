import { startingFilm, startingTints } from '#core/craft';
import type { GlazeCoat } from '#core/document';
import { additiveFor } from './additive';
import { tintHex } from './colour';
import { tintOver } from './covering';
import { cupFor, filmNeed } from './cup';
import type { Kind } from './kind';
import { allOf } from './region';

/** A thin film of one tint over what is hard, which deepens it. */
export const glaze: Kind<GlazeCoat> = {
  name: () => 'Glaze',
  over: 'sea',
  laid: 'spread',
  place: 'under the tops',
  starts: ({ base, onShelf }) => ({
    ...base,
    kind: 'glaze',
    samePour: false,
    film: startingFilm('glaze', 'spread'),
    tint: onShelf({ ...startingTints[3]!, name: 'Glaze' }),
  }),
  film: ({ film }) => film,
  cups: (s, coat, regions) => [
    cupFor(s, coat, 'glaze', coat.tint.name, filmNeed(s, coat, allOf(regions), coat.film), {
      tint: coat.tint,
      colour: tintHex(s, coat.tint, coat.film),
      ...additiveFor(s, coat),
    }),
  ],
  covers: ({ tint }, { colourants }) => tintOver(tint.recipe, colourants),
  section: () => [{ kind: 'glaze', share: 1 }],
  says: ({ name, place }) => `Glaze ${place} with ${name}.`,
};
