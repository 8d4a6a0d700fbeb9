import type { Hole, Piece, Point, Sea, Shape } from './schema';

/** Width and height of a shape's bounds, mm. */
export function boxOf(shape: Shape): [number, number] {
  switch (shape.kind) {
    case 'round':
      return [shape.diameter, shape.diameter];
    case 'outline': {
      const points = shape.rings.flat();
      return [points.reduce((most, p) => Math.max(most, p.x), 0), points.reduce((most, p) => Math.max(most, p.y), 0)];
    }
    default:
      return [shape.width, shape.height];
  }
}

/** The holes of a piece, with the one a clock's shaft goes through. */
export function holesOf({ shape, holes, clock }: Pick<Piece, 'shape' | 'holes' | 'clock'>): Hole[] {
  if (!clock) return holes;
  const [w, h] = boxOf(shape);
  return [...holes, { x: w / 2, y: h / 2, diameter: clock.hole, taped: true }];
}

/** A sea with every point of every curve put elsewhere. */
export function mapSea(sea: Sea, to: (p: Point) => Point): Sea {
  const line = (points: Point[]): Point[] => points.map(to);
  return {
    ...sea,
    shoreline: line(sea.shoreline),
    edges: sea.edges.map(line),
    ...(sea.coasts && { coasts: sea.coasts.map((c) => ({ ...c, points: line(c.points), edges: c.edges.map(line) })) }),
    ...(sea.breakers && { breakers: sea.breakers.map((b) => ({ ...b, points: line(b.points) })) }),
    ...(sea.bare && { bare: line(sea.bare) }),
  };
}

/** A sea drawn for one box, mm, stretched to another. */
export const fittedSea = (sea: Sea, [w0, h0]: [number, number], [w, h]: [number, number]): Sea =>
  w === w0 && h === h0 ? sea : mapSea(sea, (p) => ({ x: (p.x * w) / w0, y: (p.y * h) / h0 }));

/**
 * A piece put on another shape: its sea and its dressings are stretched with the board, so that the drawing stays what
 * it was. Holes keep their place and size in mm.
 */
export function withShape(piece: Piece, shape: Shape): Piece {
  const [from, to] = [boxOf(piece.shape), boxOf(shape)];
  return {
    ...piece,
    shape,
    sea: fittedSea(piece.sea, from, to),
    ...(piece.dressings && { dressings: piece.dressings.map((d) => ({ ...d, x: (d.x * to[0]) / from[0], y: (d.y * to[1]) / from[1] })) }),
  };
}

/** What is wrong with a shape's measures among themselves, in a sentence; undefined where they make a board. */
export function shapeProblem(shape: Shape): string | undefined {
  if ((shape.kind === 'rectangle' || shape.kind === 'plank') && shape.corner !== undefined) {
    const body = shape.kind === 'plank' ? shape.width - shape.handle.length : shape.width;
    const most = Math.min(body, shape.height) / 2;
    if (shape.corner > most) return `A corner rounds by up to half the shorter side, ${Math.round(most * 10) / 10} mm here.`;
  }
  if (shape.kind === 'plank') {
    const { length, width } = shape.handle;
    if (length >= shape.width) return 'A handle is shorter than the whole plank.';
    if (width > shape.height - 2 * (shape.corner ?? 0)) return 'A handle is no wider than the straight of the side it stands on.';
    if (length < width / 2) return 'A handle is at least half as long as it is wide, so that its end is round.';
  }
  if (shape.kind === 'outline') {
    const [w, h] = boxOf(shape);
    if (w < 20 || h < 20) return 'An outline is at least 20 mm wide and high.';
    if (w > 3000 || h > 3000) return 'An outline is at most 3000 mm wide and high.';
    if (shape.rings.flat().some((p) => p.x < -0.01 || p.y < -0.01)) return 'An outline begins at 0, 0: no point lies left of it or above.';
  }
  return undefined;
}
