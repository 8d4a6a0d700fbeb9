import { PEAK_STOP, PEAK_WARN } from '#core/cure';
import type { Resin } from '#core/document';
import { isOver, RATIO_FLAG } from '#core/mix';
import { likelyOf, strainsOf, type Batch, type Strain, type WaitingCup } from '#core/plan';
import { howToNarrow } from '#core/pour';
import { plain, writeShare, writeSpan, type Writes } from '#core/units';
import type { Facts, Finding, Rule } from './finding';

/** Each batch of each pour, with the pour's number. */
const batches = ({ plan }: Facts): { pour: number; batch: Batch }[] =>
  plan.pours.flatMap(({ batches }, pour) => batches.map((batch) => ({ pour, batch })));

/** A by-volume ratio weighed in grams: named and sized where a scale is used. */
export const equalGrams: Rule = (facts) =>
  !facts.write.byScale
    ? []
    : batches(facts)
        .filter(({ batch }) => Math.abs(batch.weighedError) >= RATIO_FLAG)
        .map(({ pour, batch }) => {
          const { a, b } = batch.resin.ratio;
          const stated = `${plain(a, 2)} : ${plain(b, 2)}`;
          const slip = a === b ? 'equal weights' : `${stated} by weight`;
          const error = `${writeShare(Math.abs(batch.weighedError))} too ${batch.weighedError > 0 ? 'much' : 'little'} hardener`;
          return {
            code: 'equal-grams',
            severity: 'note',
            where: { pour },
            says: 'Weigh A and B each by its own figure, not alike.',
            why: `${batch.resin.name} is ${stated} by volume; ${slip} would put in ${error}.`,
            fix: `Put in ${facts.write.weight(batch.parts.aG)} of A and ${facts.write.weight(batch.parts.bG)} of B.`,
          };
        });

/** More colourant in a cup than the maker allows: the coat stays soft. */
export const loadOverLimit: Rule = ({ plan }) =>
  plan.pours.flatMap(({ batches }, pour) =>
    batches.flatMap(({ cups, resin }) =>
      cups
        .filter((cup) => isOver(cup.load, cup.limit))
        .map((cup) => ({
          code: 'load-over-limit',
          severity: 'stop' as const,
          where: { pour, coatId: cup.id.coat, cup: cup.key },
          says: `${cup.name} holds ${writeShare(cup.load)} colourant; ${resin.name} takes ${writeShare(cup.limit)}.`,
          why: 'Over the maker’s limit a coat stays soft.',
          fix: `Take its colourants down to ${writeShare(cup.limit)} together, or use a stronger one.`,
        })),
    ),
  );

/** More of one colourant than its own maker allows, though the resin would take it. */
export const colourantOverOwn: Rule = ({ plan }) =>
  plan.pours.flatMap(({ batches }, pour) =>
    batches.flatMap(({ cups }) =>
      cups.flatMap((cup) =>
        cup.doses.flatMap((dose): Finding[] => {
          const limit = plan.means.colourants.find((c) => c.id === dose.colourantId)?.limit;
          if (limit === undefined || !isOver(dose.load, limit) || isOver(cup.load, cup.limit)) return [];
          return [
            {
              code: 'colourant-over-own-limit',
              severity: 'warn',
              where: { pour, coatId: cup.id.coat, cup: cup.key },
              says: `${cup.name} holds ${writeShare(dose.load)} of ${dose.name}; its own maker allows ${writeShare(limit)}.`,
              why: 'The resin may take it and the colourant still bloom, sink or stay soft.',
              fix: `Take it down to ${writeShare(limit)}, or use a stronger one.`,
            },
          ];
        }),
      ),
    ),
  );

/** What waits in a cup, by weight or by the cup's marks. */
const amountIn = ({ grams, ml }: WaitingCup, write: Writes): string => write.measure(grams, ml, 0);

/** A dose this many times off is another colour. */
const OFF = 1.2;

