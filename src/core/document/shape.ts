import type { Hole, Piece, Shape } from './schema';

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
