import { GRAIN, GRAVEL_DEPTH, SAND_DENSITY, bulk, startingBeachFilm, startingPerResin } from '#core/craft';
import type { Colourant, SandCoat } from '#core/document';
import { mixedDensity, sandShare } from '#core/mix';
import { grainGround, recipeLayer, type Ground } from '#core/tint';
import { hex, tintHex } from './colour';
import { tintOver } from './covering';
import { cupFor, filmNeed, type Filling } from './cup';
import type { Kind } from './kind';
import { allOf } from './region';
import type { Setting } from './setting';

/** Sand or gravel in resin takes room from it; sand pressed in leaves its pores to the clear. */
function grainsOf({ how, sandPerResin }: SandCoat, { resin }: Pick<Setting, 'resin'>): Filling['sand'] {
  if (how === 'tint') return undefined;
  const density = mixedDensity(resin);
  return how === 'pressed in'
    ? { resinShare: 1 - bulk.packed, perResin: (bulk.packed * SAND_DENSITY) / ((1 - bulk.packed) * density), pressed: true }
    : {
        resinShare: 1 - sandShare(sandPerResin, density),
        perResin: sandPerResin,
        pressed: false,
        ...(how === 'gravel' && { gravel: true }),
      };
}

/** An ordinary resin's g/ml: how grains look does not hang on the third figure of it. */
const DENSITY = 1.1;

/** The grains of a beach in what they lie in, as they are seen. */
function groundOf({ how, sandPerResin, colour, tint }: SandCoat, colourants: Colourant[]): Ground {
  const of = how === 'gravel' ? 'gravel' : 'sand';
  if (!tint?.recipe.length) return grainGround(of, colour);
  const share = how === 'pressed in' ? 1 - bulk.packed : 1 - sandShare(sandPerResin, DENSITY);
  return grainGround(of, colour, { ...recipeLayer(tint.recipe, colourants, 1), share });
}

/** From what thickness on grains lie close, mm. */
const closedFrom = ({ how }: SandCoat): number => (how === 'tint' ? Infinity : how === 'gravel' ? GRAVEL_DEPTH : GRAIN);

const names: Record<NonNullable<SandCoat['how']>, { coat: string; cup: string }> = {
  'in resin': { coat: 'Sand', cup: 'Sand' },
  'pressed in': { coat: 'Sand', cup: 'Clear for sand' },
  gravel: { coat: 'Gravel', cup: 'Gravel' },
  tint: { coat: 'Beach', cup: 'Beach tint' },
};

/** A beach: sand stirred into resin or pressed into wet clear, gravel in resin, or a tint without either. */
export const sand: Kind<SandCoat> = {
  name: ({ how = 'in resin' }) => names[how].coat,
  over: 'beach',
  laid: 'spread',
  place: 'under the tops',
  starts: ({ base }) => ({
    ...base,
    kind: 'sand',
    samePour: false,
    film: startingBeachFilm(),
    sandPerResin: startingPerResin(),
    taper: 24,
  }),
  film: ({ film }) => film,
  cups: (s, coat, regions) => {
    const { how = 'in resin', tint } = coat;
    const need = filmNeed(s, coat, coat.over ? allOf(regions) : regions.beach, coat.film);
    const grains = grainsOf(coat, s);
    const name = how === 'tint' && tint ? tint.name : names[how].cup;
    const colour = grains ? hex(groundOf(coat, s.colourants).internal) : tint && tintHex(s, tint, coat.film, 1);
    return [cupFor(s, coat, 'sand', name, need, { colour, ...(tint && { tint }), ...(grains && { sand: grains }) })];
  },
  // where grains lie thinner than one of them they stand apart, and what is below shows between them
  covers: (coat, { colourants }) => {
    if (coat.how === 'tint') return tintOver(coat.tint?.recipe ?? [], colourants);
    const { internal: grains } = groundOf(coat, colourants);
    const closed = closedFrom(coat);
    return (internal, film) => {
      const covered = Math.min(1, film / closed);
      for (const c of [0, 1, 2] as const) internal[c] = covered * grains[c] + (1 - covered) * internal[c];
    };
  },
  hidesFrom: closedFrom,
  section: () => [{ kind: 'sand', share: 1 }],
  says: ({ name, over, place, loose, holds }) => {
    const what = loose ? 'the clear for the sand' : holds ? `the ${holds}` : name;
    if (over !== 'beach') return `Lay ${what} over ${place}.`;
    if (loose) return 'Lay the clear for the beach, thinner toward the water.';
    return holds === 'sand' ? 'Lay the beach, thinner toward the water.' : `Lay ${what} over the beach, thinner toward the water.`;
  },
};
