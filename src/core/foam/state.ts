import { around, clamp, type Box } from './box';
import { ageing, fluidity, tabled, rateAt, type ByTemperature } from './fluidity';
import { copyOf, noHoles, type Holes } from './holes';
import { physical, type Physical } from './physical';
import { tuned, type Tuned } from './tuned';

/** Side of a tile over which white and openness are averaged, mm. */
export const TILE = 4;

/** Means over tiles: of the white, mm, and of what lies inside cells, 0 to 1; smoothed. */
export interface Tiles {
  nx: number;
  ny: number;
  white: Float64Array;
  open: Float64Array;
}

/** The board under the white, its cells on a fine grid and its warmth on one of twice its step; y grows toward the beach. */
export interface Foam {
  /** Cells of the fine grid, even both ways, and its step, mm. */
  readonly nx: number;
  readonly ny: number;
  readonly dx: number;
  /** Cells of the field grid: half of each. */
  readonly fx: number;
  readonly fy: number;
  readonly seed: number;
  readonly roomC: number;
  readonly physical: Physical;
  readonly tuned: Tuned;
  readonly fluid: ByTemperature;
  readonly ages: ByTemperature;
  readonly scorches: ByTemperature;
  /** Coherent white at the surface, and white stirred into the tint, mm. */
  w: Float32Array;
  m: Float32Array;
  /** What a place has gathered toward opening, and how often it has opened. */
  hazard: Float32Array;
  opened: Uint8Array;
  /** Whether a place lies inside a cell. */
  inside: Uint8Array;
  /** Mobility of the film: 0 on the beach and off the board; clear barrier, mm. */
  mobility: Float32Array;
  barrier: Float32Array;
  /** The same on the field grid. */
  fieldMobility: Float32Array;
  fieldBarrier: Float32Array;
  /** Skin and the rest of the film, °C; thinning by extra age; scorch dose. */
  skinC: Float32Array;
  restC: Float32Array;
  aged: Float32Array;
  dose: Float32Array;
  /** Of the step at hand: footprint, velocity mm/s, share of it in the skin, strain 1/s. */
  foot: Float32Array;
  ux: Float32Array;
  uy: Float32Array;
  share: Float32Array;
  strain: Float32Array;
  tiles: Tiles;
  holes: Holes;
  /** Seconds run, of them under a tool, and age of the film in seconds at `refC`. */
  t: number;
  heated: number;
  age: number;
  /** Since the cells were last grown, s. */
  sinceCells: number;
  /** White that ran off the board, mm³, and the hottest the skin has been, °C. */
  off: number;
  hottest: number;
  /** Field cells that may be warmer than the room. */
  warm: Box;
  /** White laid, mm³. */
  laid: number;
}

/** A board as it is rehearsed. @param age of the film when it begins, s at the reference temperature */
export interface Board {
  width: number;
  height: number;
  dx?: number;
  seed: number;
  roomC: number;
  age: number;
  physical?: Physical;
  tuned?: Tuned;
}

const even = (n: number): number => 2 * Math.ceil(n / 2 - 1e-9);

/** A board with a film on all of it, and no white yet. */
export function foamOn({ width, height, dx = 0.5, seed, roomC, age, physical: p = physical, tuned: q = tuned }: Board): Foam {
  const [nx, ny] = [even(width / dx), even(height / dx)];
  const [fx, fy] = [nx / 2, ny / 2];
  const fine = (): Float32Array => new Float32Array(nx * ny);
  const field = (value = 0): Float32Array => new Float32Array(fx * fy).fill(value);
  const tiles = { nx: Math.ceil((nx * dx) / TILE), ny: Math.ceil((ny * dx) / TILE) };
  return {
    nx,
    ny,
    dx,
    fx,
    fy,
    seed,
    roomC,
    physical: p,
    tuned: q,
    fluid: fluidity(p),
    ages: ageing(p),
    scorches: tabled((c) => (c > 100 ? rateAt(c, q.scorchC, q.scorchEa) : 0)),
    w: fine(),
    m: fine(),
    hazard: fine(),
    opened: new Uint8Array(nx * ny),
    inside: new Uint8Array(nx * ny),
    mobility: fine().fill(1),
    barrier: fine(),
    fieldMobility: field(1),
    fieldBarrier: field(),
    skinC: field(roomC),
    restC: field(roomC),
    aged: field(1),
    dose: field(),
    foot: field(),
    ux: field(),
    uy: field(),
    share: field(),
    strain: field(),
    tiles: { ...tiles, white: new Float64Array(tiles.nx * tiles.ny), open: new Float64Array(tiles.nx * tiles.ny) },
    holes: noHoles(),
    t: 0,
    heated: 0,
    age,
    sinceCells: 0,
    off: 0,
    hottest: roomC,
    warm: { i0: 0, j0: 0, i1: 0, j1: 0 },
    laid: 0,
  };
}

