import { expose, transfer } from 'comlink';
import { steady } from '#core/air';
import type { Colourant, Method, Piece, Resin, WaveCoat } from '#core/document';
import { Planner } from '#core/plan';
import { likenessOf } from '#core/rehearse';
import { keepPicture, type Pictured } from './likeness-shelf';

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
async function pictureOf(cover: Uint8Array, nx: number, ny: number): Promise<Blob> {
  const canvas = new OffscreenCanvas(nx, ny);
  const pixels = new Uint8ClampedArray(4 * cover.length).fill(255);
  for (let k = 0; k < cover.length; k++) pixels[4 * k + 3] = cover[k]!;
  canvas.getContext('2d')!.putImageData(new ImageData(pixels, nx, ny), 0, 0);
  return canvas.convertToBlob({ type: 'image/png' });
}

const handed = (p: Pictured): Pictured => transfer(p, [p.cover.buffer as ArrayBuffer]);

const work = {
  async make({ key, piece, coatId, roomC, ...means }: LikenessAsked): Promise<Pictured> {
    const plan = new Planner().plan(piece, { ...means, air: steady(roomC) });
    const wave = piece.coats.find((c): c is WaveCoat => c.id === coatId && c.kind === 'wave');
    if (!wave) throw new RangeError(`${piece.name} has no wave ${coatId}`);
    const { nx, ny, dx, cover } = likenessOf(plan, wave);
    const pictured = { nx, ny, dx, cover, png: await pictureOf(cover, nx, ny) };
    await keepPicture(key, pictured);
    return handed(pictured);
  },
};
export type LikenessWork = typeof work;

expose(work);
