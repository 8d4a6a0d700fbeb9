import { startingMethod } from '#core/craft';
import { limits, type Colourant, type Figure, type Method, type Resin } from '#core/document';
import { tuned } from '#core/foam';
import type { Range } from '#core/units';

/** Where a figure stands in the studio. */
export interface Standing {
  method: Method;
  resins: Resin[];
  colourants: Colourant[];
}

type Same = { [K in keyof Method]-?: Method[K] extends number | undefined ? K : never }[keyof Method];
type FoamKey = 'drag' | 'born' | 'grow' | 'wall';

/** Which field a figure is: a habit of the studio, of its rehearsals, of a resin, or the strength of a colourant. */
type Field =
  | { in: 'method'; key: Same; usual: number }
  | { in: 'foam'; key: FoamKey; usual: number }
  | { in: 'resin'; key: 'workingMin' | 'viscosity' | 'recoatFromH' }
  | { in: 'colourant' };

/** A figure that pours can tell: where it stands, how far studios differ in it and one pour from the next, of its logarithm. */
export interface Learnable {
  field: Field;
  between: number;
  within: number;
  bounds: Range;
}

const habit = (key: Same, usual: number, bounds: Range, between: number, within: number): Learnable => ({
  field: { in: 'method', key, usual },
  bounds,
  between,
  within,
});
const foam = (key: FoamKey, bounds: Range): Learnable => ({
  field: { in: 'foam', key, usual: tuned[key] },
  bounds,
  between: 0.5,
  within: 0.35,
});
const minutes = { min: 0.1, max: 60 };
/** Strength of a colourant beside what is stored of it. */
const strength = { min: 0.1, max: 10 };
/** ml in a cup that a hand has scraped out. */
const stays = { min: 0.02, max: 20 };

/** Every figure that pours can tell. Deviations are set by eye: what differs from hand to hand more than from resin to resin has more. */
export const learnable: Record<Figure, Learnable> = {
  'drip rate': habit('dripPerM', startingMethod.dripPerM, { min: 0.1, max: limits.drip.max }, 0.5, 0.3),
  'cup loss': habit('cupStays', startingMethod.cupStays, stays, 0.5, 0.4),
  // counted as what is poured beside what is drawn, so that a studio may need less than the drawing says
  spare: habit('spare', startingMethod.spare, { min: 0, max: limits.spare.max }, 0.06, 0.05),
  'laying rate': habit('layMlPerMin', startingMethod.layMlPerMin ?? 100, limits.layRate, 0.5, 0.35),
  'minutes to colour a cup': habit('colourMinPerCup', startingMethod.colourMinPerCup, { ...minutes, max: 30 }, 0.5, 0.35),
  'minutes to lay a cup': habit('layMinPerCup', startingMethod.layMinPerCup, minutes, 0.5, 0.35),
  'minutes of a heat pass': habit('heatMinPerPass', startingMethod.heatMinPerPass, { ...minutes, max: 30 }, 0.5, 0.35),
  'working time': { field: { in: 'resin', key: 'workingMin' }, bounds: limits.working, between: 0.2, within: 0.15 },
  viscosity: { field: { in: 'resin', key: 'viscosity' }, bounds: limits.viscosity, between: 0.25, within: 0.12 },
  'white of the foam': habit('foamFilm', startingMethod.foamFilm, limits.foamFilm, 0.5, 0.3),
  'white lost': habit('whiteFactor', startingMethod.whiteFactor ?? 1.5, limits.whiteFactor, 0.25, 0.15),
  drift: habit('drifts', 1, limits.drifts, 0.5, 0.4),
  recoat: { field: { in: 'resin', key: 'recoatFromH' }, bounds: limits.recoat, between: 0.3, within: 0.2 },
  strength: { field: { in: 'colourant' }, bounds: strength, between: 0.3, within: 0.2 },
  'foam drag': foam('drag', limits.foamDrag),
  'foam born': foam('born', limits.foamBorn),
  'foam growth': foam('grow', limits.foamGrow),
  'foam wall': foam('wall', limits.foamWall),
};

/** Whether a figure belongs to one resin or colourant. */
export const belongs = (figure: Figure): boolean => ['resin', 'colourant'].includes(learnable[figure].field.in);

/** A figure as the studio has it now; undefined where what it belongs to is not there. A colourant's strength is 1 as it stands. */
export function figureNow(figure: Figure, of: string | undefined, { method, resins, colourants }: Standing): number | undefined {
  const { field } = learnable[figure];
  switch (field.in) {
    case 'method':
      return method[field.key] ?? field.usual;
    case 'foam':
      return method.foam?.[field.key] ?? field.usual;
    case 'resin':
      return resins.find((r) => r.id === of)?.[field.key];
    case 'colourant':
      return colourants.some((c) => c.id === of) ? 1 : undefined;
  }
}

/** What of the studio changes where a figure is taken over. */
export type Taken = { table: 'method'; row: Method } | { table: 'resins'; row: Resin } | { table: 'colourants'; row: Colourant };

const times = ([r, g, b]: Colourant['absorb'], k: number): Colourant['absorb'] => [r * k, g * k, b * k];

/** The studio with a figure taken over; undefined where what it belongs to is not there. @param value in the figure's own unit */
export function withFigure(
  figure: Figure,
  of: string | undefined,
  value: number,
  { method, resins, colourants }: Standing,
): Taken | undefined {
  const { field, bounds } = learnable[figure];
  const held = Math.min(bounds.max, Math.max(bounds.min, value));
  switch (field.in) {
    case 'method':
      return { table: 'method', row: { ...method, [field.key]: held } };
    case 'foam':
      return { table: 'method', row: { ...method, foam: { ...method.foam, [field.key]: held } } };
    case 'resin': {
      const resin = resins.find((r) => r.id === of);
      return resin && { table: 'resins', row: withTime({ ...resin, [field.key]: held }, resin) };
    }
    case 'colourant': {
      const colourant = colourants.find((c) => c.id === of);
      return (
        colourant && {
          table: 'colourants',
          row: { ...colourant, absorb: times(colourant.absorb, held), scatter: times(colourant.scatter, held) },
        }
      );
    }
  }
}

/** Times of a resin that follow one another keep doing so: its gel goes with its working time, and it bonds after it may be recoated. */
function withTime(resin: Resin, was: Resin): Resin {
  const gel = resin.workingMin === was.workingMin ? resin.gelMin : (was.gelMin * resin.workingMin) / was.workingMin;
  return {
    ...resin,
    gelMin: Math.min(limits.gel.max, Math.max(resin.workingMin, gel)),
    bondUntilH: Math.max(resin.bondUntilH, Math.min(limits.bond.max, resin.recoatFromH + 0.1)),
  };
}
