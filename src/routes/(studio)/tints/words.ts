import type { Stop } from '#core/tint';
import { plain } from '#core/units';

/** How far apart two colours are to an eye that sees them side by side, with the figure after it (CIEDE2000). */
export function apart(deltaE: number): string {
  if (deltaE < 0.05) return 'it looks as planned';
  const figure = `ΔE ${plain(deltaE, 1)}`;
  if (deltaE < 1) return `no eye tells it from the plan (${figure})`;
  return deltaE < 3 ? `it is told from the plan only side by side (${figure})` : `it is another shade than planned (${figure})`;
}

/** What keeps a cup from the lightness it was asked for. */
export const stopWords: Record<Stop, string> = {
  limit: 'the colourant limit stops it',
  ground: 'that is the clear ground itself',
  mixture: 'this mixture goes no further',
};
