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

/** Keeps a picture. */
export async function keepPicture(key: string, pictured: Pictured): Promise<void> {
  const on = await shelf();
  const headers = { 'content-type': 'image/png', 'x-step': String(pictured.dx) };
  await on?.put(named(key), new Response(pictured.png, { headers })).catch(() => undefined);
  const all = (await on?.keys()) ?? [];
  for (const old of all.slice(0, Math.max(0, all.length - MOST))) await on?.delete(old);
}

async function read(found: Response): Promise<Pictured> {
  const png = await found.blob();
  const bitmap = await createImageBitmap(png);
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d')!;
  context.drawImage(bitmap, 0, 0);
  const { data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  const cover = Uint8Array.from({ length: bitmap.width * bitmap.height }, (_, k) => data[4 * k + 3]!);
  return { nx: bitmap.width, ny: bitmap.height, dx: Number(found.headers.get('x-step')), cover, png };
}

/** A picture that is kept; undefined where it has to be made, as one that cannot be read has. */
export async function keptPicture(key: string): Promise<Pictured | undefined> {
  try {
    const found = await (await shelf())?.match(named(key));
    return found && (await read(found));
  } catch {
    return undefined;
  }
}
