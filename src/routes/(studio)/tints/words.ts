import type { Stop } from '#core/tint';

/** What keeps a cup from the lightness it was asked for. */
export const stopWords: Record<Stop, string> = {
  limit: 'the colourant limit stops it',
  ground: 'that is the clear ground itself',
  mixture: 'this mixture goes no further',
};
