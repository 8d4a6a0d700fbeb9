import { startingTints } from '#core/craft';
import type { ThreadCoat } from '#core/document';
import { lineVolume } from '#core/mix';
import { additiveFor } from './additive';
import { tintHex } from './colour';
import { tintOver } from './covering';
import { cupFor, lineNeed } from './cup';
import type { Kind } from './kind';

/** Mean film of a thread, mm: it lies as a cap. */
export const threadFilm = ({ lineHeight }: Pick<ThreadCoat, 'lineHeight'>): number => (2 / 3) * lineHeight;

/** How far a thread lies to either side of the line it runs along, mm: out to sea, and back toward the land. */
export const threadReach = ({ along, off = 0, lineWidth }: ThreadCoat): { reachSea: number; reachUp: number } => {
  const out = along === undefined ? off : 0;
  return { reachSea: out + lineWidth / 2, reachUp: lineWidth / 2 - out };
};

/** A tint drawn as a line into a wet film: a dark thread in the pale, a ribbon beside the white. */
export const thread: Kind<ThreadCoat> = {
  name: () => 'Thread',
  over: 'sea',
  laid: 'spread',
  place: 'under the tops',
  starts: ({ base, onShelf }) => ({
    ...base,
    kind: 'thread',
    samePour: true,
    off: 60,
    lineWidth: 5,
    lineHeight: 1,
    tint: onShelf({ ...startingTints[0]!, name: 'Thread' }),
  }),
  film: threadFilm,
  cups: (s, coat) => {
    const laid = lineVolume(coat.lineWidth, coat.lineHeight, s.lengthOf(coat.along) * s.piece.count);
    const colour = tintHex(s, coat.tint, threadFilm(coat));
    return [cupFor(s, coat, 'thread', coat.tint.name, lineNeed(laid), { tint: coat.tint, colour, ...additiveFor(s, coat) })];
  },
  covers: ({ tint }, { colourants }) => tintOver(tint.recipe, colourants),
  section: () => [{ kind: 'thread', share: 1 }],
  says: ({ name, place }) => `Draw a thread of ${name} ${place}.`,
};
