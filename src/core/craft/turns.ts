import { landOnRight, type Coast, type Point, type Sea, type Side } from '#core/document';

/** Places of a far sea in shares of its box, turned to another side; and back, since each turn but "right" undoes itself. */
export const turns: Record<Side, (p: Point) => Point> = {
  far: (p) => p,
  near: ({ x, y }) => ({ x, y: 1 - y }),
  left: ({ x, y }) => ({ x: y, y: x }),
  right: ({ x, y }) => ({ x: 1 - y, y: x }),
};
export const back: Record<Side, (p: Point) => Point> = { ...turns, right: ({ x, y }) => ({ x: y, y: 1 - x }) };

/** A coast run the other way, so that its land is on its other hand; an island has none. */
export const reversedCoast = (c: Coast): Coast =>
  c.closed ? c : { ...c, points: [...c.points].reverse(), edges: c.edges.map((e) => [...e].reverse()) };

/** A sea whose open coasts keep their land on the right after a turn that changes hands. */
export const rehanded = (sea: Sea, from: Side, to: Side): Sea =>
  landOnRight(from) === landOnRight(to) || !sea.coasts ? sea : { ...sea, coasts: sea.coasts.map(reversedCoast) };
