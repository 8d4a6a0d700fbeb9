import type { Stock } from '#core/document';
import type { ShelfReading } from '#core/formats';
import type { Materials } from '#core/stock';
import type { ShelfWork } from './shelf.worker';
import { task, type Task } from './task';

/** Reads a shelf from CSV, so that thousands of rows do not hold up the screen. */
export function readShelfFile(text: string, stock: Stock[], materials: Materials): Task<ShelfReading> {
  const numbers = stock.map((s) => Number(/^container-(\d+)$/.exec(s.id)?.[1] ?? 0));
  const next = Math.max(0, stock.length, ...numbers) + 1;
  return task<ShelfWork, ShelfReading>(
    () => new Worker(new URL('./shelf.worker.ts', import.meta.url), { type: 'module' }),
    (work) => work.read(text, stock, materials, next),
  );
}