/** What a step may change; the rest is the same for all of a rehearsal, or of the step alone. */
const CHANGES = ['w', 'm', 'hazard', 'opened', 'inside', 'skinC', 'restC', 'aged', 'dose', 'foot'] as const;
const NUMBERS = ['t', 'heated', 'age', 'sinceCells', 'off', 'hottest', 'laid'] as const;

/** A moment that can be gone back to. */
export type Moment = Pick<Foam, (typeof CHANGES)[number] | (typeof NUMBERS)[number] | 'holes' | 'tiles' | 'warm'>;

export function momentOf(foam: Foam): Moment {
  const { tiles } = foam;
  return {
    ...(Object.fromEntries(CHANGES.map((k) => [k, foam[k].slice()])) as Pick<Foam, (typeof CHANGES)[number]>),
    ...(Object.fromEntries(NUMBERS.map((k) => [k, foam[k]])) as Pick<Foam, (typeof NUMBERS)[number]>),
    holes: copyOf(foam.holes),
    tiles: { ...tiles, white: tiles.white.slice(), open: tiles.open.slice() },
    warm: { ...foam.warm },
  };
}

/** Goes back to a moment of the same board. */
export function goBack(foam: Foam, to: Moment): void {
  for (const k of CHANGES) foam[k].set(to[k]);
  for (const k of NUMBERS) foam[k] = to[k];
  foam.holes = copyOf(to.holes);
  foam.tiles.white.set(to.tiles.white);
  foam.tiles.open.set(to.tiles.open);
  foam.warm = { ...to.warm };
}

/** Averages a fine array to the field grid. */
export function toField({ nx, fx, fy }: Pick<Foam, 'nx' | 'fx' | 'fy'>, fine: Float32Array, field: Float32Array): void {
  for (let J = 0; J < fy; J++)
    for (let I = 0; I < fx; I++) {
      const k = 2 * J * nx + 2 * I;
      field[J * fx + I] = (fine[k]! + fine[k + 1]! + fine[k + nx]! + fine[k + nx + 1]!) / 4;
    }
}

/** Reads a field at a place, mm, bilinearly; at the border it goes on as it ends. */
export function fieldAt({ fx, fy, dx }: Pick<Foam, 'fx' | 'fy' | 'dx'>, field: Float32Array, x: number, y: number): number {
  const u = Math.min(Math.max(x / (2 * dx) - 0.5, 0), fx - 1);
  const v = Math.min(Math.max(y / (2 * dx) - 0.5, 0), fy - 1);
  const [i, j] = [Math.min(u | 0, fx - 2), Math.min(v | 0, fy - 2)];
  const [a, b] = [u - i, v - j];
  const k = j * fx + i;
  return (field[k]! * (1 - a) + field[k + 1]! * a) * (1 - b) + (field[k + fx]! * (1 - a) + field[k + fx + 1]! * a) * b;
}

/** Cells around the white that may take of it. */
const AROUND = 4;

/** What of a box of fine cells has white on it, with a cell around. */
export function whitePart({ nx, ny, w }: Foam, box: Box, least = 1e-6): Box {
  let [i0, j0, i1, j1] = [box.i1, box.j1, box.i0, box.j0];
  for (let j = box.j0; j < box.j1; j++) {
    const row = j * nx;
    let first = box.i0;
    while (first < box.i1 && w[row + first]! <= least) first++;
    if (first === box.i1) continue;
    let last = box.i1 - 1;
    while (w[row + last]! <= least) last--;
    if (first < i0) i0 = first;
    if (last >= i1) i1 = last + 1;
    if (j < j0) j0 = j;
    j1 = j + 1;
  }
  return j1 > j0 ? clamp(around({ i0, j0, i1, j1 }, AROUND), nx, ny) : { i0: 0, j0: 0, i1: 0, j1: 0 };
}
