import { slopeCupName, slopeCupNames } from '#core/craft';
import type { Coat, Piece, Slope, Tint } from '#core/document';
import { freeId } from './ids';

/** A cup put in before the place given, of the amount of its neighbour; the others keep their names and their locks. */
export function withCupInserted(slope: Slope, at: number): Slope {
  const beside = slope.cups[Math.min(at, slope.cups.length - 1)]!;
  const taken = slope.cups.map((c) => c.name);
  const name = slopeCupNames.find((n) => !taken.includes(n)) ?? `Cup ${slope.cups.length + 1}`;
  const cup = { id: freeId('cup', slope.cups), name, ml: beside.ml };
  return { ...slope, cups: [...slope.cups.slice(0, at), cup, ...slope.cups.slice(at)] };
}

/** A cup taken out; the others keep their names and their locks. */
export const withoutCup = (slope: Slope, cupId: string): Slope => ({ ...slope, cups: slope.cups.filter((c) => c.id !== cupId) });

/** Another number of cups: new ones before the last, or the last but one taken out; locked cups go last of all. */
export function withCupCount(slope: Slope, count: number): Slope {
  let next = slope;
  while (next.cups.length < count) next = withCupInserted(next, next.cups.length - 1);
  while (next.cups.length > count) {
    const inner = next.cups.slice(1, -1);
    const gone = inner.findLast((c) => !c.recipe) ?? inner.at(-1);
    if (!gone) break;
    next = withoutCup(next, gone.id);
  }
  const named = slope.cups.every((c, i) => c.name === slopeCupName(i, slope.cups.length));
  return named ? { ...next, cups: next.cups.map((c, i) => ({ ...c, name: slopeCupName(i, next.cups.length) })) } : next;
}

/** A load as a recipe keeps it: four digits are finer than any drop. */
export const keptLoad = (load: number): number => Number(load.toPrecision(4));

/** The tints a slope gives to a sea, in the order they are laid from the far side. */
export const slopeTints = (slope: Slope, recipes: Tint['recipe'][]): Tint[] => {
  const tints = slope.cups.map((cup, i) => ({
    name: cup.name,
    recipe: recipes[i]!.map((p) => ({ ...p, load: keptLoad(p.load) })).filter((p) => p.load > 0),
  }));
  return slope.palestFirst ? tints.reverse() : tints;
};

/** A piece whose sea coat takes the tints of a slope; the sea must have as many parts as the slope has cups. */
export const withSlope = (piece: Piece, coatId: string, slopeId: string, tints: Tint[]): Piece => ({
  ...piece,
  coats: piece.coats.map((coat): Coat => (coat.id === coatId && coat.kind === 'sea' ? { ...coat, tints, slopeId } : coat)),
});
