import type { Slice } from '#core/document';
import { seeded } from '../seeded';
import type { Ring } from './ring';

const SIDES = 360;

/** The rim of a slice: a round whose radius strays by two to seven waves, fitted to its width and height. */
export function sliceRing({ width, height, seed, uneven }: Slice): Ring {
  const next = seeded(seed);
  const waves = [2, 3, 4, 5, 6, 7].map((k) => ({ k, share: next() / k, phase: 2 * Math.PI * next() }));
  const all = waves.reduce((sum, w) => sum + w.share, 0);
  const raw = Array.from({ length: SIDES }, (_, i) => {
    const angle = (2 * Math.PI * i) / SIDES;
    const radius = 1 + uneven * waves.reduce((sum, w) => sum + (w.share / all) * Math.cos(w.k * angle + w.phase), 0);
    return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
  });
  const [xs, ys] = [raw.map((p) => p.x), raw.map((p) => p.y)];
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const [sx, sy] = [width / (Math.max(...xs) - x0), height / (Math.max(...ys) - y0)];
  return raw.map((p) => ({ x: (p.x - x0) * sx, y: (p.y - y0) * sy }));
}
