import type { Point } from '#core/document';
import { seeded } from '#core/geometry';
import { lightness, seenOf, type Picture, type Rgb } from '#core/tint';
import { shoot, type Optics } from './camera';

/** Lacing on a board, drawn so that every figure of it is known: a sea in bands, foam along a shore, round cells of known size. */
export interface Lacing {
  /** The board, mm, and where its shore runs in the middle, mm from the top; the sea lies above. */
  width: number;
  height: number;
  shore: number;
  /** How far the shore swings, mm, and how far the foam is turned against it, degrees. */
  swing: number;
  turned: number;
  /** Reflectance of the bands from the shore seaward, each as wide as the next, and of the beach. */
  bands: Rgb[];
  beach: Rgb;
  /** How far the foam goes to the sea and up, mm, and how unevenly, a share. */
  toSea: number;
  up: number;
  uneven: number;
  /** Median diameter of cells, mm, its spread as a deviation of the logarithm, and white left between them, mm. */
  cell: number;
  spread: number;
  wall: number;
  /** Share of the foam that is tried to be opened. */
  open: number;
  seed: number;
}

/** What is known of a drawn lacing. */
export interface KnownLacing {
  white: number;
  open: number;
  perCm2: number;
  low: number;
  middle: number;
  high: number;
  toSea: { middle: number; most: number };
  up: { middle: number; most: number };
  /** OKLab lightness of the beach and of the bands from the shore seaward. */
  lightness: number[];
  turned: number;
}

export interface DrawnLacing {
  known: KnownLacing;
  /** Reflectance at a place, mm. */
  seen: (at: Point) => Rgb;
  /** The plan's line of white, mm, with the sea on its left, and the part a place lies in: 0 the beach, then the bands. */
  line: Point[];
  partAt: (at: Point) => number;
}

/** Cells of the picture a millimetre. */
const FINE = 8;
/** White that hides what is below, inside the film. */
const WHITE = 0.93;
const seenRgb = (r: Rgb): Rgb => [seenOf(r[0]), seenOf(r[1]), seenOf(r[2])];

/** Draws a lacing. The same seed gives the same one. */
export function drawLacing(lacing: Lacing): DrawnLacing {
  const { width, height, swing, turned, bands, toSea, up, uneven, wall } = lacing;
  const chance = seeded(lacing.seed);
  const shoreAt = (x: number): number => lacing.shore + swing * Math.sin((2 * Math.PI * x) / (0.8 * width) + 0.6);
  const turn = Math.tan((turned * Math.PI) / 180);
  const waves = Array.from({ length: 5 }, (_, k) => ({ k: (k + 1.3) / width, phase: 7 * chance() }));
  const stray = (x: number): number => (uneven * waves.reduce((sum, w) => sum + Math.sin(2 * Math.PI * w.k * 2 * x + w.phase), 0)) / 2.2;
  // out to sea is up the page: how far the foam's two rims lie from the plan's line
  const rim = (x: number): [number, number] => {
    const off = turn * (x - width / 2);
    return [off + toSea * (1 + stray(x)), off - up * (1 + stray(x + 0.37 * width))];
  };
  const columns = width * FINE;
  const rows = height * FINE;
  const cover = new Uint8Array(columns * rows);
  let foam = 0;
  for (let i = 0; i < columns; i++) {
    const x = (i + 0.5) / FINE;
    const [sea, land] = rim(x);
    const y = shoreAt(x);
    for (let j = Math.max(0, Math.floor((y - sea) * FINE)); j < Math.min(rows, (y - land) * FINE); j++) cover[j * columns + i] = 1;
  }
  for (const c of cover) foam += c;
  const target = lacing.open * foam;
  const cells: { x: number; y: number; r: number }[] = [];
  let opened = 0;
  const grid = new Map<number, { x: number; y: number; r: number }[]>();
  const GRID = 8;
  const key = (x: number, y: number): number => Math.floor(x / GRID) * 10000 + Math.floor(y / GRID);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
  for (let tries = 0; tries < 60000 && opened < target; tries++) {
    const r = Math.max(0.4, (lacing.cell / 2) * Math.exp(lacing.spread * normal()));
    const x = r + wall + chance() * (width - 2 * (r + wall));
    const [sea, land] = rim(x);
    const y = shoreAt(x) - land - r - wall - chance() * (sea - land - 2 * (r + wall));
    if (sea - land < 2 * (r + wall) + 0.5) continue;
    const fits = (px: number, py: number): boolean => {
      const [s, l] = rim(px);
      const d = shoreAt(px) - py;
      return d < s - 0.2 && d > l + 0.2;
    };
    const around = Array.from({ length: 8 }, (_, k) => (k * Math.PI) / 4);
    if (!around.every((a) => fits(x + (r + wall) * Math.cos(a), y + (r + wall) * Math.sin(a)))) continue;
    let near = false;
    for (const dx of [-GRID, 0, GRID])
      for (const dy of [-GRID, 0, GRID])
        for (const c of grid.get(key(x + dx, y + dy)) ?? []) near ||= Math.hypot(c.x - x, c.y - y) < c.r + r + wall;
    if (near) continue;
    const cell = { x, y, r };
    cells.push(cell);
    grid.set(key(x, y), [...(grid.get(key(x, y)) ?? []), cell]);
    opened += Math.PI * r * r * FINE * FINE;
  }
  for (const { x, y, r } of cells)
    for (let j = Math.max(0, Math.floor((y - r) * FINE)); j < Math.min(rows, (y + r) * FINE); j++)
      for (let i = Math.max(0, Math.floor((x - r) * FINE)); i < Math.min(columns, (x + r) * FINE); i++)
        if (((i + 0.5) / FINE - x) ** 2 + ((j + 0.5) / FINE - y) ** 2 < r * r) cover[j * columns + i] = 0;
  let white = 0;
  for (const c of cover) white += c;
  const diameters = cells.map((c) => 2 * c.r).sort((a, b) => a - b);
  const share = (of: readonly number[], at: number): number => of[Math.round(at * (of.length - 1))] ?? 0;
  const samples = Array.from({ length: width }, (_, i) => rim(i + 0.5));
  const reach = (side: 0 | 1): { middle: number; most: number } => {
    const far = samples.map((s) => Math.max(0, side === 0 ? s[0] : -s[1])).sort((a, b) => a - b);
    return { middle: share(far, 0.5), most: share(far, 0.95) };
  };
  const deep = lacing.shore + swing;
  const partAt = ({ x, y }: Point): number => {
    const out = shoreAt(x) - y;
    return out <= 0 ? 0 : 1 + Math.min(bands.length - 1, Math.floor((out / deep) * bands.length));
  };
  const colours = [lacing.beach, ...bands].map(seenRgb);
  const whiteSeen = seenRgb([WHITE, WHITE, WHITE]);
  return {
    known: {
      white: white / cover.length,
      open: foam > 0 ? 1 - white / foam : 0,
      perCm2: (100 * FINE * FINE * cells.length) / foam,
      low: share(diameters, 0.1),
      middle: share(diameters, 0.5),
      high: share(diameters, 0.9),
      toSea: reach(0),
      up: reach(1),
      lightness: colours.map(lightness),
      turned,
    },
    line: Array.from({ length: Math.ceil(width / 4) + 1 }, (_, k) => ({ x: 4 * k, y: shoreAt(4 * k) })),
    partAt,
    seen: (at) => {
      const [i, j] = [Math.floor(at.x * FINE), Math.floor(at.y * FINE)];
      if (i < 0 || j < 0 || i >= columns || j >= rows) return [0.2, 0.16, 0.12];
      return cover[j * columns + i] ? whiteSeen : colours[partAt(at)]!;
    },
  };
}

