import { landOnRight, type Area, type Coast, type Point, type Sea, type Side } from '#core/document';

/** Places of a far sea in shares of its box, turned to another side; and back, since each turn but "right" undoes itself. */
export const turns: Record<Side, (p: Point) => Point> = {
  far: (p) => p,
  near: ({ x, y }) => ({ x, y: 1 - y }),
  left: ({ x, y }) => ({ x: y, y: x }),
  right: ({ x, y }) => ({ x: 1 - y, y: x }),
};
export const back: Record<Side, (p: Point) => Point> = { ...turns, right: ({ x, y }) => ({ x: y, y: 1 - x }) };

/** A coast run the other way, so that its land is on its other hand; an island has none. */
const reversedCoast = (c: Coast): Coast =>
  c.closed ? c : { ...c, points: [...c.points].reverse(), edges: c.edges.map((e) => [...e].reverse()) };

/** An area bounded by an open curve, with that run the other way. */
const reversedArea = (a: Area): Area => (a.closed ? a : { ...a, points: [...a.points].reverse() });

/** A sea whose added curves are run the other way, so that what was on their right hand is on it still. */
export const otherHand = (sea: Sea): Sea => ({
  ...sea,
  ...(sea.coasts && { coasts: sea.coasts.map(reversedCoast) }),
  ...(sea.areas && { areas: sea.areas.map(reversedArea) }),
});

/** A sea whose open coasts and areas stay on the right after a turn that changes hands. */
export const rehanded = (sea: Sea, from: Side, to: Side): Sea => (landOnRight(from) === landOnRight(to) ? sea : otherHand(sea));
