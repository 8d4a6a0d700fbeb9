import type { WaveCoat } from '#core/document';
import { physical, tuned, type Laid, type Physical, type Tuned } from '#core/foam';
import { distancesTo, partsAt, partsOf, seeded, seedOf, shifted, waveLines, type Field } from '#core/geometry';
import { filmAge, groundsUnder, whiteAmounts, type PiecePlan } from '#core/plan';
import { recipeLayer } from '#core/tint';

/** What a wave is rehearsed on: its board on the chart's own millimetres, the film it floats in and the colours below it. */
export interface Scene {
  width: number;
  height: number;
  /** Step of the grid, mm, and its cells. */
  dx: number;
  nx: number;
  ny: number;
  /** What of the board takes resin, mm². */
  board: number;
  /** 1 where the film lies that the white floats in, for each cell. */
  film: Uint8Array;
  /** Reflectance below the white, three for each cell; NaN off the board. */
  ground: Float32Array;
  lines: Laid['lines'];
  /** The lines a pass goes along: one for each shore, or the breaker. */
  along: Laid['lines'];
  /** Length of all lines on the board, mm, and the width of one. */
  length: number;
  lineWidth: number;
  physical: Physical;
  /** What was set by eye, and what the studio's own boards say of it. */
  tuned: Tuned;
  roomC: number;
  /** Whether a colour below is not known to any model. */
  unknown: boolean;
}

/** Film beyond the line that the white may wash up on, more than the reach that is wanted, mm. */
const WASH = 5;
/** Tints that are drawn together leave no edge: they run into each other over so much, mm. */
const DRAWN = 6;
/** Lines side by side lie so many of their widths apart. */
const APART = 1.6;
/** No film that is moved is thinner or thicker than this, mm: the skin has its share of it. */
const [THIN, THICK] = [0.6, 6];
/** Where no model knows the ground, a plain grey stands for it. */
const PLAIN = 0.3;

/** Cells both ways are even, and cover the board. */
const even = (mm: number, dx: number): number => 2 * Math.ceil(mm / dx / 2 - 1e-9);

function gridOf(plan: PiecePlan, dx: number): Field {
  const [columns, rows] = [even(plan.bounds.width, dx), even(plan.bounds.height, dx)];
  const x = new Float64Array(columns * rows);
  const y = new Float64Array(columns * rows);
  for (let k = 0; k < x.length; k++) {
    x[k] = ((k % columns) + 0.5) * dx;
    y[k] = (Math.floor(k / columns) + 0.5) * dx;
  }
  return { x, y, columns, rows, cell: dx };
}

/** Coats that are wet together with a wave, and lie below it. */
function wetBelow(plan: PiecePlan, wave: WaveCoat) {
  const pour = plan.pours.find((p) => p.coats.some((c) => c.coat.id === wave.id));
  const below =
    pour?.coats.slice(
      0,
      pour.coats.findIndex((c) => c.coat.id === wave.id),
    ) ?? [];
  return below.filter((c) => c.coat.kind !== 'wave' && c.coat.kind !== 'thread');
}

/** What foam does on a wave's film, beside where it lies: how thick the film is, how it ages, how warm it is, what white hides. */
export function filmOf(plan: PiecePlan, wave: WaveCoat): Pick<Scene, 'physical' | 'tuned' | 'roomC'> {
  const { cut, means } = plan;
  const thick = Math.max(
    ...partsOf(cut).map((_, part) => wetBelow(plan, wave).reduce((sum, c) => sum + (partsOf(c.regions)[part]!.area > 0 ? c.film : 0), 0)),
  );
  const resin = means.resins.find((r) => r.id === wave.resinId)!;
  return {
    physical: {
      ...physical,
      film: Math.min(THICK, Math.max(THIN, thick || wave.lineHeight)),
      muRef: resin.viscosity,
      flowEa: means.method.activationEmu,
      cureEa: means.method.activationEa,
      refC: resin.refC,
      thickens: Math.log(means.method.thickening) / (resin.workingMin * 60),
      scatter: recipeLayer(wave.white.recipe, means.colourants, 1).scatter[1],
    },
    tuned: { ...tuned, ...means.method.foam },
    roomC: means.air(0),
  };
}

