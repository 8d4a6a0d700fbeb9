import { PEAK_STOP, PEAK_WARN, rate } from '#core/cure';
import { RATIO_FLAG } from '#core/mix';
import type { Method } from '#core/document';
import type { Batch, Standing, Step } from '#core/plan';
import { fixed, plain, writeShare } from '#core/units';
import type { Finding, Rule } from './finding';

/** Each batch of each pour, with the pour's number. */
const batches = (facts: Parameters<Rule>[0]): { pour: number; batch: Batch; index: number }[] =>
  facts.plan.pours.flatMap(({ batches }, pour) => batches.map((batch, index) => ({ pour, batch, index })));

/** A by-volume ratio weighed in grams: named and sized where a scale is used. */
export const equalGrams: Rule = (facts) =>
  facts.measure !== 'scale'
    ? []
    : batches(facts)
        .filter(({ batch }) => Math.abs(batch.weighedError) >= RATIO_FLAG)
        .map(({ pour, batch }) => {
          const { a, b } = batch.resin.ratio;
          const stated = `${plain(a, 2)} : ${plain(b, 2)}`;
          const slip = a === b ? 'equal grams' : `${stated} in grams`;
          const error = `${writeShare(Math.abs(batch.weighedError))} too ${batch.weighedError > 0 ? 'much' : 'little'} hardener`;
          return {
            code: 'equal-grams',
            severity: 'warn',
            where: { pour },
            says: 'Weigh by the two gram columns.',
            why: `${batch.resin.name} is ${stated} by volume; ${slip} would put in ${error}.`,
            fix: `Put in ${fixed(batch.parts.aG, 1)} g of A and ${fixed(batch.parts.bG, 1)} g of B.`,
          };
        });

/** More colourant in a cup than the maker allows: the coat stays soft. */
export const loadOverLimit: Rule = ({ plan }) =>
  plan.pours.flatMap(({ batches }, pour) =>
    batches.flatMap(({ cups, resin }) =>
      cups
        .filter((cup) => cup.load > cup.limit)
        .map((cup) => ({
          code: 'load-over-limit',
          severity: 'stop' as const,
          where: { pour, coatId: cup.coatId, cup: cup.key },
          says: `${cup.name} holds ${writeShare(cup.load)} colourant; ${resin.name} takes ${writeShare(cup.limit)}.`,
          why: 'Over the maker’s limit a coat stays soft.',
          fix: `Take its colourants down to ${writeShare(cup.limit)} together, or use a stronger one.`,
        })),
    ),
  );

/** When the plan empties a standing cup: its own step, or for a mixing cup that fills others the end of colouring. */
function emptiedAt({ key }: Standing, { resin, cups }: Batch, steps: Step[], method: Method): number {
  const own = key ?? (cups.length === 1 ? cups[0]!.key : undefined);
  const step = steps.find((s) => (s.kind === 'pour' && s.cup.key === own) || (s.kind === 'white' && s.cups.some((c) => c.key === own)));
  return step ? step.at - step.mixedAt : resin.stirMin + method.colourMinPerCup * cups.length;
}

function standingFinding(standing: Standing, emptied: number, pour: number): Finding[] {
  const { course, workingMin, name } = standing;
  const grams = `${plain(standing.grams, 0)} g in ${name}`;
  const fix = 'Mix it in two batches, or pour it out sooner.';
  const base = { where: { pour, ...(standing.key && { cup: standing.key }) } };
  if (course.runawayMin <= emptied)
    return [
      {
        ...base,
        code: 'cup-too-big',
        severity: 'stop',
        says: `${grams} begins to run away after ${plain(course.runawayMin, 0)} min; your plan empties it at ${plain(emptied, 0)} min.`,
        why: `It would reach ${plain(course.peakC, 0)} °C, smoke and set in the cup.`,
        fix,
      },
    ];
  if (workingMin <= emptied)
    return [
      {
        ...base,
        code: 'cup-too-big',
        severity: 'warn',
        says: `${grams} warms itself and is past working after ${plain(workingMin, 0)} min; your plan empties it at ${plain(emptied, 0)} min.`,
        why: 'The mass in a cup heats itself; the same resin in a film stays cool.',
        fix,
      },
    ];
  if (standing.key || course.peakC < PEAK_WARN) return [];
  return [
    {
      ...base,
      code: 'cup-left-standing',
      severity: 'note',
      says: `Left standing, ${grams} would reach ${plain(course.peakC, 0)} °C${course.runawayMin < Infinity ? `, running away from ${plain(course.runawayMin, 0)} min` : ''}.`,
      why: course.peakC >= PEAK_STOP ? 'At 90 °C it smokes and can boil.' : 'From 60 °C it is too hot to hold and sets in minutes.',
      fix: 'Fill the cups as soon as it is stirred. A hot cup goes outside onto stone.',
    },
  ];
}

/** A cup that warms itself past its working age before the plan has emptied it, and one that would if left. */
export const cupTooBig: Rule = (facts) =>
  batches(facts).flatMap(({ pour, batch }) =>
    batch.standing.flatMap((s) => standingFinding(s, emptiedAt(s, batch, facts.plan.pours[pour]!.steps, facts.plan.means.method), pour)),
  );

/** Work with a batch that goes on past its working time. */
export const batchOutlasts: Rule = (facts) =>
  batches(facts).flatMap(({ pour, batch, index }): Finding[] => {
    const { plan } = facts;
    const steps = plan.pours[pour]!.steps.filter((s) => s.batch === index && s.kind !== 'done');
    const last = steps.at(-1);
    if (!last) return [];
    const needed = last.at - last.mixedAt;
    const working = batch.resin.workingMin / rate(plan.means.roomC, batch.resin.refC, plan.means.method.activationEa);
    if (needed <= working) return [];
    return [
      {
        code: 'batch-outlasts',
        severity: 'stop',
        where: { pour },
        says: `This batch takes ${plain(needed, 0)} min of work; ${batch.resin.name} can be worked for ${plain(working, 0)} min here.`,
        why: 'The last cups would be laid as the resin sets.',
        fix: 'Put the later coats in a batch of their own, lay the wave sooner, or take the slower resin.',
      },
    ];
  });
