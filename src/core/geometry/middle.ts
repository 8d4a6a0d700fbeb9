import polylabel from 'polylabel';
import type { Point } from '#core/document';
import { lineLength } from './curve';
import type { Region } from './regions';

/** The place of a region with most room round it, in the largest of its rings, to 4 mm; nothing where it is empty. */
export function middleOf({ rings }: Region): Point | undefined {
  const ring = rings.reduce((best, r) => (lineLength(r) > lineLength(best) ? r : best), rings[0] ?? []);
  if (ring.length < 3) return undefined;
  const [x, y] = polylabel([ring.map((p) => [p.x, p.y])], 4);
  return { x: x!, y: y! };
}
