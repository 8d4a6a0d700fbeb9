import type { Point } from '#core/document';
import { perspective } from '#core/tint';

/** A board as it is looked for in a picture: its box on the chart, mm, and whether it is round. */
export interface Framed {
  width: number;
  height: number;
  round: boolean;
}

/** Where places of the chart, mm, lie in a picture, px; or what is wrong with how it was marked. */
export type Placed = { ok: true; to: (at: Point) => Point; pxPerMm: number } | { ok: false; says: string };
const no = (says: string): Placed => ({ ok: false, says });

const cross = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
const apart = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** A board's side in the picture must be so long, px, for anything on it to be told. */
const SHORTEST = 120;
/** Focal lengths of cameras, beside the longer side of their picture, and a phone's. */
const [FOCAL, PHONE] = [[0.4, 4], 0.75] as const;
/** Sides of the marked board may be so far from the piece's, as a logarithm, before it is taken for another board. */
const OTHER = Math.log(1.22);

/**
 * Width over height of a rectangle seen in perspective, from its corners alone, for a camera with square pixels whose axis goes through
 * the middle of the picture (Zhang and He 2007, whiteboard scanning).
 * @param corners clockwise from the upper left, px @param middle of the picture, px
 */
export function aspectOf(corners: readonly Point[], middle: Point): number {
  const [m1, m2, m4, m3] = corners.map(({ x, y }) => ({ x: x - middle.x, y: y - middle.y })) as [Point, Point, Point, Point];
  const det = (a: Point, b: Point, c: Point): number => cross(a, b, c);
  const k2 = det(m1, m4, m3) / det(m2, m4, m3);
  const k3 = det(m1, m4, m2) / det(m3, m4, m2);
  const n2 = { x: k2 * m2.x - m1.x, y: k2 * m2.y - m1.y, z: k2 - 1 };
  const n3 = { x: k3 * m3.x - m1.x, y: k3 * m3.y - m1.y, z: k3 - 1 };
  const longer = 2 * Math.max(middle.x, middle.y);
  const focal = Math.sqrt(-(n2.x * n3.x + n2.y * n3.y) / (n2.z * n3.z)) / longer;
  // where one pair of sides is seen as parallel the focal length cannot be told, and that of a phone stands for it
  const told = Math.abs(n2.z) > 0.02 && Math.abs(n3.z) > 0.02 && focal > FOCAL[0] && focal < FOCAL[1];
  const f2 = ((told ? focal : PHONE) * longer) ** 2;
  return Math.sqrt(((n2.x ** 2 + n2.y ** 2) / f2 + n2.z ** 2) / ((n3.x ** 2 + n3.y ** 2) / f2 + n3.z ** 2));
}

/** The circle through three points; undefined where they lie in a line. */
function circleThrough(a: Point, b: Point, c: Point): { x: number; y: number; r: number } | undefined {
  const d = 2 * cross(a, b, c);
  if (Math.abs(d) < 1e-9) return undefined;
  const [A, B, C] = [a, b, c].map(({ x, y }) => x * x + y * y) as [number, number, number];
  const x = (A * (b.y - c.y) + B * (c.y - a.y) + C * (a.y - b.y)) / d;
  const y = (A * (c.x - b.x) + B * (a.x - c.x) + C * (b.x - a.x)) / d;
  return { x, y, r: Math.hypot(a.x - x, a.y - y) };
}

/** A round board by three places of its rim, the first at the top of the drawing: looked at from straight above. */
function placedRound([top, b, c]: readonly Point[], { width }: Framed): Placed {
  const circle = circleThrough(top!, b!, c!);
  if (!circle || Math.min(apart(top!, b!), apart(b!, c!), apart(c!, top!)) < 0.3 * circle.r)
    return no('The three marks lie too near each other on the rim. Put them well apart, the first where the top of the drawing is.');
  if (2 * circle.r < SHORTEST) return no(small(2 * circle.r));
  const scale = (2 * circle.r) / width;
  const turn = Math.atan2(top!.y - circle.y, top!.x - circle.x) + Math.PI / 2;
  const [cos, sin] = [Math.cos(turn) * scale, Math.sin(turn) * scale];
  return {
    ok: true,
    pxPerMm: scale,
    to: ({ x, y }) => {
      const [u, v] = [x - width / 2, y - width / 2];
      return { x: circle.x + u * cos - v * sin, y: circle.y + u * sin + v * cos };
    },
  };
}

const small = (px: number): string =>
  `The board is only ${Math.round(px)} pixels wide in this picture, which is too little to measure. Take it from nearer.`;

/**
 * A board by its marks.
 * @param marks four corners clockwise from the drawing's upper left, or three places on the rim of a round one, px
 * @param size of the picture, px
 */
export function placed(marks: readonly Point[], board: Framed, size: { width: number; height: number }): Placed {
  if (board.round) return marks.length === 3 ? placedRound(marks, board) : no('A round board is marked at three places of its rim.');
  if (marks.length !== 4) return no('A board is marked at its four corners, clockwise from the upper left of the drawing.');
  const turns = marks.map((_, i) => cross(marks[i]!, marks[(i + 1) % 4]!, marks[(i + 2) % 4]!));
  if (!turns.every((t) => t > 0))
    return no(
      turns.every((t) => t < 0)
        ? 'The corners run the wrong way round. Mark them clockwise, beginning with the upper left of the drawing.'
        : 'The corners are crossed, or lie in a line. Mark them clockwise, beginning with the upper left of the drawing.',
    );
  const sides = marks.map((m, i) => apart(m, marks[(i + 1) % 4]!));
  if (Math.min(...sides) < SHORTEST) return no(small(Math.min(...sides)));
  const seen = aspectOf(marks, { x: size.width / 2, y: size.height / 2 });
  const own = board.width / board.height;
  if (Math.abs(Math.log(seen / own)) > OTHER) {
    const turned = Math.abs(Math.log(seen * own)) < OTHER && Math.abs(Math.log(own)) > OTHER;
    return no(
      turned
        ? 'The board lies on its side as it is marked. Begin with the corner that is the upper left of the drawing.'
        : `What is marked is ${ratio(seen)}, and this piece is ${ratio(own)}: another board, or a corner in the wrong place.`,
    );
  }
  const corners = [
    { x: 0, y: 0 },
    { x: board.width, y: 0 },
    { x: board.width, y: board.height },
    { x: 0, y: board.height },
  ];
  const area = sides[0]! * sides[1]! * 0.5 + sides[2]! * sides[3]! * 0.5;
  return { ok: true, to: perspective(corners, [...marks]), pxPerMm: Math.sqrt(area / (board.width * board.height)) };
}

const ratio = (r: number): string => (r >= 1 ? `${r.toFixed(2)} times as wide as high` : `${(1 / r).toFixed(2)} times as high as wide`);