/** A count or a weight that makes a tint much stronger or weaker than it was meant, and the ways out. */
export const doseOff: Rule = ({ plan }) =>
  plan.pours.flatMap(({ batches }, pour) =>
    batches.flatMap(({ cups }) =>
      cups.flatMap((cup) =>
        cup.doses.flatMap((dose): Finding[] => {
          const wanted = cup.made.tint?.recipe.find((p) => p.colourantId === dose.colourantId)?.load ?? 0;
          const colourant = plan.means.colourants.find((c) => c.id === dose.colourantId);
          const step = plan.means.scaleStep ?? 0.1;
          const resinG = cup.parts.aG + cup.parts.bG;
          const thinned = (dose.letDown ?? 0) + 1;
          // what is weighed comes out in steps of the scale
          const made =
            dose.count === undefined && resinG > 0
              ? (Math.max(1, Math.round((dose.grams * thinned) / step)) * step) / thinned / resinG
              : dose.load;
          if (wanted <= 0 || made <= 0 || !colourant) return [];
          const times = Math.max(made / wanted, wanted / made);
          if (times <= OFF + 1e-9) return [];
          const stronger = made > wanted;
          const smallest = dose.count === 1 || (dose.count === undefined && stronger);
          const whole = plan.means.method.fewDrops === 'whole drops';
          const unit =
            dose.count === undefined ? 'The least this scale shows' : `${dose.count === 1 ? 'One drop' : `${plain(dose.count, 0)} drops`}`;
          return [
            {
              code: 'dose-off',
              severity: 'warn',
              where: { pour, coatId: cup.id.coat, cup: cup.key },
              says: `${unit} of ${dose.name} ${dose.count !== undefined && dose.count > 1 ? 'make' : 'makes'} ${cup.name} ${plain(times, 1)} times too ${stronger ? 'strong' : 'weak'}.`,
              why: smallest ? 'The cup is too small for what is counted or weighed into it.' : 'Whole drops come no nearer.',
              fix: whole
                ? 'Thin the colourant first (too few drops to count, in Settings), fill a larger cup, or take a weaker one.'
                : 'Fill a larger cup, or take a weaker colourant.',
            },
          ];
        }),
      ),
    ),
  );

const SOONER = 'Empty it sooner: fewer cups in this pour, a second pair of hands, or a wider vessel.';

/** What a strain comes to, for the hand. */
export function strainFinding(strain: Strain, pour: number, resin: Resin, write: Writes): Finding {
  if (strain.kind === 'outlasts')
    return {
      code: 'batch-outlasts',
      severity: 'stop',
      where: { pour },
      says: `This batch takes ${plain(strain.needed, 0)} min of work; ${resin.name} can be worked for ${plain(strain.working, 0)} min here.`,
      why: 'The last cups would be laid as the resin sets.',
      fix: 'Put the later coats in a batch of their own, lay the wave sooner, or take the slower resin.',
    };
  const { cup, emptied } = strain;
  const { key } = cup;
  const course = cup.left();
  const held = `${amountIn(cup, write)} in ${cup.name}`;
  const where = { pour, ...(key && { cup: key }) };
  if (strain.kind === 'runs away')
    return {
      code: 'cup-too-big',
      severity: 'stop',
      where,
      says: `${held} begins to heat by itself, faster and faster, after ${plain(course.runawayMin, 0)} min; your plan empties it at ${plain(emptied, 0)} min.`,
      why: `It would reach ${write.temperature(course.peakC, 0)}, smoke and set in the cup.`,
      fix: SOONER,
    };
  return {
    code: 'cup-too-big',
    severity: 'warn',
    where,
    says: `${held} warms itself and is past working after ${plain(cup.workingMin, 0)} min; your plan empties it at ${plain(emptied, 0)} min.`,
    why: 'The mass in a cup heats itself; the same resin in a film stays cool.',
    fix: SOONER,
  };
}

const strained = ({ plan, write }: Facts): Finding[] =>
  plan.pours.flatMap(({ batches, steps }, pour) =>
    batches.flatMap((batch, i) => strainsOf(batch, i, steps, plan.means).map((strain) => strainFinding(strain, pour, batch.resin, write))),
  );

/** A mixing cup that is emptied in time, and what it would do if it were left. */
const leftStanding = ({ plan, write }: Facts): Finding[] =>
  plan.pours.flatMap(({ batches, steps }, pour) =>
    batches.flatMap((batch, i) => {
      const heats = new Set(strainsOf(batch, i, steps, plan.means).flatMap((s) => (s.kind === 'outlasts' ? [] : [s.cup])));
      return batch.waiting.flatMap((cup): Finding[] => {
        const { key, name } = cup;
        if (key || heats.has(cup)) return [];
        const course = cup.left();
        if (course.peakC < PEAK_WARN) return [];
        const runs = course.runawayMin < Infinity ? `, heating faster and faster from ${plain(course.runawayMin, 0)} min on` : '';
        return [
          {
            code: 'cup-left-standing',
            severity: 'note',
            where: { pour },
            says: `Left standing, ${amountIn(cup, write)} in ${name} would reach ${write.temperature(course.peakC, 0)}${runs}.`,
            why:
              course.peakC >= PEAK_STOP
                ? `At ${write.temperature(PEAK_STOP, 0)} it smokes and can boil.`
                : `From ${write.temperature(PEAK_WARN, 0)} it is too hot to hold and sets in minutes.`,
            fix: 'Fill the cups as soon as it is stirred. A hot cup goes outside onto stone.',
          },
        ];
      });
    }),
  );

/** A cup that warms itself past its working age before the plan has emptied it, and one that would if left. */
export const cupTooBig: Rule = (facts) => [...strained(facts).filter((f) => f.code === 'cup-too-big'), ...leftStanding(facts)];

/** Work with a batch that goes on past its working time. */
export const batchOutlasts: Rule = (facts) => strained(facts).filter((f) => f.code === 'batch-outlasts');

