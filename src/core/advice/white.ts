import type { Piece, ToldStep } from '#core/document';
import { howToNarrow } from '#core/pour';
import { likelyOf, strainsOf, type Batch, type Means, type Together } from '#core/plan';
import { isPast, plain, writeSpan, type Writes } from '#core/units';
import type { Finding, Rule } from './finding';
import { strainFinding } from './mixing';

/** A white inside its window as it is planned, and perhaps before or after it as it comes; said where its minute was asked for. */
function maybeOff(at: number, batch: Batch, means: Means, where: Finding['where'], called: string): Finding[] {
  const { whiteFrom, whiteUntil } = likelyOf(batch, means);
  const edge =
    whiteFrom && at < whiteFrom.until ? ('whiteFrom' as const) : whiteUntil && at > whiteUntil.from ? ('whiteUntil' as const) : undefined;
  const likely = edge && likelyOf(batch, means)[edge];
  if (!edge || !likely) return [];
  return [
    {
      code: 'white-near-edge',
      severity: 'note',
      where,
      says: `${called} at ${plain(at, 0)} min is in its window as planned, and may be ${edge === 'whiteFrom' ? 'early' : 'late'}.`,
      why: `It ${edge === 'whiteFrom' ? 'is ready' : 'gets too stiff'} at ${plain(likely.middle, 0)} min; four times in five at ${writeSpan(likely.from, likely.until)}.`,
      fix: likely.most ? howToNarrow(likely.most, edge).measure : 'Look at it before you lay it.',
    },
  ];
}

/** One white against the window of its batch. @param called what it is called where there are whites of several pieces */
function whiteFinding(
  steps: ToldStep[],
  step: ToldStep,
  batch: Batch,
  where: Finding['where'],
  { means, asked, called = 'White' }: { means: Means; asked: boolean; called?: string },
): Finding[] {
  const { white, stirred, heatUntil } = batch.windows;
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
  if (!isPast(at, white)) return asked ? maybeOff(at, batch, means, where, called) : [];
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

/** Whether a wave was given its minute by hand. */
const isAsked = ({ coats }: Piece, step: ToldStep): boolean =>
  coats.some((c) => c.id === step.id.coat && c.kind === 'wave' && c.layAt !== undefined);

/** White planned for a minute at which it is not ready, or no longer. */
export const whiteOffWindow: Rule = ({ plan }) =>
  plan.pours.flatMap(({ steps, batches }, pour) =>
    steps
      .filter((step) => step.id.does === 'white')
      .flatMap((step) =>
        whiteFinding(
          steps,
          step,
          batches[step.batch]!,
          { pour, ...(step.id.coat !== undefined && { coatId: step.id.coat }) },
          { means: plan.means, asked: isAsked(plan.piece, step) },
        ),
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
        {
          means,
          asked: Boolean(piece && isAsked(piece, step)),
          called: chosen.length > 1 && piece ? `The white of ${piece.name}` : 'White',
        },
      );
      return chosen.length > 1
        ? found.map((f) =>
            f.severity === 'warn' ? { ...f, fix: `${f.fix} Or pour ${piece?.name ?? 'this one'} in a session of its own.` } : f,
          )
        : found;
    }),
];
