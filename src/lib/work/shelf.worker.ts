import { expose } from 'comlink';
import type { Stock } from '#core/document';
import { readShelf, type ShelfReading } from '#core/formats';
import type { Materials } from '#core/stock';

const work = {
  /** Reads a shelf from CSV beside the one there is; stores nothing. @param from the first number for new ids */
  read: (text: string, stock: Stock[], materials: Materials, from: number): ShelfReading =>
    readShelf(text, stock, materials, (n) => `container-${from + n}`),
};
export type ShelfWork = typeof work;

expose(work);
