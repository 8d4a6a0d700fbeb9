import { startingFilm } from '#core/craft';
import type { SealCoat } from '#core/document';
import { clearOver } from './covering';
import { cupFor, filmNeed } from './cup';
import type { Kind } from './kind';
import { allOf } from './region';

/** A thin film of clear that closes the board before anything lies on it. */
export const seal: Kind<SealCoat> = {
  name: () => 'Seal',
  over: 'whole',
  laid: 'spread',
  place: 'lowest',
  starts: ({ base }) => ({ ...base, kind: 'seal', samePour: false, film: startingFilm('seal', 'spread') }),
  film: ({ film }) => film,
  cups: (s, coat, regions) => [cupFor(s, coat, 'seal', 'Clear for sealing', filmNeed(s, coat, allOf(regions), coat.film))],
  covers: () => clearOver,
  section: () => [{ kind: 'seal', share: 1 }],
  says: ({ place }) => `Seal ${place} with a thin film of clear.`,
};
