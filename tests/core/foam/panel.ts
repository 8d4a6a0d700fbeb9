import { readFileSync } from 'node:fs';
import { airOf, does, heatStep, layDown, movesOf, type Act, type Foam, type Laid } from '../../../src/core/foam/index';

/** Figures of an independent implementation of the same model, and the panel they were taken on. */
export interface Case {
  name: string;
  ageMin: number;
  lineMm2: number;
  lineWidthMm: number;
  afterStrokes: Record<string, [number, number]>;
  afterRest: Record<string, [number, number]>;
  fields?: { w: number[]; mist: number[]; skin: number[] };
}
interface Reference {
  strokes: { x: number; fromY: number; toY: number; speed: number }[];
  pauseBetweenStrokesS: number;
  restS: number;
  cases: Case[];
}
export const reference = JSON.parse(readFileSync(new URL('./lacing-reference.json', import.meta.url), 'utf8')) as Reference;

/**
 * The file names a room of 23 °C; its skin temperatures, to the hundredth of a kelvin, and its hottest skin are those of a
 * room of 21 °C, where the far corners of the board lie.
 */
export const ROOM = 21;

export const shore = (x: number): number => 44 + 3 * Math.sin((6.6 * x) / 60 + 0.6) + 1.35 * Math.sin((15.5 * x) / 60 + 2);
export const path = Array.from({ length: 16 }, (_, i) => ({ x: 4 * i, y: shore(4 * i) }));
export const lines = [{ path, sea: 1 as const }];

export const panel = (seed: number, laid: Partial<Laid> = {}): Foam =>
  layDown({
    width: 60,
    height: 60,
    seed,
    roomC: ROOM,
    age: 22 * 60,
    film: (x, y) => (y < shore(x) + 13 ? 1 : 0),
    lines,
    section: 5,
    lineWidth: 11,
    barrier: 0,
    ...laid,
  });

/** The strokes of the reference, with something changed. */
export function strokes({ slower = 1, distance }: { slower?: number; distance?: number } = {}): Act[] {
  return reference.strokes.flatMap((s): Act[] => [
    {
      does: 'stroke',
      held: { tool: 'hot air', ...(distance !== undefined && { distance }) },
      path: [
        { x: s.x, y: s.fromY },
        { x: s.x, y: s.toY },
      ],
      seconds: (slower * (s.fromY - s.toY)) / s.speed,
      toward: -Math.PI / 2,
    },
    { does: 'wait', seconds: reference.pauseBetweenStrokesS },
  ]);
}

/** Does all that is scripted. */
export function act(foam: Foam, acts: readonly Act[]): void {
  for (const move of movesOf(acts)) does(foam, move);
}

export function pushed(seed: number, laid: Partial<Laid> = {}, acts = strokes()): Foam {
  const foam = panel(seed, laid);
  act(foam, acts);
  return foam;
}

/** White at the surface, stirred in and run off, mm³. */
export function white(foam: Foam): { w: number; m: number; off: number } {
  const sum = (of: Float32Array): number => of.reduce((a, b) => a + b, 0) * foam.dx * foam.dx;
  return { w: sum(foam.w), m: sum(foam.m), off: foam.off };
}

/** Means over squares of so many cells, row by row. */
export function squares(values: Float32Array, nx: number, per: number): number[] {
  const n = nx / per;
  const out = new Array<number>(n * n).fill(0);
  for (let k = 0; k < values.length; k++)
    out[Math.floor(Math.floor(k / nx) / per) * n + Math.floor((k % nx) / per)]! += values[k]! / per ** 2;
  return out;
}

/** Hot air held still for a while. */
export function heldStill(foam: Foam, seconds: number, x: number, y: number): void {
  for (let n = 0; n < Math.round(seconds / 0.05); n++) heatStep(foam, { ...airOf({ tool: 'hot air' }, foam.roomC), x, y, dx: 0, dy: -1 });
}

/** A board of even film with no white on it. */
export const bare = (width: number, height: number, more: Partial<Laid> = {}): Foam =>
  layDown({
    width,
    height,
    seed: 1,
    roomC: 23,
    age: 0,
    film: () => 1,
    uneven: 0,
    lines: [],
    section: 0,
    lineWidth: 10,
    barrier: 0,
    ...more,
  });
