import { lumOf, stepsOf, type Light } from './light';
import type { Straight } from './straighten';
import type { Template } from './template';

/** A straightened board as it would be in even light: what each place is part of, and how bright it is. */
export interface Lit {
  columns: number;
  rows: number;
  perMm: number;
  /** Luminance in the light of the board's middle. */
  lum: Float32Array;
  /** 0 the beach, then the sea from the shore out, −1 off the resin. */
  part: Int8Array;
  /** Whether a line of white is near. */
  near: Uint8Array;
}

/** Foam is looked for so far from its line, mm. */
const NEAR = 100;

/** A board with its light taken out. */
export function litOf({ columns, rows, perMm, rgb }: Straight, template: Template, { across, down }: Light): Lit {
  const [toColumn, toRow] = [stepsOf(columns, perMm, template.columns), stepsOf(rows, perMm, template.rows)];
  const byColumn = Float32Array.from({ length: columns }, (_, i) => Math.exp(-across * ((2 * (i + 0.5)) / columns - 1)));
  const lum = new Float32Array(columns * rows);
  const part = new Int8Array(columns * rows);
  const near = new Uint8Array(columns * rows);
  for (let j = 0; j < rows; j++) {
    const by = Math.exp(-down * ((2 * (j + 0.5)) / rows - 1));
    const row = toRow[j]! * template.columns;
    for (let i = 0; i < columns; i++) {
      const k = j * columns + i;
      const place = row + toColumn[i]!;
      lum[k] = lumOf(rgb, k) * by * byColumn[i]!;
      part[k] = template.parts[place]!;
      near[k] = template.away[place]! <= NEAR ? 1 : 0;
    }
  }
  return { columns, rows, perMm, lum, part, near };
}

/** Steps of a histogram of light, and its end: white in the brightest corner of a board that is lit from there. */
const [BINS, TOP] = [512, 1.6];
const binOf = (lum: number): number => Math.min(BINS - 1, Math.floor((lum / TOP) * BINS));
const lumAt = (bin: number): number => ((bin + 0.5) / BINS) * TOP;

/** The level that parts two groups of a histogram best (Otsu 1979). */
function parting(counts: Float64Array): number {
  let [total, sum] = [0, 0];
  counts.forEach((c, i) => ((total += c), (sum += c * i)));
  let [below, sumBelow, best, level] = [0, 0, -1, 0];
  for (let i = 0; i < counts.length; i++) {
    below += counts[i]!;
    sumBelow += counts[i]! * i;
    const above = total - below;
    if (!below || !above) continue;
    const between = below * above * (sumBelow / below - (sum - sumBelow) / above) ** 2;
    if (between > best) [best, level] = [between, i];
  }
  return level;
}

/** The step below which a share of a histogram's first `end` steps lies. */
function quantileOf(counts: Float64Array, share: number, from = 0, end = counts.length): number {
  let all = 0;
  for (let i = from; i < end; i++) all += counts[i]!;
  let seen = 0;
  for (let i = from; i < end; i++) {
    seen += counts[i]!;
    if (seen >= share * all) return i;
  }
  return end - 1;
}

/** So many places of a part, and of white, are wanted before anything is said of them. */
const FEW = 60;

/** How bright thick white is near the lines, and the bare tint of each part; undefined where too little is seen of either. */
export function levelsOf({ columns, rows, lum, part, near }: Lit): { white?: number; tints: (number | undefined)[] } {
  const counts: Float64Array[] = [];
  const sea = new Float64Array(BINS);
  for (let j = 0; j < rows; j += 2)
    for (let i = 0; i < columns; i += 2) {
      const k = j * columns + i;
      const p = part[k]!;
      if (p < 0 || !(lum[k]! >= 0)) continue;
      (counts[p] ??= new Float64Array(BINS))[binOf(lum[k]!)]!++;
      if (p > 0 && near[k]) sea[binOf(lum[k]!)]!++;
    }
  const level = parting(sea) + 1;
  let whites = 0;
  for (let i = level; i < BINS; i++) whites += sea[i]!;
  const white = whites >= FEW ? lumAt(quantileOf(sea, 0.85, level)) : undefined;
  const tints = Array.from({ length: counts.length }, (_, p) => {
    const own = counts[p];
    if (!own || own.reduce((a, b) => a + b, 0) < FEW) return undefined;
    // the tint is seen between the foam and inside its cells: the darker group of what a part shows
    const darkest = lumAt(quantileOf(own, 0.05));
    const end = white === undefined || white < 1.15 * darkest ? BINS : binOf(darkest + 0.4 * (white - darkest));
    return lumAt(quantileOf(own, 0.5, 0, Math.max(1, end)));
  });
  return { ...(white !== undefined && { white }), tints };
}
