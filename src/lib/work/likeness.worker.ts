import { expose, transfer } from 'comlink';
import { steady } from '#core/air';
import type { Colourant, Method, Piece, Resin, WaveCoat } from '#core/document';
import { Planner } from '#core/plan';
import { likenessOf } from '#core/rehearse';

/** A wave of a piece whose foam is to be pictured, with what it is planned with; the key is what its picture is kept by. */
export interface LikenessAsked {
  key: string;
  piece: Piece;
  coatId: string;
  resins: Resin[];
  colourants: Colourant[];
  method: Method;
  roomC: number;
}
/** How much of thick white is seen at each cell of a board, 0 to 255, and the same as a picture: white by its alpha. */
export interface Pictured {
  nx: number;
  ny: number;
  dx: number;
  cover: Uint8Array;
  png: Blob;
}

/** Pictures are kept from one visit to the next where the browser allows it; they can always be made again. */
const SHELF = 'nerite-foam';
const shelf = async (): Promise<Cache | undefined> =>
  globalThis.caches === undefined ? undefined : caches.open(SHELF).catch(() => undefined);
const named = (key: string): string => `/foam/${key}`;
/** So many are kept; the oldest go first. */
const MOST = 200;

async function keep(key: string, pictured: Pictured): Promise<void> {
  const on = await shelf();
  const headers = { 'content-type': 'image/png', 'x-step': String(pictured.dx) };
  await on?.put(named(key), new Response(pictured.png, { headers })).catch(() => undefined);
  const all = (await on?.keys()) ?? [];
  for (const old of all.slice(0, Math.max(0, all.length - MOST))) await on?.delete(old);
}

async function keptAs(key: string): Promise<Pictured | undefined> {
  const found = await (await shelf())?.match(named(key));
  if (!found) return undefined;
  const png = await found.blob();
  const bitmap = await createImageBitmap(png);
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d')!;
  context.drawImage(bitmap, 0, 0);
  const { data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  const cover = Uint8Array.from({ length: bitmap.width * bitmap.height }, (_, k) => data[4 * k + 3]!);
  return { nx: bitmap.width, ny: bitmap.height, dx: Number(found.headers.get('x-step')), cover, png };
}

async function pictureOf(cover: Uint8Array, nx: number, ny: number): Promise<Blob> {
  const canvas = new OffscreenCanvas(nx, ny);
  const pixels = new Uint8ClampedArray(4 * cover.length).fill(255);
  for (let k = 0; k < cover.length; k++) pixels[4 * k + 3] = cover[k]!;
  canvas.getContext('2d')!.putImageData(new ImageData(pixels, nx, ny), 0, 0);
  return canvas.convertToBlob({ type: 'image/png' });
}

const handed = (p: Pictured): Pictured => transfer(p, [p.cover.buffer as ArrayBuffer]);

const work = {
  /** What is kept of a picture; undefined where it has to be made. */
  kept: async (key: string): Promise<Pictured | undefined> => {
    const found = await keptAs(key).catch(() => undefined);
    return found && handed(found);
  },
  async make({ key, piece, coatId, roomC, ...means }: LikenessAsked): Promise<Pictured> {
    const plan = new Planner().plan(piece, { ...means, air: steady(roomC) });
    const wave = piece.coats.find((c): c is WaveCoat => c.id === coatId && c.kind === 'wave');
    if (!wave) throw new RangeError(`${piece.name} has no wave ${coatId}`);
    const { nx, ny, dx, cover } = likenessOf(plan, wave);
    const pictured = { nx, ny, dx, cover, png: await pictureOf(cover, nx, ny) };
    await keep(key, pictured);
    return handed(pictured);
  },
};
export type LikenessWork = typeof work;

expose(work);
