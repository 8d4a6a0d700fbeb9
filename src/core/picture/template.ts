import type { WaveCoat } from '#core/document';
import type { Point } from '#core/foam';
import { distancesTo, partsAt, partsOf, type Field } from '#core/geometry';
import type { PiecePlan } from '#core/plan';
import { sceneOf } from '#core/rehearse';
import { luminance, ofHex } from '#core/tint';
import type { Framed } from './marks';

/** Step of what is known of a board beforehand, mm. */
export const STEP = 1;
/** How far from a line its foam is looked for, mm. */
export const FAR = 120;

/**
 * What is known of a board before its picture is read, as plain data on the chart's millimetres: which part each place lies in (0 the
 * beach, then the sea from the shore out, −1 off the resin), how far the nearest line of white is, and those lines.
 */
export interface Template extends Framed {
  columns: number;
  rows: number;
  parts: Int8Array;
  /** mm; Infinity beyond `FAR` */
  away: Float32Array;
  lines: { path: Point[]; sea: 1 | -1 }[];
  /** Luminance of thick white as the plan sees it, 0 to 1: the light of a picture is told by it. */
  white: number;
}

/** Luminance of thick white where the chart has none, 0 to 1. */
const PLAIN_WHITE = 0.82;

/** A board of a plan, and the line of one of its waves; without a wave nothing is known of its foam. */
export function templateOf(plan: PiecePlan, wave: WaveCoat | undefined): Template {
  const { width, height } = plan.bounds;
  const [columns, rows] = [Math.ceil(width / STEP), Math.ceil(height / STEP)];
  const field: Field = { x: new Float64Array(columns * rows), y: new Float64Array(columns * rows), columns, rows, cell: STEP };
  for (let k = 0; k < field.x.length; k++) {
    field.x[k] = ((k % columns) + 0.5) * STEP;
    field.y[k] = (Math.floor(k / columns) + 0.5) * STEP;
  }
  const lines = wave ? sceneOf(plan, wave, 2).along.map(({ path, sea }) => ({ path: [...path], sea })) : [];
  const thick = plan.colours.foams.find((f) => f.coatId === wave?.id)?.thick?.find((c) => c !== undefined);
  return {
    width,
    height,
    round: plan.piece.shape.kind === 'round',
    columns,
    rows,
    parts: partsAt(field, partsOf(plan.cut)),
    away: Float32Array.from(
      distancesTo(
        field,
        lines.map((l) => l.path),
        FAR,
      ),
    ),
    lines,
    white: thick ? luminance(ofHex(thick)) : PLAIN_WHITE,
  };
}
