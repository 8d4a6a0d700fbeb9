import { Matrix, solve } from 'ml-matrix';
import type { Point } from '#core/document';
import type { Rgb } from './layer';
import type { Patches } from './measure';
import { card, cardCorners, cardGreys, cardPatches, type Patch } from './target';

/** A picture as a screen holds it: red, green, blue and alpha, 0 to 255, row by row. */
export interface Picture {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/** sRGB decoded (IEC 61966-2-1), for each byte. */
const LINEAR = Float64Array.from({ length: 256 }, (_, v) => {
  const s = v / 255;
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
});

/** Linear light at a place of a picture; undefined outside it. */
function lightAt({ width, height, data }: Picture, x: number, y: number): Rgb | undefined {
  const [i, j] = [Math.round(x), Math.round(y)];
  if (i < 0 || j < 0 || i >= width || j >= height) return undefined;
  const k = 4 * (j * width + i);
  return [LINEAR[data[k]!]!, LINEAR[data[k + 1]!]!, LINEAR[data[k + 2]!]!];
}

/** The mean of linear light within a radius, px; undefined where none of it lies in the picture. */
export function pickAt(picture: Picture, at: Point, radius: number): Rgb | undefined {
  const sum: Rgb = [0, 0, 0];
  let n = 0;
  for (let y = Math.ceil(at.y - radius); y <= at.y + radius; y++)
    for (let x = Math.ceil(at.x - radius); x <= at.x + radius; x++) {
      const light = Math.hypot(x - at.x, y - at.y) <= radius ? lightAt(picture, x, y) : undefined;
      if (!light) continue;
      n++;
      for (const c of [0, 1, 2] as const) sum[c] += light[c];
    }
  return n ? [sum[0] / n, sum[1] / n, sum[2] / n] : undefined;
}

/** Where places of one plane lie in another seen in perspective, known by four places and where they lie. */
export function perspective(from: Point[], to: Point[]): (at: Point) => Point {
  const rows: number[][] = [];
  const right: number[] = [];
  from.forEach(({ x, y }, i) => {
    const there = to[i]!;
    rows.push([x, y, 1, 0, 0, 0, -x * there.x, -y * there.x], [0, 0, 0, x, y, 1, -x * there.y, -y * there.y]);
    right.push(there.x, there.y);
  });
  const h = solve(new Matrix(rows), Matrix.columnVector(right)).to1DArray();
  return ({ x, y }) => {
    const w = h[6]! * x + h[7]! * y + 1;
    return { x: (h[0]! * x + h[1]! * y + h[2]!) / w, y: (h[3]! * x + h[4]! * y + h[5]!) / w };
  };
}

const [ACROSS, DOWN] = [16, 12];

interface Sampled {
  mean: Rgb;
  /** Spread of the places within it, as a share of the mean. */
  spread: number;
  /** Share of its places at which a channel is at the end of its range, below or above. */
  dark: number;
  burnt: number;
}

function sample(picture: Picture, to: (at: Point) => Point, { x, y, width, height }: Patch): Sampled | undefined {
  const lights: Rgb[] = [];
  for (let j = 0; j < DOWN; j++)
    for (let i = 0; i < ACROSS; i++) {
      const at = to({ x: x + (width * (i + 0.5)) / ACROSS, y: y + (height * (j + 0.5)) / DOWN });
      const light = lightAt(picture, at.x, at.y);
      if (!light) return undefined;
      lights.push(light);
    }
  const mean = [0, 1, 2].map((c) => lights.reduce((s, l) => s + l[c]!, 0) / lights.length) as Rgb;
  const grey = (l: Rgb): number => (l[0] + l[1] + l[2]) / 3;
  const middle = grey(mean);
  const spread = Math.sqrt(lights.reduce((s, l) => s + (grey(l) - middle) ** 2, 0) / lights.length) / Math.max(middle, 1e-4);
  const share = (off: (v: number) => boolean): number => lights.filter((l) => l.some(off)).length / lights.length;
  return { mean, spread, dark: share((v) => v <= LINEAR[1]!), burnt: share((v) => v >= LINEAR[253]!) };
}

/** The card read: its four patches with the light taken out, and how well its greys came back. */
export type CardReading =
  | {
      ok: true;
      patches: Patches;
      /** Of the greys after the light was taken out, root mean square as a share. */
      residual: number;
      /** Brightest over dimmest light on the card. */
      unevenness: number;
      /** Of the smear over white, as a share. */
      spread: number;
    }
  | { ok: false; says: string };

const no = (says: string): CardReading => ({ ok: false, says });

/** Light that falls off by more than this across the card, greys that come back worse, or a smear more patchy are refused. */
const [UNEVEN, ASTRAY, PATCHY] = [2, 0.08, 0.22];
/** Share of a patch that may be burnt out or black. */
const CLIPPED = 0.02;

/** Light over the card: (a + b x + c y) · R + d in each channel, by least squares over the greys, weighted to their share. */
function lightOf(greys: { reflectance: number; x: number; y: number; mean: Rgb }[], channel: 0 | 1 | 2): number[] {
  const weights = greys.map((g) => 1 / (g.mean[channel] + 0.01));
  const A = greys.map(({ reflectance: R, x, y }, i) => [R, R * x, R * y, 1].map((v) => v * weights[i]!));
  const b = greys.map((g, i) => g.mean[channel] * weights[i]!);
  return solve(new Matrix(A), Matrix.columnVector(b), true).to1DArray();
}

/**
 * Reads a photographed card: the light is fitted to its fourteen greys and taken out of the four patches. Refuses what is
 * burnt out, in deep shadow, lit unevenly or marked wrong, and says so.
 * @param corners middles of the four marks in the picture, px, clockwise from the card's upper left
 */
export function readCard(picture: Picture, corners: Point[]): CardReading {
  const to = perspective(cardCorners, corners);
  const place = ({ x, y, width, height }: Patch): Point => ({
    x: (2 * x + width) / card.width - 1,
    y: (2 * y + height) / card.height - 1,
  });
  const inner = ({ x, y, width, height }: Patch): Patch => ({ x: x + 3, y: y + 2.5, width: width - 6, height: height - 5 });
  const greys = cardGreys.map(({ patch, reflectance }) => ({ reflectance, ...place(patch), sampled: sample(picture, to, inner(patch)) }));
  const found = (['white', 'black', 'overWhite', 'overBlack'] as const).map(
    (name) => [name, sample(picture, to, cardPatches[name])] as const,
  );
  if (greys.some((g) => !g.sampled) || found.some(([, s]) => !s))
    return no(
      'Part of the card lies outside the picture. Mark the middle of each corner mark, beginning with the one beside the word “smear”.',
    );
  if ([...greys.map((g) => g.sampled!), ...found.map(([, s]) => s!)].some((s) => s.burnt > CLIPPED))
    return no('The picture is burnt out: its whites are at the end of the range, so their light is lost. Take it again a little darker.');
  if ([...greys.map((g) => g.sampled!), found[1]![1]!].some((s) => s.dark > 0.2))
    return no('The picture is too dark: its blacks have run together. Take it again with more light.');

  const measured = greys.map((g) => ({ ...g, mean: g.sampled!.mean }));
  const light = ([0, 1, 2] as const).map((c) => lightOf(measured, c));
  const gain = (c: number, x: number, y: number): number => light[c]![0]! + light[c]![1]! * x + light[c]![2]! * y;
  const corner = [-1, 1].flatMap((x) => [-1, 1].map((y) => gain(1, x, y)));
  if (Math.min(...corner) <= 0)
    return no('The greys of the card do not read as greys. Mark the corners again, clockwise from the one beside the word “smear”.');
  const unevenness = Math.max(...corner) / Math.min(...corner);
  const taken = (mean: Rgb, { x, y }: Point): Rgb => {
    const at = (c: 0 | 1 | 2): number => Math.max(1e-4, (mean[c] - light[c]![3]!) / gain(c, x, y));
    return [at(0), at(1), at(2)];
  };
  const errors = measured.flatMap((g) => taken(g.mean, g).map((R) => (R - g.reflectance) / (g.reflectance + 0.02)));
  const residual = Math.sqrt(errors.reduce((s, e) => s + e * e, 0) / errors.length);
  if (residual > ASTRAY)
    return no(
      `The greys come back ${(residual * 100).toFixed(0)} % off, and up to ${ASTRAY * 100} % will do: there is glare or a shadow on the card, or a corner is marked wrong.`,
    );
  if (unevenness > UNEVEN)
    return no(
      `The light is uneven: one side of the card gets ${unevenness.toFixed(1)} times as much as the other, and up to ${UNEVEN} times can be taken out. Turn it toward the light.`,
    );
  const patches = Object.fromEntries(found.map(([name, s]) => [name, taken(s!.mean, place(cardPatches[name]))])) as unknown as Patches;
  const spread = found[2]![1]!.spread;
  if (spread > PATCHY)
    return no(
      `The smear is uneven: it varies by ${(spread * 100).toFixed(0)} % within its patch. Draw it out in one film and take the picture again.`,
    );
  return { ok: true, patches, residual, unevenness, spread };
}
