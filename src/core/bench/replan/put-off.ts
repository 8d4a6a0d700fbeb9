import { stepKey, type StepRef } from '#core/document';
import type { Bench } from '../bench';
import { MINUTE, sinceMixed } from '../minutes';
import { planned, without, type Saying, type Way } from './way';

/** What is said of waves that are left for another day. */
export const leaveSays = (names: string[]): string =>
  names.length > 1
    ? `Leave the waves of ${names.join(' and ')} for another day: cover them, let them go tacky.`
    : `Leave the wave of ${names[0] ?? 'the board'} for another day: cover it, let it go tacky.`;

/**
 * A coat left for another day: it is taken out of this pour with what comes over it there, the film is covered and left to
 * go tacky, and it becomes a pour of its own, which the calendar then plans.
 */
export function putOff(bench: Bench, { piece, coat }: StepRef, said: Saying): Way {
  const { session, now } = bench;
  const { told, pour } = session;
  const own = pour.planned.pieces.find((p) => p.id === piece);
  const at = own?.coats.findIndex((c) => c.id === coat) ?? -1;
  // what lies over it in the same session goes with it, unless it was laid already
  const begun = new Set(told.steps.filter((s) => session.doneAt.has(stepKey(s.id)) && s.id.piece === piece).map((s) => s.id.coat));
  const gone = new Set((own?.coats ?? []).flatMap((c, i) => (c.id === coat || (i > at && at >= 0 && !begun.has(c.id)) ? [c.id] : [])));
  const name = own?.name ?? 'the board';
  const coats = told.coats.filter((c) => c.piece !== piece || !gone.has(c.coat));
  const rest = without(bench, (s) => s.id.piece === piece && s.id.coat !== undefined && gone.has(s.id.coat));
  // a mixing of which nothing is wanted any more is not made
  const wanted = new Set(rest.steps.filter((s) => s.id.does !== 'mix' && s.id.does !== 'thin').map((s) => s.batch));
  const steps = rest.steps.filter((s) => session.doneAt.has(stepKey(s.id)) || !['mix', 'thin'].includes(s.id.does) || wanted.has(s.batch));
  const laid = told.steps.findLast((s) => s.id.piece === piece && session.doneAt.has(stepKey(s.id)));
  const number = laid?.batch ?? 0;
  const windows = bench.clocks[number]?.windows;
  const since = sinceMixed(bench, number) ?? 0;
  const moment = (minute: number): string => said.time(now + (minute - since) * MINUTE);
  const open =
    windows && Number.isFinite(windows.nextCoat.until)
      ? `: from ${moment(windows.nextCoat.from)}, and without a scuff until ${moment(windows.nextCoat.until)}`
      : '';
  return planned(
    bench,
    { ...told, coats, steps },
    {
      does: leaveSays([name]),
      why: 'On a film that has set, a new clear and white stay where they are laid.',
      costs: [`One more session for ${name}${open}`],
    },
    said,
  );
}
