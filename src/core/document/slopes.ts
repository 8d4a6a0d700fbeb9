import { freeId } from './drawn';
import type { Coat, Colourant, Piece, Slope, SlopeCup, Tint } from './schema';

/** Grounds a slope may be made even over. */
export const slopeGrounds = ['white primer', 'bare wood', 'sand', 'slate'] as const;

/** Names of cups, deep to shore, as the craft says them; others are numbered. */
const NAMES = ['Deep', 'Offshore', 'Outer', 'Mid', 'Inner', 'Shallow', 'Shore', 'Wash'];
const NAMED: Record<number, number[]> = {
  2: [0, 6],
  3: [0, 3, 6],
  4: [0, 3, 5, 6],
  5: [0, 1, 3, 5, 6],
  6: [0, 1, 2, 3, 5, 6],
  7: [0, 1, 2, 3, 4, 5, 6],
};

/** What a cup of so many is called. @param at from the deep end */
export const slopeCupName = (at: number, of: number): string => NAMES[NAMED[of]?.[at] ?? at] ?? `Cup ${at + 1}`;

/** Cups of a slope, deep to shore, each of the same amount. */
export const slopeCups = (of: number, ml: number): SlopeCup[] =>
  Array.from({ length: of }, (_, i) => ({ id: `cup-${i + 1}`, name: slopeCupName(i, of), ml }));

/** A slope to start from: five cups of what there is, the first two colourants that colour. */
export function startingSlope(id: string, name: string, resinId: string, colourants: Colourant[]): Slope {
  const colours = colourants.filter((c) => Math.max(...c.absorb) > 50);
  const [deep, toward] = [colours[0] ?? colourants[0], colours.find((c) => c !== colours[0])];
  return {
    id,
    name,
    resinId,
    film: 1.5,
    ground: 'white primer',
    palest: 0.78,
    deepest: 0.4,
    turn: 0,
    deep: deep ? [{ colourantId: deep.id, parts: 1 }] : [],
    toward: toward ? [{ colourantId: toward.id, parts: 1 }] : [],
    cups: slopeCups(5, 30),
  };
}

/** A cup put in before the place given, of the amount of its neighbour; the others keep their names and their locks. */
export function withCupInserted(slope: Slope, at: number): Slope {
  const beside = slope.cups[Math.min(at, slope.cups.length - 1)]!;
  const taken = slope.cups.map((c) => c.name);
  const name = NAMES.find((n) => !taken.includes(n)) ?? `Cup ${slope.cups.length + 1}`;
  const cup = { id: freeId('cup', slope.cups), name, ml: beside.ml };
  return { ...slope, cups: [...slope.cups.slice(0, at), cup, ...slope.cups.slice(at)] };
}

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
