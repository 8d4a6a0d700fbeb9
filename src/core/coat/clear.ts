import { startingFilm } from '#core/craft';
import type { ClearCoat } from '#core/document';
import { clearOver } from './covering';
import { cupFor, filmNeed } from './cup';
import type { Kind } from './kind';
import { allOf } from './region';

/** A film of clear between coats. */
export const clear: Kind<ClearCoat> = {
  name: () => 'Clear',
  over: 'whole',
  laid: 'poured',
  place: 'under the tops',
  starts: ({ base, resin }) => ({ ...base, kind: 'clear', samePour: false, film: startingFilm('clear', 'poured', resin) }),
  film: ({ film }) => film,
  cups: (s, coat, regions) => [cupFor(s, coat, 'clear', 'Clear', filmNeed(s, coat, allOf(regions), coat.film))],
  covers: () => clearOver,
  section: () => [{ kind: 'clear', share: 1 }],
  says: ({ place, beforeTints }) =>
    beforeTints ? `Flood ${place} with clear before the tints.` : `Flood ${place} with clear, and let it level.`,
};
