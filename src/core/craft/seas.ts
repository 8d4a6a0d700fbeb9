import { mapSea, type Point, type Sea, type Side } from '#core/document';
import { rehanded, turns } from './turns';

/**
 * The seas a piece may start from. Each shore is five curves from the shore to the deep, in shares of the board's width
 * and height with the sea at the far side.
 */
interface Start {
  says: string;
  shore: Point[][];
  coasts: { closed: boolean; curves: Point[][] }[];
  /** Where a wave breaks that has no shore to break on. */
  breaker?: Point[];
}

const across = (heights: number[]): Point[] => heights.map((y, i) => ({ x: i / (heights.length - 1), y }));
const points = (...xy: [number, number][]): Point[] => xy.map(([x, y]) => ({ x, y }));
/** An oval run clockwise on the screen. */
const ringed = (cx: number, cy: number, a: number, b: number): Point[] =>
  Array.from({ length: 8 }, (_, i) => ({
    x: cx + a * Math.cos((i * Math.PI) / 4) * (1 + 0.09 * Math.cos(i * 2.1)),
    y: cy + b * Math.sin((i * Math.PI) / 4) * (1 + 0.09 * Math.sin(i * 1.7)),
  }));
/** A cove in the near left corner, run from the left side to the near one. */
const arch = (r: number): Point[] =>
  points([0, 1 - 0.62 * r], [0.26 * r, 1 - 0.55 * r], [0.5 * r, 1 - 0.36 * r], [0.58 * r, 1 - 0.16 * r], [0.62 * r, 1]);

const starts = {
  'open shore': {
    says: 'One long shore, the deep along the far side.',
    shore: [
      across([0.7, 0.66, 0.6, 0.55, 0.53]),
      across([0.57, 0.55, 0.47, 0.43, 0.42]),
      across([0.46, 0.46, 0.35, 0.31, 0.32]),
      across([0.36, 0.38, 0.24, 0.2, 0.22]),
      across([0.25, 0.28, 0.13, 0.09, 0.12]),
    ],
    coasts: [],
  },
  'top third': {
    says: 'The sea in the far third, and the beach below it.',
    shore: [
      across([0.35, 0.34, 0.36, 0.33, 0.34]),
      across([0.28, 0.27, 0.29, 0.26, 0.27]),
      across([0.21, 0.2, 0.22, 0.19, 0.2]),
      across([0.14, 0.13, 0.15, 0.12, 0.13]),
      across([0.07, 0.06, 0.08, 0.05, 0.06]),
    ],
    coasts: [],
  },
  'two thirds': {
    says: 'The sea over two thirds, and a strip of beach.',
    shore: [
      across([0.69, 0.66, 0.69, 0.64, 0.66]),
      across([0.56, 0.53, 0.57, 0.52, 0.54]),
      across([0.42, 0.39, 0.43, 0.38, 0.41]),
      across([0.28, 0.25, 0.29, 0.24, 0.27]),
      across([0.14, 0.11, 0.15, 0.1, 0.13]),
    ],
    coasts: [],
  },
  'corner cove': {
    says: 'A beach in one corner, and the sea arching round it.',
    shore: [arch(0.8), arch(0.98), arch(1.14), arch(1.3), arch(1.46)],
    coasts: [],
  },
  'two beaches': {
    says: 'A beach on both sides, and a channel between.',
    shore: [
      across([0.8, 0.84, 0.79, 0.74, 0.77]),
      across([0.72, 0.76, 0.71, 0.67, 0.7]),
      across([0.65, 0.69, 0.65, 0.61, 0.64]),
      across([0.59, 0.62, 0.59, 0.56, 0.59]),
      across([0.53, 0.55, 0.53, 0.51, 0.54]),
    ],
    coasts: [
      {
        closed: false,
        curves: [
          across([0.17, 0.22, 0.2, 0.14, 0.11]),
          across([0.25, 0.3, 0.28, 0.22, 0.19]),
          across([0.32, 0.37, 0.35, 0.29, 0.26]),
          across([0.39, 0.43, 0.41, 0.36, 0.33]),
          across([0.45, 0.48, 0.47, 0.43, 0.4]),
        ].map((curve) => [...curve].reverse()),
      },
    ],
  },
  island: {
    says: 'An island out at sea, and a strip of beach on the near side.',
    shore: [
      across([0.94, 0.91, 0.93, 0.9, 0.92]),
      across([0.87, 0.83, 0.85, 0.82, 0.85]),
      across([0.81, 0.76, 0.78, 0.75, 0.79]),
      across([0.75, 0.7, 0.72, 0.69, 0.73]),
      across([0.68, 0.65, 0.67, 0.64, 0.67]),
    ],
    coasts: [
      {
        closed: true,
        curves: [
          ringed(0.5, 0.36, 0.13, 0.13),
          ringed(0.5, 0.36, 0.18, 0.18),
          ringed(0.5, 0.36, 0.23, 0.22),
          ringed(0.5, 0.36, 0.28, 0.26),
          ringed(0.5, 0.36, 0.33, 0.3),
        ],
      },
    ],
  },
  'open sea': {
    says: 'No beach: the sea to every edge, and a wave across it.',
    shore: [
      across([1, 1, 1, 1, 1]),
      across([0.82, 0.79, 0.83, 0.8, 0.81]),
      across([0.62, 0.58, 0.63, 0.6, 0.61]),
      across([0.42, 0.38, 0.42, 0.39, 0.4]),
      across([0.21, 0.18, 0.21, 0.18, 0.2]),
    ],
    coasts: [],
    breaker: across([0.6, 0.52, 0.56, 0.49, 0.53]),
  },
} satisfies Record<string, Start>;

/** Whether a starting sea has land in it. */
export const hasBeach = (name: StartingSea): boolean => name !== 'open sea';

export type StartingSea = keyof typeof starts;
/** The starting seas as they are offered: a name, and what it looks like. */
export const startingSeas = Object.entries(starts).map(([name, { says }]) => ({ name: name as StartingSea, says }));

const between = (a: Point[], b: Point[], t: number): Point[] =>
  a.map((p, i) => ({ x: p.x + (b[i]!.x - p.x) * t, y: p.y + (b[i]!.y - p.y) * t }));

/** A shore and `n` edges evenly through curves that run from the shore to the deep. */
function edgesThrough(curves: Point[][], n: number): Point[][] {
  return Array.from({ length: n }, (_, i) => {
    const at = ((i + 1) * (curves.length - 1)) / n;
    const k = Math.min(curves.length - 2, Math.floor(at));
    return between(curves[k]!, curves[k + 1]!, at - k);
  });
}

const tenth = (mm: number): number => Math.round(mm * 10) / 10;
/** One of the starting seas on a board, mm. @param edges parts of the sea less one */
export function startingSea(name: StartingSea, [w, h]: [number, number], edges: number, side: Side = 'far'): Sea {
  const start: Start = starts[name];
  const sea: Sea = {
    side: 'far',
    shoreline: start.shore[0]!,
    edges: edgesThrough(start.shore, edges),
    ...(start.coasts.length && {
      coasts: start.coasts.map((c, i) => ({
        id: `coast-${i + 1}`,
        closed: c.closed,
        points: c.curves[0]!,
        edges: edgesThrough(c.curves, edges),
      })),
    }),
    ...(start.breaker && { breakers: [{ id: 'breaker-1', name: 'breaker 1', points: start.breaker }] }),
  };
  const turned = mapSea(sea, (p) => {
    const q = turns[side](p);
    return { x: tenth(q.x * w), y: tenth(q.y * h) };
  });
  return { ...rehanded(turned, 'far', side), side };
}
