import type { ToldStep } from '#core/document';
import { strainsOf, type Batch, type Means, type Together } from '#core/plan';
import { isPast, plain, type Writes } from '#core/units';
import type { Finding, Rule } from './finding';
import { strainFinding } from './mixing';

/** One white against the window of its batch. @param called what it is called where there are whites of several pieces */
function whiteFinding(steps: ToldStep[], step: ToldStep, { windows }: Batch, where: Finding['where'], called = 'White'): Finding[] {
  const { white, stirred, heatUntil } = windows;
  if (!white) return [];
  const at = step.at - step.mixedAt;
  const found = (why: string, fix: string, says = `${called} is planned at ${plain(at, 0)} min; its window is ${open}.`): Finding[] => [
    { code: 'white-off-window', severity: 'warn', where, says, why, fix },
  ];
  const open = `${plain(white.from, 0)}–${plain(white.until, 0)} min`;
  // when what comes before it in this batch leaves the hands free
  const before = steps.slice(0, steps.indexOf(step)).findLast((s) => s.id.does !== 'line' && s.id.does !== 'additive');
  const free = (before?.at ?? 0) - step.mixedAt;
  if (white.until <= white.from)
    return found(
      `It is past working before it is stirred, ${plain(stirred, 0)} min.`,
      'Cool the room, or take a slower resin.',
      'This batch has no window for white here.',
    );
  if (at < white.from) return found('Fresh white blurs to a pale wash.', `Let it rest until ${plain(Math.ceil(white.from), 0)} min.`);
  if (!isPast(at, white)) return [];
  // thick resin can be laid at once, and many still wait, for edges that hold
  if (white.from <= stirred && at <= heatUntil)
    return found(
      'In thick resin a late white keeps a crisp edge, and opens less.',
      'Leave it so if that is what you want; stir it before it is laid.',
    ).map((f) => ({ ...f, code: 'white-laid-late', severity: 'note' }));
  return found(
    'By then it is too stiff to open under heat.',
    free <= white.until
      ? `Plan it by ${plain(Math.floor(white.until), 0)} min.`
      : 'The coats before it take too long: put them in a pour of their own, or lay fewer cups.',
  );
}

/** White planned for a minute at which it is not ready, or no longer. */
export const whiteOffWindow: Rule = ({ plan }) =>
  plan.pours.flatMap(({ steps, batches }, pour) =>
    steps
      .filter((step) => step.id.does === 'white')
      .flatMap((step) =>
        whiteFinding(steps, step, batches[step.batch]!, { pour, ...(step.id.coat !== undefined && { coatId: step.id.coat }) }),
      ),
  );

/** What is to be minded in a session of several pieces: a white the others hold up, and a mixing they strain. */
export const sessionAdvice = ({ chosen, steps, batches }: Together, means: Means, write: Writes): Finding[] => [
  ...batches.flatMap((batch, i) => strainsOf(batch, i, steps, means).map((strain) => strainFinding(strain, 0, batch.resin, write))),
  ...steps
    .filter((step) => step.id.does === 'white')
    .flatMap((step) => {
      const piece = chosen.find((c) => c.plan.piece.id === step.id.piece)?.plan.piece;
      const found = whiteFinding(
        steps,
        step,
        batches[step.batch]!,
        {},
        chosen.length > 1 && piece ? `The white of ${piece.name}` : 'White',
      );
      return chosen.length > 1
        ? found.map((f) =>
            f.severity === 'warn' ? { ...f, fix: `${f.fix} Or pour ${piece?.name ?? 'this one'} in a session of its own.` } : f,
          )
        : found;
    }),
];