/** The scene of a wave. @param dx step of the grid, mm */
export function sceneOf(plan: PiecePlan, wave: WaveCoat, dx: number): Scene {
  const { cut, site, means } = plan;
  const field = gridOf(plan, dx);
  const parts = partsAt(field, partsOf(cut));
  const lines = linesOf(plan, wave);
  const below = wetBelow(plan, wave);
  const wet = partsOf(cut).map((_, part) => below.some((c) => partsOf(c.regions)[part]!.area > 0));
  // a wave that is poured by itself floats in its own clear
  const alone = !wet.some(Boolean);
  const away = distancesTo(
    field,
    lines.map((l) => [...l.path]),
    wave.reachUp + WASH,
  );
  const film = Uint8Array.from(parts, (part, k) =>
    part >= 0 && (alone || (part > 0 && wet[part]) || away[k]! <= wave.reachUp + WASH) ? 1 : 0,
  );
  const grounds = groundsUnder(site, wave.id, means.colourants);
  return {
    width: plan.bounds.width,
    height: plan.bounds.height,
    dx,
    nx: field.columns,
    ny: field.rows,
    board: cut.cover.area,
    film,
    ground: grained(plan, parts, drawnTogether(parts, grounds, field.columns, field.rows, Math.round(DRAWN / dx / 2))),
    lines,
    along: linesOf(plan, { ...wave, lines: 1 }),
    length: whiteAmounts(plan, wave).length * (wave.lines ?? 1),
    lineWidth: wave.lineWidth,
    ...filmOf(plan, wave),
    unknown: grounds.some((g, part) => g === undefined && partsOf(cut)[part]!.area > 0),
  };
}

/** The lines of a wave, side by side out to sea where there are several. */
function linesOf({ piece }: PiecePlan, wave: WaveCoat): Laid['lines'] {
  return waveLines(piece.sea, wave.along).flatMap(({ line, out }) =>
    Array.from({ length: wave.lines ?? 1 }, (_, k) => ({ path: shifted(line, out * k * APART * wave.lineWidth), sea: out })),
  );
}

/** Colours of the parts, those of the sea run into each other. The beach keeps its edge. */
function drawnTogether(
  parts: Int8Array,
  grounds: readonly (readonly number[] | undefined)[],
  nx: number,
  ny: number,
  r: number,
): Float32Array {
  const out = new Float32Array(3 * parts.length).fill(NaN);
  for (let k = 0; k < parts.length; k++) if (parts[k]! >= 0) for (const c of [0, 1, 2]) out[3 * k + c] = grounds[parts[k]!]?.[c] ?? PLAIN;
  for (let time = 0; time < 2; time++) {
    smooth(out, parts, nx, ny, r, true);
    smooth(out, parts, nx, ny, r, false);
  }
  return out;
}

/** How much a grain of sand is darker or paler than the mean. */
const GRAIN = 0.08;
/** Sand is seen as grains. */
function grained({ piece }: PiecePlan, parts: Int8Array, ground: Float32Array): Float32Array {
  if (!piece.coats.some((c) => c.kind === 'sand')) return ground;
  const next = seeded(seedOf(piece.id));
  for (let k = 0; k < parts.length; k++) {
    if (parts[k] !== 0) continue;
    const by = 1 + GRAIN * (2 * next() - 1);
    for (const c of [0, 1, 2]) ground[3 * k + c]! *= by;
  }
  return ground;
}

/** A running mean along one axis, over the sea alone. */
function smooth(values: Float32Array, parts: Int8Array, nx: number, ny: number, r: number, alongX: boolean): void {
  const [count, lines, step, over] = alongX ? [nx, ny, 1, nx] : [ny, nx, nx, 1];
  const sum = new Float64Array(3 * (count + 1));
  const seas = new Int32Array(count + 1);
  for (let line = 0; line < lines; line++) {
    for (let i = 0; i < count; i++) {
      const k = line * over + i * step;
      const sea = parts[k]! > 0 ? 1 : 0;
      seas[i + 1] = seas[i]! + sea;
      for (const c of [0, 1, 2]) sum[3 * (i + 1) + c] = sum[3 * i + c]! + (sea ? values[3 * k + c]! : 0);
    }
    for (let i = 0; i < count; i++) {
      const k = line * over + i * step;
      if (parts[k]! <= 0) continue;
      const [a, b] = [Math.max(0, i - r), Math.min(count, i + r + 1)];
      const n = seas[b]! - seas[a]!;
      for (const c of [0, 1, 2]) values[3 * k + c] = (sum[3 * b + c]! - sum[3 * a + c]!) / n;
    }
  }
}

/** White the wanted reach takes on one board, ml: its cup holds more, for white is what runs out. */
export const plannedWhite = (plan: PiecePlan, wave: WaveCoat): number => whiteAmounts(plan, wave).byReach / plan.piece.count;

/** Over how much of the sea a clear line runs out, mm: from behind the white to well ahead of it. */
const RUNS_OUT = 46;
/** Clear under the white as it is planned, mm; 0 where the white lies on the tint. */
export function plannedBarrier({ lineWidth, lineHeight, lines = 1, under = 'barrier' }: WaveCoat): number {
  return under === 'barrier' ? ((2 / 3) * lineWidth * lineHeight * lines) / RUNS_OUT : 0;
}

/** Age of the film some minutes after its batch was mixed, s at the resin's reference; as it is mixed where none is planned. */
export function ageAt(plan: PiecePlan, wave: WaveCoat, min: number): number {
  const batch = plan.pours.flatMap((p) => p.batches).find((b) => b.cups.some((c) => c.id.coat === wave.id && c.id.role === 'white'));
  return batch ? 60 * filmAge(batch, plan.means, min) : 60 * min;
}
