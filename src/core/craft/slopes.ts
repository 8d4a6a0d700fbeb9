import type { Colourant, Slope, SlopeCup } from '#core/document';

/** Names of cups, deep to shore, as the craft says them; others are numbered. */
export const slopeCupNames = ['Deep', 'Offshore', 'Outer', 'Mid', 'Inner', 'Shallow', 'Shore', 'Wash'];
const NAMED: Record<number, number[]> = {
  2: [0, 6],
  3: [0, 3, 6],
  4: [0, 3, 5, 6],
  5: [0, 1, 3, 5, 6],
  6: [0, 1, 2, 3, 5, 6],
  7: [0, 1, 2, 3, 4, 5, 6],
};

/** What a cup of so many is called. @param at from the deep end */
export const slopeCupName = (at: number, of: number): string => slopeCupNames[NAMED[of]?.[at] ?? at] ?? `Cup ${at + 1}`;

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
