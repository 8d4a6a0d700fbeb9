import { startingCover } from '#core/craft';
import type { TopCoat } from '#core/document';
import { clearOver } from './covering';
import { cupFor, filmNeed } from './cup';
import type { Kind } from './kind';
import { allOf } from './region';

/** Clear that levels over everything below it. */
export const top: Kind<TopCoat> = {
  name: () => 'Clear top',
  over: 'whole',
  laid: 'poured',
  place: 'topmost',
  starts: ({ base, resin }) => ({ ...base, kind: 'top', samePour: false, cover: startingCover(resin) }),
  film: (coat, { meanFilm }) => meanFilm(coat),
  cups: (s, coat, regions) => [cupFor(s, coat, 'top', 'Clear', filmNeed(s, coat, allOf(regions), s.meanFilm(coat)))],
  covers: () => clearOver,
  section: () => [{ kind: 'top', share: 1 }],
  says: () => 'Pour the clear top, and let it level.',
};