/** Luminance of the white of every drawn lacing, as it is seen. */
export const LACING_WHITE = seenOf(WHITE);

/** A drawn lacing through a camera. */
export const photographLacing = ({ width, height }: Lacing, drawn: DrawnLacing, optics: Optics): Picture =>
  shoot(
    optics,
    {
      width,
      height,
      corners: [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ],
    },
    drawn.seen,
    2,
  );

/** A lacing and how it is photographed; `refused` where its picture is too bad to measure. */
export interface KnownShot {
  name: string;
  lacing: Lacing;
  optics: Optics;
  refused?: 'glare' | 'blurred';
}

const blues: Rgb[] = [
  [0.22, 0.55, 0.6],
  [0.1, 0.36, 0.48],
  [0.04, 0.18, 0.34],
];
const usual: Lacing = {
  width: 200,
  height: 150,
  shore: 100,
  swing: 8,
  turned: 0,
  bands: blues,
  beach: [0.5, 0.42, 0.3],
  toSea: 26,
  up: 6,
  uneven: 0.2,
  cell: 2.6,
  spread: 0.3,
  wall: 0.5,
  open: 0.42,
  seed: 1,
};
const straightOn: Point[] = [
  { x: 60, y: 50 },
  { x: 1060, y: 50 },
  { x: 1060, y: 800 },
  { x: 60, y: 800 },
];
const aslant: Point[] = [
  { x: 150, y: 90 },
  { x: 1000, y: 60 },
  { x: 1090, y: 800 },
  { x: 40, y: 770 },
];
const plain: Optics = {
  width: 1120,
  height: 850,
  corners: straightOn,
  light: [0.86, 0.86, 0.86],
  across: 0,
  down: 0,
  noise: 1,
  blur: 0,
  seed: 1,
};

/** Twelve pictures of known answer: ten to be read, one of them glaring and one blurred, to be refused. */
export const knownShots: KnownShot[] = [
  { name: 'straight on, even light', lacing: usual, optics: plain },
  { name: 'from an angle', lacing: { ...usual, seed: 2 }, optics: { ...plain, corners: aslant } },
  { name: 'lit from the left', lacing: { ...usual, seed: 3 }, optics: { ...plain, light: [0.7, 0.7, 0.7], across: -0.3 } },
  { name: 'lit from below', lacing: { ...usual, seed: 4 }, optics: { ...plain, light: [0.7, 0.7, 0.7], down: 0.25 } },
  { name: 'warm lamp', lacing: { ...usual, seed: 5 }, optics: { ...plain, light: [0.88, 0.78, 0.62] } },
  { name: 'grainy', lacing: { ...usual, seed: 6 }, optics: { ...plain, noise: 7 } },
  { name: 'a little soft', lacing: { ...usual, seed: 7, cell: 3.2, wall: 0.7 }, optics: { ...plain, blur: 1 } },
  { name: 'large cells', lacing: { ...usual, seed: 8, cell: 4.6, wall: 0.8, toSea: 38 }, optics: { ...plain, corners: aslant } },
  { name: 'a bright line', lacing: { ...usual, seed: 9, toSea: 12, up: 3, open: 0.15, cell: 1.8 }, optics: plain },
  {
    name: 'turned, aslant and uneven',
    lacing: { ...usual, seed: 10, turned: 3 },
    optics: { ...plain, corners: aslant, across: 0.2, noise: 3 },
  },
  {
    name: 'a lamp in the film',
    lacing: { ...usual, seed: 11 },
    optics: { ...plain, glare: { at: { x: 120, y: 40 }, radius: 26, bright: 1.4 } },
    refused: 'glare',
  },
  { name: 'out of focus', lacing: { ...usual, seed: 12 }, optics: { ...plain, blur: 4 }, refused: 'blurred' },
];