/** What strains a batch only if what is guessed is off: noted, where nothing strains it as it is planned. */
export const nearLimits: Rule = ({ plan }) =>
  plan.pours.flatMap(({ batches, steps }, pour) =>
    batches.flatMap((batch, i): Finding[] => {
      const likely = likelyOf(batch, plan.means).heatUntil;
      if (!likely || strainsOf(batch, i, steps, plan.means).length) return [];
      const [edge] = strainsOf(batch, i, steps, plan.means, 0, likely.from / likely.middle);
      if (!edge) return [];
      return [
        {
          code: 'near-limit',
          severity: 'note',
          where: { pour },
          says:
            edge.kind === 'outlasts'
              ? `This batch takes ${plain(edge.needed, 0)} min of work, and ${batch.resin.name} may be past working after ${plain(edge.working, 0)} min.`
              : `What stands in ${edge.cup.name} may be past working before it is emptied, at ${plain(edge.emptied, 0)} min.`,
          why: `It is planned to hold for ${plain(likely.middle, 0)} min; four times in five it is ${writeSpan(likely.from, likely.until)}.`,
          fix: likely.most ? howToNarrow(likely.most, 'heatUntil').measure : SOONER,
        },
      ];
    }),
  );

/** A batch that was split, and why. */
export const batchSplit: Rule = ({ plan, write }) =>
  plan.pours.flatMap(({ batches }, pour) =>
    batches.flatMap(({ because, resin }, i): Finding[] => {
      if (!because || batches.findIndex((b) => b.resin.id === resin.id && b.because) !== i) return [];
      const count = batches.filter((b) => b.resin.id === resin.id).length;
      return [
        {
          code: 'batch-split',
          severity: 'note',
          where: { pour },
          says: `${resin.name} is mixed in ${count} batches.`,
          why: writeStrain(because, write),
          fix: 'Mix each when its first cup is to be laid. A second pair of hands, or a slower resin, makes do with one; one can be asked for in Settings.',
        },
      ];
    }),
  );

/** A mixing that holds as one because of how it is mixed: what to do, and what it would do else. */
export const mixedWithCare: Rule = ({ plan, write }) =>
  plan.pours.flatMap(({ batches }, pour) =>
    batches.flatMap(({ care, resin, grams, ml }): Finding[] => {
      if (!care) return [];
      const bottles = care.cooler ? `with the bottles ${write.warmer(care.cooler)} cooler than the room` : '';
      const tub = care.wide ? 'in a wide tub, no deeper than two fingers' : '';
      return [
        {
          code: 'mixed-with-care',
          severity: 'note',
          where: { pour },
          says: `Mix ${write.measure(grams, ml, 0)} of ${resin.name} ${[tub, bottles].filter(Boolean).join(', ')}, and fill the cups as soon as it is stirred.`,
          why: 'In a deep cup so much of it would heat itself before it is divided. So it stays one mixing.',
          fix: care.wide ? 'A tray or a paint tub will do.' : 'Half an hour on a cool floor will do; wipe the bottles dry.',
        },
      ];
    }),
  );

/** More mixings in one session than the studio is ready for. */
export const tooManyMixings: Rule = ({ plan }) =>
  plan.pours.flatMap(({ batches, steps }, pour): Finding[] => {
    const most = plan.means.method.mostMixings;
    const strained = batches.some((batch, i) => strainsOf(batch, i, steps, plan.means).length > 0);
    if (most === undefined || batches.length < most || !strained) return [];
    return [
      {
        code: 'too-many-mixings',
        severity: 'note',
        where: { pour },
        says: `More than ${plain(most, 0)} mixings in this session would make it safer.`,
        why: 'So many are the most you asked for; each needs its own stirring and its own clock.',
        fix: 'Lay some of it on another day, ask for more mixings in Settings, or take a slower resin.',
      },
    ];
  });

/** What one mixing would do, in a sentence. */
export function writeStrain(strain: Strain, write: Writes): string {
  if (strain.kind === 'outlasts')
    return `One mixing would take ${plain(strain.needed, 0)} min of work, and can be worked for ${plain(strain.working, 0)} min here.`;
  const { name, workingMin } = strain.cup;
  const held = amountIn(strain.cup, write);
  const course = strain.cup.left();
  const runs = course.runawayMin < Infinity ? `, heating faster and faster from ${plain(course.runawayMin, 0)} min on` : '';
  return strain.kind === 'runs away'
    ? `In one mixing, ${held} in ${name} left standing would reach ${write.temperature(course.peakC, 0)}${runs}; it is emptied at ${plain(strain.emptied, 0)} min${course.runawayMin > strain.emptied ? ', too near to that' : ''}.`
    : `In one mixing, ${held} in ${name} would be past working at ${plain(workingMin, 0)} min, and is emptied at ${plain(strain.emptied, 0)} min.`;
}
