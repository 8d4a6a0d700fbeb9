import type { ToldStep } from '#core/document';
import type { Words } from '#core/pour';

/** What may be said aloud at a moment: the step at hand, what its clock shows, what goes another way. */
export interface Sayable {
  step: string;
  turn: string;
  replan: string;
}

/**
 * What is new since it was looked at last, and whether it calls for the ear: a step is only read out, a turn of the clock and
 * a plan that goes another way are called.
 */
export function newlySaid(now: Sayable, before: Sayable): { text: string; caption: string; calls: boolean } {
  const replanned = now.replan !== '' && now.replan !== before.replan;
  // the first reading of a clock is no turn of it
  const turned = now.turn !== '' && before.turn !== '' && now.turn !== before.turn;
  const stepped = now.step !== '' && now.step !== before.step;
  const beside = [...(replanned ? [now.replan] : []), ...(turned ? [`${now.turn}.`] : [])].join(' ');
  return {
    text: [beside, ...(stepped ? [now.step] : [])].filter(Boolean).join(' '),
    // what a step says stands large on the screen already
    caption: beside,
    calls: replanned || turned,
  };
}

/** A step as it is read out: whose board, where there are several pieces, what to do, and how much. */
export const stepSaid = ({ boards }: ToldStep, { says, amounts }: Words, several: boolean): string =>
  [
    ...(several && boards.length ? [`${boards.map((b) => b.name).join(' and ')}.`] : []),
    says,
    amounts.map((a) => `${a.name} ${a.amount}`).join(', '),
  ].join(' ');
