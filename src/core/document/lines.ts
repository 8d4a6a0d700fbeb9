import type { Point, Sea } from './schema';

/** A curve of the drawing: its key stays the same while it is edited. */
export interface DrawnLine {
  /** "shoreline", "edge:2", "coast:id", "coast:id:0", "breaker:id", "area:id" or "bare". */
  key: string;
  points: Point[];
  closed: boolean;
}

/** Every curve of a sea: the shoreline and its edges from the shore seaward, then what else is drawn. */
export const linesOf = (sea: Sea): DrawnLine[] => [
  { key: 'shoreline', points: sea.shoreline, closed: false },
  ...sea.edges.map((points, i) => ({ key: `edge:${i}`, points, closed: false })),
  ...(sea.coasts ?? []).flatMap(({ id, closed, points, edges }) => [
    { key: `coast:${id}`, points, closed },
    ...edges.map((edge, i) => ({ key: `coast:${id}:${i}`, points: edge, closed })),
  ]),
  ...(sea.breakers ?? []).map(({ id, points }) => ({ key: `breaker:${id}`, points, closed: false })),
  ...(sea.areas ?? []).map(({ id, points, closed }) => ({ key: `area:${id}`, points, closed })),
  ...(sea.bare ? [{ key: 'bare', points: sea.bare, closed: false }] : []),
];

/** A sea with every point of every curve put elsewhere. */
export function mapSea(sea: Sea, to: (p: Point) => Point): Sea {
  const line = (points: Point[]): Point[] => points.map(to);
  return {
    ...sea,
    shoreline: line(sea.shoreline),
    edges: sea.edges.map(line),
    ...(sea.coasts && { coasts: sea.coasts.map((c) => ({ ...c, points: line(c.points), edges: c.edges.map(line) })) }),
    ...(sea.breakers && { breakers: sea.breakers.map((b) => ({ ...b, points: line(b.points) })) }),
    ...(sea.areas && { areas: sea.areas.map((a) => ({ ...a, points: line(a.points) })) }),
    ...(sea.bare && { bare: line(sea.bare) }),
  };
}
