import { Matrix, solve } from 'ml-matrix';
import type { Straight } from './straighten';
import { STEP, type Template } from './template';

/** Side of the tiles light is told from, mm. */
const TILE = 4;
/** A tile this far from the rest of its part, as a logarithm of light, is no bare tint: foam, a shell, a glint. */
const ASTRAY = 0.22;
/** Where a place is this much brighter than its part and no foam is near, it is glare. */
const GLINT = 0.4;
/** Foam is not looked for so far from its line, mm. */
const NO_FOAM = 80;
/** Light grows or falls by no more than this over half of a board, as a logarithm. */
const STEEPEST = 1.2;

/** How a board is lit, found from its own tints: the same within a part, so that what changes along it is the light. */
export interface Light {
  /** How much more the right and the lower end are lit than the middle, as logarithms. */
  across: number;
  down: number;
  /** Brightest over dimmest. */
  range: number;
  /** Share of the board lost to glare: burnt out, or far too bright where nothing white lies. */
  glare: number;
}

interface Tile {
  part: number;
  /** From −1 to 1. */
  x: number;
  y: number;
  log: number;
  away: number;
}

export const lumOf = (rgb: Float32Array, k: number): number => 0.2126 * rgb[3 * k]! + 0.7152 * rgb[3 * k + 1]! + 0.0722 * rgb[3 * k + 2]!;

/** Which column or row of the template each column or row of a straightened board lies in. */
export const stepsOf = (count: number, perMm: number, most: number): Int32Array =>
  Int32Array.from({ length: count }, (_, i) => Math.min(most - 1, Math.floor((i + 0.5) / perMm / STEP)));

function tilesOf(straight: Straight, template: Template): Tile[] {
  const { columns, rows, perMm, rgb } = straight;
  const side = Math.max(2, Math.round(TILE * perMm));
  const [across, down] = [stepsOf(columns, perMm, template.columns), stepsOf(rows, perMm, template.rows)];
  const place = (i: number, j: number): number => down[j]! * template.columns + across[i]!;
  const tiles: Tile[] = [];
  for (let j = 0; j + side <= rows; j += side)
    for (let i = 0; i + side <= columns; i += side) {
      const corners = [place(i, j), place(i + side - 1, j + side - 1)];
      const part = template.parts[corners[0]!]!;
      if (part < 0 || corners.some((k) => template.parts[k] !== part)) continue;
      let [sum, n] = [0, 0];
      for (let y = j; y < j + side; y += 2)
        for (let x = i; x < i + side; x += 2) {
          sum += lumOf(rgb, y * columns + x);
          n++;
        }
      if (!(sum > 0)) continue;
      tiles.push({
        part,
        x: (2 * (i + side / 2)) / columns - 1,
        y: (2 * (j + side / 2)) / rows - 1,
        log: Math.log(sum / n),
        away: template.away[corners[0]!]!,
      });
    }
  return tiles;
}

const middleOf = (values: number[], share = 0.5): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(share * (sorted.length - 1))]!;
};

/** One level a part and one fall along each side, by least squares. */
function fitted(tiles: Tile[], parts: number[]): { levels: Map<number, number>; across: number; down: number } {
  const rows = tiles.map((t) => [...parts.map((p) => (p === t.part ? 1 : 0)), t.x, t.y]);
  // a part that is as narrow as one row of tiles tells little of the fall across it: held toward none
  const held = [0, 1].map((k) => [...parts.map(() => 0), k === 0 ? 2 : 0, k === 1 ? 2 : 0]);
  const solved = solve(new Matrix([...rows, ...held]), Matrix.columnVector([...tiles.map((t) => t.log), 0, 0]), true).to1DArray();
  const bounded = (v: number): number => Math.min(STEEPEST, Math.max(-STEEPEST, v));
  return { levels: new Map(parts.map((p, i) => [p, solved[i]!])), across: bounded(solved.at(-2)!), down: bounded(solved.at(-1)!) };
}

const even: Light = { across: 0, down: 0, range: 1, glare: 0 };

/** How a straightened board is lit. */
export function lightOf(straight: Straight, template: Template): Light {
  const tiles = tilesOf(straight, template);
  const parts = [...new Set(tiles.map((t) => t.part))].filter((p) => tiles.filter((t) => t.part === p).length >= 6);
  let kept = parts.flatMap((part) => {
    const own = tiles.filter((t) => t.part === part);
    // white is brighter than any tint it lies on: the darker half of a part is bare
    const level = middleOf(
      own.map((t) => t.log),
      0.35,
    );
    return own.filter((t) => Math.abs(t.log - level) < 2.5 * ASTRAY);
  });
  if (kept.length < 12) return { ...even, glare: burntShare(straight) };
  let fit = fitted(kept, parts);
  const off = (t: Tile): number => t.log - (fit.levels.get(t.part) ?? t.log) - fit.across * t.x - fit.down * t.y;
  for (let round = 0; round < 3; round++) {
    const near = tiles.filter((t) => Math.abs(off(t)) < ASTRAY);
    if (near.length < 12) break;
    kept = near;
    fit = fitted(
      kept,
      parts.filter((p) => kept.some((t) => t.part === p)),
    );
  }
  const { across, down } = fit;
  const glints = tiles.filter((t) => t.away > NO_FOAM && off(t) > GLINT).length;
  return {
    across,
    down,
    range: Math.exp(2 * (Math.abs(across) + Math.abs(down))),
    glare: Math.max(burntShare(straight), tiles.length ? glints / tiles.length : 0),
  };
}

function burntShare({ burnt }: Straight): number {
  let n = 0;
  for (const b of burnt) n += b;
  return n / burnt.length;
}
