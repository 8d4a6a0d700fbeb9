import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { expose } from 'comlink';
import { steady } from '#core/air';
import type { Point } from '#core/document';
import { boardSeen, readPicture, type PictureRead, type Template } from '#core/picture';
import { planPiece } from '#core/plan';
import { shoot } from '#core/simulate';
import { cutOff, drawn, sized } from './picture-file';
import type { LikenessAsked } from './likeness.worker';
import type { Progress } from './task';

/** A photograph as it is kept: scaled down, with a thumbnail, and what is written of it. */
export interface Developed {
  width: number;
  height: number;
  bytes: number;
  /** SHA-256 of the kept picture. */
  sum: string;
  kept: Blob;
  thumb: Blob;
}
export type Developing = ({ ok: true } & Developed) | { ok: false; says: string };

/** A board that was read, and as it lies straightened. */
export type BoardRead = { ok: true; reading: Extract<PictureRead, { ok: true }>['reading']; straight: Blob } | { ok: false; says: string };

/** A picture of a piece by a made-up camera: so many px along its longer side, the board so much of it, a little from the side. */
const [DRAWN, MARGIN, SLANT] = [1600, 0.07, 0.025];

/** Most that is kept of a picture, px², and the longest side of its thumbnail, px. */
const [MOST, THUMB] = [12e6, 320];
/** A straightened board is shown no longer than this, px. */
const SHOWN = 1200;

const jpeg = (canvas: OffscreenCanvas, quality: number): Promise<Blob> => canvas.convertToBlob({ type: 'image/jpeg', quality });

const work = {
  /** Makes of a file what is kept of it; nothing is ever sent anywhere. */
  async develop(file: Blob, name: string): Promise<Developing> {
    const size = await sized(file, name);
    if (!size.ok) return size;
    const canvas = await drawn(file, { area: MOST });
    if (!canvas) return { ok: false, says: cutOff(name) };
    const { width, height } = canvas;
    const kept = await jpeg(canvas, 0.92);
    const scale = Math.min(1, THUMB / Math.max(width, height));
    const small = new OffscreenCanvas(Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale)));
    const context = small.getContext('2d')!;
    context.imageSmoothingQuality = 'high';
    context.drawImage(canvas, 0, 0, small.width, small.height);
    const sum = bytesToHex(sha256(new Uint8Array(await kept.arrayBuffer())));
    return { ok: true, width, height, bytes: kept.size, sum, kept, thumb: await jpeg(small, 0.8) };
  },
  /** A made-up photograph of a piece as its plan and its rehearsal see it, to try the reading on. */
  async draw({ piece, coatId, resins, colourants, method, roomC }: Omit<LikenessAsked, 'key'>): Promise<Blob> {
    const plan = planPiece(piece, { resins, colourants, method, air: steady(roomC) });
    const wave = piece.coats.find((c) => c.id === coatId);
    const { width: w, height: h } = plan.bounds;
    const scale = (DRAWN * (1 - 2 * MARGIN)) / Math.max(w, h);
    const [width, height] = [w, h].map((side) => Math.round((side * scale) / (1 - 2 * MARGIN))) as [number, number];
    const [left, top, lean] = [MARGIN * width, MARGIN * height, plan.piece.shape.kind === 'round' ? 0 : SLANT * Math.min(width, height)];
    const corners = [
      { x: left + lean, y: top },
      { x: width - left - lean, y: top + lean / 2 },
      { x: width - left, y: height - top },
      { x: left, y: height - top - lean / 2 },
    ];
    const flat = {
      width: w,
      height: h,
      corners: [
        { x: 0, y: 0 },
        { x: w, y: 0 },
        { x: w, y: h },
        { x: 0, y: h },
      ],
    };
    const optics = { width, height, corners, light: [0.82, 0.8, 0.76], across: 0.08, down: -0.05, noise: 1.5, blur: 0, seed: 7 } as const;
    const { data } = shoot({ ...optics, light: [...optics.light] }, flat, boardSeen(plan, wave?.kind === 'wave' ? wave : undefined), 2);
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
    return jpeg(canvas, 0.92);
  },
  /** Reads a board in a picture. @param marks shares of its width and height */
  async read(file: Blob, marks: Point[], template: Template, told: Progress): Promise<BoardRead> {
    told('Opening the picture', 0);
    const canvas = await drawn(file, { area: MOST });
    if (!canvas) return { ok: false, says: cutOff('This photo') };
    const { width, height } = canvas;
    const data = canvas.getContext('2d')!.getImageData(0, 0, width, height, { colorSpace: 'srgb' }).data;
    const px = marks.map(({ x, y }) => ({ x: x * width - 0.5, y: y * height - 0.5 }));
    const read = readPicture({ width, height, data }, px, template, (share) => told('Measuring the board', 0.3 + 0.6 * share));
    if (!read.ok) return read;
    told('Drawing it straight', 0.95);
    return { ok: true, reading: read.reading, straight: await straightened(read.straight) };
  },
};
export type AlbumWorkOf = typeof work;

/** A straightened board as a picture. */
async function straightened({ columns, rows, rgb }: Extract<PictureRead, { ok: true }>['straight']): Promise<Blob> {
  const step = Math.max(1, Math.ceil(Math.max(columns, rows) / SHOWN));
  const [w, h] = [Math.floor(columns / step), Math.floor(rows / step)];
  const image = new ImageData(w, h);
  const byte = (v: number): number => 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
  for (let j = 0; j < h; j++)
    for (let i = 0; i < w; i++) {
      const k = 3 * (j * step * columns + i * step);
      const out = 4 * (j * w + i);
      for (let c = 0; c < 3; c++) image.data[out + c] = byte(Math.max(0, rgb[k + c]!));
      image.data[out + 3] = Number.isNaN(rgb[k]!) ? 0 : 255;
    }
  const canvas = new OffscreenCanvas(w, h);
  canvas.getContext('2d')!.putImageData(image, 0, 0);
  return canvas.convertToBlob({ type: 'image/png' });
}

expose(work);
