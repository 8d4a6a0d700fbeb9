import { GRAIN, SAND_DENSITY, bulk, startingFilm } from '#core/craft';
import type { SandCoat } from '#core/document';
import { mixedDensity, sandShare } from '#core/mix';
import { sandGround } from '#core/tint';
import { hex } from './colour';
import { cupFor, filmNeed, type Filling } from './cup';
import type { Kind } from './kind';
import { allOf } from './region';
import type { Setting } from './setting';

/** Sand in resin takes room from it; sand pressed in leaves its pores to the clear. */
function sandOf({ how, sandPerResin }: SandCoat, { resin }: Pick<Setting, 'resin'>): NonNullable<Filling['sand']> {
  const density = mixedDensity(resin);
  return how === 'pressed in'
    ? { resinShare: 1 - bulk.packed, perResin: (bulk.packed * SAND_DENSITY) / ((1 - bulk.packed) * density), pressed: true }
    : { resinShare: 1 - sandShare(sandPerResin, density), perResin: sandPerResin, pressed: false };
}

/** Sand of the beach, stirred into resin or pressed into wet clear. */
export const sand: Kind<SandCoat> = {
  name: () => 'Sand',
  over: 'beach',
  laid: 'spread',
  place: 'under the tops',
  starts: ({ base }) => ({ ...base, kind: 'sand', samePour: false, film: startingFilm('sand', 'spread'), sandPerResin: 1.5, taper: 24 }),
  film: ({ film }) => film,
  cups: (s, coat, regions) => {
    const need = filmNeed(s, coat, coat.over ? allOf(regions) : regions.beach, coat.film);
    const name = coat.how === 'pressed in' ? 'Clear for sand' : 'Sand';
    return [cupFor(s, coat, 'sand', name, need, { colour: hex(sandGround.internal), sand: sandOf(coat, s) })];
  },
  // where sand lies thinner than a grain its grains stand apart, and what is below shows between them
  covers: () => (internal, film) => {
    const covered = Math.min(1, film / GRAIN);
    for (const c of [0, 1, 2] as const) internal[c] = covered * sandGround.internal[c] + (1 - covered) * internal[c];
  },
  hidesFrom: GRAIN,
  section: () => [{ kind: 'sand', share: 1 }],
  says: ({ over, place, loose }) => {
    if (over !== 'beach') return `Lay ${loose ? 'the clear for the sand' : 'the sand'} over ${place}.`;
    return loose ? 'Lay the clear for the beach, thinner toward the water.' : 'Lay the beach, thinner toward the water.';
  },
};
