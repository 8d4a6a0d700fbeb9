import { expose } from 'comlink';
import { imageSize } from 'image-size';
import type { Point } from '#core/document';
import { measurePigment, pickAt, readCard, type CardReading, type Measuring, type Picture, type Rgb } from '#core/tint';

export type PhotoOpened = { ok: true; width: number; height: number } | { ok: false; says: string };
const no = (says: string): PhotoOpened => ({ ok: false, says });

/** Larger pictures are refused before they are decoded, and longer ones drawn smaller: patches are read as means. */
const [MOST_MP, LONGEST] = [45, 2400];
const MOST_MB = 60;

let picture: Picture | undefined;

/** Whether a file is of the family phones write and browsers do not open, by the brand in its first box (ISO 14496-12). */
const isHeic = (bytes: Uint8Array): boolean => /^ftyp(hei|hev|mif1|msf1)/.test(String.fromCharCode(...bytes.subarray(4, 12)));

/** The size of a picture by its first bytes, in its own words where it is none. */
function sized(bytes: Uint8Array, name: string): PhotoOpened {
  if (isHeic(bytes)) return no(`${name} is a HEIC photo, which browsers do not open. Save or send it as JPEG and choose that.`);
  let found: ReturnType<typeof imageSize>;
  try {
    found = imageSize(bytes);
  } catch {
    return no(`${name} is no picture this app can read, whatever it is called. Choose a JPEG, PNG or WebP.`);
  }
  const { width, height } = found;
  if (width * height > MOST_MP * 1e6)
    return no(
      `${name} has ${((width * height) / 1e6).toFixed(0)} megapixels (${width} × ${height}); up to ${MOST_MP} are opened. Make it smaller, or photograph it at a lower setting.`,
    );
  return { ok: true, width, height };
}

const work = {
  /** Reads a picture and keeps it in the place of the one before; nothing is ever sent anywhere. */
  async open(file: Blob, name: string): Promise<PhotoOpened> {
    if (file.size === 0) return no(`${name} is empty.`);
    if (file.size > MOST_MB * 1e6)
      return no(`${name} has ${(file.size / 1e6).toFixed(0)} MB; up to ${MOST_MB} are opened. Make it smaller.`);
    const size = sized(new Uint8Array(await file.arrayBuffer()), name);
    if (!size.ok) return size;
    let bitmap: ImageBitmap;
    try {
      bitmap = await createImageBitmap(file);
    } catch {
      return no(`${name} begins like a picture and cannot be read to its end. It may be cut off; choose another copy.`);
    }
    const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [Math.max(1, Math.round(bitmap.width * scale)), Math.max(1, Math.round(bitmap.height * scale))];
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
    if (!context) return no('This browser cannot read pictures here. Another one may.');
    context.drawImage(bitmap, 0, 0, width, height);
    bitmap.close();
    picture = { width, height, data: context.getImageData(0, 0, width, height, { colorSpace: 'srgb' }).data };
    return { ok: true, width, height };
  },
  /** Mean colour round a place, linear sRGB. @param at px of the picture as it was opened */
  pick(at: Point, radius: number): Rgb | undefined {
    return picture && pickAt(picture, at, radius);
  },
  /** The card by its corners, and the pigment of its smear. @param film mm @param load fraction of A + B */
  measure(corners: Point[], film: number, load: number): { card: CardReading; pigment?: Measuring } {
    if (!picture) return { card: { ok: false, says: 'Choose a picture first.' } };
    const card = readCard(picture, corners);
    return card.ok ? { card, pigment: measurePigment(card.patches, film, load) } : { card };
  },
};
export type PhotoWorkOf = typeof work;

expose(work);
