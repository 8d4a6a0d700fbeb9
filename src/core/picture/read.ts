import type { PhotoReading, Point } from '#core/document';
import { lightness, type Picture } from '#core/tint';
import { cellsOf } from './cells';
import { focusOf } from './focus';
import { lightOf, type Light } from './light';
import { levelsOf, litOf, type Lit } from './lit';
import { placed } from './marks';
import { reachedOf } from './reach';
import { refusedFor } from './refused';
import { straighten, type Straight } from './straighten';
import type { Template } from './template';

/** What a picture says of a board, or why it says nothing that could be relied on. */
export type PictureRead = { ok: true; reading: Omit<PhotoReading, 'at'>; straight: Straight } | { ok: false; says: string };
const no = (says: string): PictureRead => ({ ok: false, says });

/** Of the light between bare tint and thick white, the share from which a place is white; a share either way of none that is bare. */
const [WHITE, BARE] = [0.5, 0.15];
/** Below so many pixels a millimetre no cell can be told; below the second nothing of the foam can. */
const [CELLS_FROM, FROM] = [2.5, 0.9];
/** Of fewer cells no sizes are told. */
const LEAST_CELLS = 8;
/** Noise as a share of white from which a picture is quieted before it is parted in two. */
const GRAINY = 0.02;

/** How much of thick white is seen at each place; NaN off the resin, and on a beach as bright as white, which tells nothing of foam. */
function coverOf({ lum, part }: Lit, white: number, tints: (number | undefined)[]): Float32Array {
  const known = tints.slice(1).filter((t) => t !== undefined);
  const plain = known.length ? Math.max(...known) : 0.3 * white;
  const levels = tints.map((t) => t ?? plain);
  const out = new Float32Array(lum.length);
  for (let k = 0; k < lum.length; k++) {
    const tint = levels[part[k]!] ?? plain;
    out[k] = part[k]! < 0 || white - tint < 0.12 * white ? NaN : (lum[k]! - tint) / (white - tint);
  }
  return out;
}

/** A mean over three by three. */
function quieted(of: Float32Array, columns: number, rows: number): Float32Array {
  const along = (from: Float32Array, step: number): Float32Array => {
    const out = from.slice();
    for (let k = step; k + step < from.length; k++) out[k] = (from[k - step]! + from[k]! + from[k + step]!) / 3;
    return out;
  };
  return rows > 2 && columns > 2 ? along(along(of, 1), columns) : of;
}

/** OKLab lightness of the bare tint of each part, in the light of a white that is as the plan sees it. */
function bandsOf(straight: Straight, lit: Lit, light: Light, by: number, cover: Float32Array): PhotoReading['bands'] {
  const { columns, rows, rgb } = straight;
  const sums: [number, number, number, number][] = [];
  for (let j = 0; j < rows; j += 3)
    for (let i = 0; i < columns; i += 3) {
      const k = j * columns + i;
      const part = lit.part[k]!;
      if (part < 0 || !(Math.abs(cover[k]!) < BARE)) continue;
      const own = (sums[part] ??= [0, 0, 0, 0]);
      const even = by * Math.exp(-light.across * ((2 * i) / columns - 1) - light.down * ((2 * j) / rows - 1));
      for (let c = 0; c < 3; c++) own[c]! += rgb[3 * k + c]! * even;
      own[3]++;
    }
  return sums.flatMap(([r, g, b, n], part) =>
    n >= 40 ? [{ part, lightness: Math.min(1, Math.max(0, lightness([r / n, g / n, b / n]))) }] : [],
  );
}

/** Places along the lines at which focus is looked at. */
function edgesAlong({ perMm }: Straight, { lines, width, height }: Template): { i: number; j: number }[] {
  const places = lines.flatMap(({ path }) => path.filter((p) => p.x > 0 && p.y > 0 && p.x < width && p.y < height));
  const every = Math.max(1, Math.floor(places.length / 8));
  return places.filter((_, n) => n % every === 0).map(({ x, y }) => ({ i: Math.round(x * perMm), j: Math.round(y * perMm) }));
}

/** What is white, dark or no part of the foam, place by place. */
function sorted({ part, near }: Lit, cover: Float32Array) {
  const white = new Uint8Array(cover.length);
  const dark = new Uint8Array(cover.length);
  const open = new Uint8Array(cover.length);
  let [whites, board] = [0, 0];
  for (let k = 0; k < cover.length; k++) {
    const there = part[k]! >= 0;
    if (there) board++;
    if (!there || !near[k]) open[k] = 1;
    if (cover[k]! > WHITE) {
      white[k] = 1;
      whites++;
    } else dark[k] = 1;
  }
  return { white, dark, open, whites, board };
}

/**
 * Reads a photograph of a board: straightened by its marks, its light taken out by its own tints, its foam told from what lies under it.
 * @param marks px of the picture
 * @param told  how far it has come, 0 to 1
 */
export function readPicture(
  picture: Picture,
  marks: readonly Point[],
  template: Template,
  told: (share: number) => void = () => {},
): PictureRead {
  const place = placed(marks, template, picture);
  if (!place.ok) return place;
  if (!template.lines.length) return no('The plan has no wave on this piece, so there is no foam to measure.');
  const { pxPerMm } = place;
  if (pxPerMm < FROM)
    return no(
      `The board is only ${Math.round(pxPerMm * template.width)} pixels wide in this picture, too few to tell foam. Take it from nearer.`,
    );
  const straight = straighten(picture, place.to, template, pxPerMm, (share) => told(0.4 * share));
  const { columns, rows, perMm } = straight;
  const light = lightOf(straight, template);
  const focus = focusOf(straight, edgesAlong(straight, template));
  told(0.5);
  const lit = litOf(straight, template, light);
  const { white, tints } = levelsOf(lit);
  const quality = { pxPerMm, blur: focus.blur / perMm, glare: light.glare, light: light.range, noise: focus.noise };
  const refused = refusedFor(quality, white);
  if (refused) return no(refused);
  if (white === undefined) return no('No white is seen near the line the plan has it on. Is it this piece, and are the corners right?');
  const sharp = coverOf(lit, white, tints);
  const cover = focus.noise / white > GRAINY ? quieted(sharp, columns, rows) : sharp;
  told(0.6);
  const of = sorted(lit, cover);
  const cells = pxPerMm >= CELLS_FROM ? cellsOf(of.dark, of.open, columns, rows, perMm) : undefined;
  told(0.9);
  const reached = reachedOf(of.white, straight, template.lines);
  const foam = of.whites / perMm ** 2 + (cells?.area ?? 0);
  const share = (sizes: readonly number[], at: number): number => sizes[Math.round(at * (sizes.length - 1))] ?? 0;
  const reading: Omit<PhotoReading, 'at'> = {
    white: of.board ? of.whites / of.board : 0,
    ...(cells && foam > 0 && { open: cells.area / foam }),
    ...(cells &&
      cells.count >= LEAST_CELLS && {
        cells: {
          count: cells.count,
          perCm2: (100 * cells.count) / foam,
          low: share(cells.diameters, 0.1),
          middle: share(cells.diameters, 0.5),
          high: share(cells.diameters, 0.9),
        },
      }),
    ...(reached && { toSea: reached.toSea, up: reached.up, turned: reached.turned }),
    bands: bandsOf(straight, lit, light, template.white / white, cover),
    ...quality,
  };
  told(1);
  return { ok: true, straight, reading };
}
