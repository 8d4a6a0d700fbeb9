import { wrap } from 'comlink';
import type { Stock } from '#core/document';
import type { ShelfReading } from '#core/formats';
import type { Materials } from '#core/stock';
import type { ShelfWork } from './shelf.worker';

/** Reads a shelf from CSV in a worker of its own, so that thousands of rows do not hold up the screen. */
export async function readShelfFile(text: string, stock: Stock[], materials: Materials): Promise<ShelfReading> {
  const worker = new Worker(new URL('./shelf.worker.ts', import.meta.url), { type: 'module' });
  try {
    const numbers = stock.map((s) => Number(/^container-(\d+)$/.exec(s.id)?.[1] ?? 0));
    return await wrap<ShelfWork>(worker).read(text, stock, materials, Math.max(0, stock.length, ...numbers) + 1);
  } finally {
    worker.terminate();
  }
}
