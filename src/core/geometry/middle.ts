import polylabel from 'polylabel';
import type { Point } from '#core/document';
import type { Region } from './regions';
import { ringArea, type Ring } from './shapes/ring';

/** Points of a ring that are looked at; a figure needs its place to a few mm. */
const LOOKED_AT = 60;
const thinned = (ring: Ring): [number, number][] => {
  const every = Math.ceil(ring.length / LOOKED_AT);
  return ring.filter((_, i) => i % every === 0).map((p) => [p.x, p.y]);
};

/** The place of a region with most room round it, in the largest of its parts, to 4 mm; nothing where it is empty. */
export function middleOf({ rings }: Region): Point | undefined {
  const sizes = rings.map(ringArea);
  const largest = sizes.reduce((best, size, i) => (Math.abs(size) > Math.abs(sizes[best]!) ? i : best), 0);
  if ((rings[largest]?.length ?? 0) < 3) return undefined;
  // rings that run the other way round are openings
  const openings = rings.filter((_, i) => sizes[i]! * sizes[largest]! < 0);
  const [x, y] = polylabel([rings[largest]!, ...openings].map(thinned), 4);
  return { x: x!, y: y! };
}
