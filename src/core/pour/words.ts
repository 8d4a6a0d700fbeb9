import { stepKey, type Told, type ToldStep } from '#core/document';
import { pushedBack, stirred, tilted, tintedOver } from './words/asked';
import { mixed, poured, pressed, strewn, thinned } from './words/films';
import { covered, dressed, peeled, sidesCoated } from './words/last';
import type { Writes } from '#core/units';
import { amountOf, type Said, type Words } from './words/said';
import { added, clearLine, flicked, heated, rested, threaded, whiteLaid } from './words/wave';

export type { Amount, Words } from './words/said';

function saidOf(step: ToldStep, told: Told, write: Writes): Said {
  switch (step.id.does) {
    case 'mix':
      return mixed(step, told, write);
    case 'thin':
      return thinned(step, told, write);
    case 'pour':
      return step.id.role === 'thread' ? threaded(step, told, write) : poured(step, told, write);
    case 'press':
      return pressed(step, write);
    case 'strew':
      return strewn(step, write);
    case 'additive':
      return added(step, told);
    case 'line':
      return clearLine(step, write);
    case 'white':
      return whiteLaid(step, write);
    case 'rest':
      return rested(step);
    case 'flick':
      return flicked(step, write);
    case 'heat':
      return heated(step, write);
    case 'dress':
      return dressed(step);
    case 'sides':
      return sidesCoated();
    case 'cover':
      return covered(step, told);
    case 'peel':
      return peeled();
    case 'tint over':
      return tintedOver(step, told);
    case 'push':
      return pushedBack(step);
    case 'tilt':
      return tilted(step, write);
    case 'stir':
      return stirred(step, told);
  }
}

/** Whether what is asked for at the bench was told already. */
const isTwice = ({ id }: ToldStep, told: Told): boolean => {
  const { again: _, ...first } = id;
  return told.steps.some((s) => stepKey(s.id) === stepKey(first));
};

/** Which boards a step is for, where there is more than one of a kind, or another piece in the same session. */
function boardWords({ boards, id }: ToldStep, told: Told): string | undefined {
  const pieces = new Set(told.coats.map((c) => c.piece));
  const [first] = boards;
  if (!first || id.does === 'mix' || id.does === 'thin') return undefined;
  if (pieces.size > 1) return boards.map((b) => (b.count > 1 ? `${b.name}, each of ${b.count}` : b.name)).join('; ');
  return first.count > 1 && id.does !== 'cover' && id.does !== 'dress' ? `On each of the ${first.count} boards.` : undefined;
}

/**
 * What a told step says: its sentence, its amounts by cup, its button and its short name, in the studio's units. The same
 * words wherever it is shown.
 */
export function say(step: ToldStep, told: Told, write: Writes): Words {
  const { detail, amounts = [], ...said } = saidOf(step, told, write);
  const which = boardWords(step, told);
  // a thing that is done once more is named so, here and in the log
  const more = step.id.again !== undefined && isTwice(step, told);
  return {
    ...said,
    ...(more && { short: `${said.short}, once more`, done: `${said.done}, once more` }),
    detail: [
      ...(more ? ['Once more.'] : []),
      ...(which ? [which.endsWith('.') ? which : `${which}.`] : []),
      ...detail.filter((d): d is string => typeof d === 'string'),
    ].join(' '),
    amounts: [...step.uses.flatMap((use) => amountOf(use, step, told, write)), ...amounts],
  };
}
