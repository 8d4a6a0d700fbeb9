import { imageSize } from 'image-size';

/** A picture file that can be opened, with its size as it lies in the file; or why it cannot. */
export type Sized = { ok: true; width: number; height: number } | { ok: false; says: string };
const no = (says: string): Sized => ({ ok: false, says });

/** Larger pictures are refused before they are decoded. */
const [MOST_MP, MOST_MB] = [45, 60];

/** Whether a file is of the family phones write and browsers do not open, by the brand in its first box (ISO 14496-12). */
const isHeic = (bytes: Uint8Array): boolean => /^ftyp(hei|hev|mif1|msf1)/.test(String.fromCharCode(...bytes.subarray(4, 12)));

/** Looks at a file before it is decoded. */
export async function sized(file: Blob, name: string): Promise<Sized> {
  if (file.size === 0) return no(`${name} is empty.`);
  if (file.size > MOST_MB * 1e6) return no(`${name} has ${(file.size / 1e6).toFixed(0)} MB; up to ${MOST_MB} are opened. Make it smaller.`);
  const bytes = new Uint8Array(await file.arrayBuffer());
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

/** What is said of a file that begins like a picture and ends before it is one. */
export const cutOff = (name: string): string =>
  `${name} begins like a picture and cannot be read to its end. It may be cut off; choose another copy.`;

/** A picture drawn on a canvas of its own, turned as its tag says; undefined where it cannot be decoded. @param most its longest side, px, or its area, px² */
export async function drawn(file: Blob, most: { longest?: number; area?: number }): Promise<OffscreenCanvas | undefined> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return undefined;
  }
  const { width, height } = bitmap;
  const scale = Math.min(1, (most.longest ?? Infinity) / Math.max(width, height), Math.sqrt((most.area ?? Infinity) / (width * height)));
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale)));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser cannot read pictures here. Another one may.');
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return canvas;
}
