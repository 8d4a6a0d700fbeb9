import type { Point, WaveCoat } from '#core/document';
import { partsAt, partsOf, type Field } from '#core/geometry';
import type { PiecePlan } from '#core/plan';
import { likenessOf, seenAt } from '#core/rehearse';
import { ofHex, type Rgb } from '#core/tint';

/** Beside the board lies a table. */
const TABLE: Rgb = [0.16, 0.13, 0.1];
/** A board where no resin lies on it. */
const BARE: Rgb = [0.36, 0.25, 0.15];
/** Where no model knows the ground, a plain grey stands for it. */
const PLAIN: Rgb = [0.3, 0.3, 0.3];
const STEP = 0.5;

/**
 * A board as the plan and its rehearsal see it, place by place, to be photographed by a made-up camera: what there is to try the
 * reading on before there is a photograph.
 */
export function boardSeen(plan: PiecePlan, wave: WaveCoat | undefined): (at: Point) => Rgb {
  const { width, height } = plan.bounds;
  const [columns, rows] = [Math.ceil(width / STEP), Math.ceil(height / STEP)];
  const field: Field = {
    x: Float64Array.from({ length: columns * rows }, (_, k) => ((k % columns) + 0.5) * STEP),
    y: Float64Array.from({ length: columns * rows }, (_, k) => (Math.floor(k / columns) + 0.5) * STEP),
    columns,
    rows,
    cell: STEP,
  };
  const parts = partsAt(field, [...partsOf(plan.cut), plan.cut.bare]);
  const bare = partsOf(plan.cut).length;
  const rgb = (hex: string | undefined): Rgb => (hex === undefined ? PLAIN : ofHex(hex));
  const tints = partsOf(plan.cut).map((_, part) => rgb(plan.colours.patches.find((p) => p.part === part)?.colour));
  const foam = plan.colours.foams.find((f) => f.coatId === wave?.id);
  const whites = tints.map((_, part) => rgb(foam?.thick?.[part]));
  const likeness = wave && likenessOf(plan, wave);
  return ({ x, y }) => {
    const [i, j] = [Math.floor(x / STEP), Math.floor(y / STEP)];
    const part = i < 0 || j < 0 || i >= columns || j >= rows ? -1 : parts[j * columns + i]!;
    if (part < 0) return TABLE;
    if (part === bare) return BARE;
    const cover = likeness ? seenAt(likeness, x, y) : 0;
    const [tint, white] = [tints[part]!, whites[part]!];
    return [0, 1, 2].map((c) => tint[c]! + cover * (white[c]! - tint[c]!)) as Rgb;
  };
}
