import { heatPass } from '#core/craft';
import { filmCourse } from '#core/cure';
import { isLine } from '#core/document';
import { mixedDensity } from '#core/mix';
import { heatAgeOf, likelyOf, planPiece, strainsOf, workable, type Batch, type Means, type PourPlan } from '#core/plan';
import { plain, writeDuration } from '#core/units';
import type { Finding, Rule } from './finding';
import { writeLikely } from './air';

/** Rules about heat: what a film makes by itself, what the bottles bring along, what a tool puts in. */

/** Most film of one pour for a resin whose maker gives none, mm: warned of, and stopped. */
const FILM = { warn: 5, stop: 8 };

/** A film so thick that it heats itself. */
export const filmHeats: Rule = ({ plan, write }) =>
  plan.pours.flatMap(({ film, batches, coats }, pour): Finding[] => {
    const resins = batches.map((b) => b.resin);
    const resin = resins.find((r) => coats.some((c) => c.coat.resinId === r.id && !isLine(c.coat)));
    if (!resin) return [];
    const { mostFilm } = resin;
    const [warn, stop] = [mostFilm ?? FILM.warn, mostFilm ?? FILM.stop];
    if (film <= warn) return [];
    const { peakC } = filmCourse(film, mixedDensity(resin), plan.means.air, resin.gelMin, resin.refC, plan.means.method.activationEa);
    return [
      {
        code: 'film-heats',
        severity: film > stop ? 'stop' : 'warn',
        where: { pour },
        says: `${write.fine(film)} in one pour is more than ${mostFilm === undefined ? 'is usual for a coating resin' : `${resin.name} is made for`}, ${write.fine(film > stop ? stop : warn)}.`,
        why: `So thick a film heats itself, to about ${write.temperature(peakC, 0)}: it yellows, pulls and can crack.`,
        fix: 'Lay it in two pours, or take a casting resin. If its maker allows more, say so under Shelf.',
      },
    ];
  });

/** Mixings of a pour, and what still strains them or has to be done so that nothing does. */
const troubles = ({ batches, steps }: PourPlan, means: Means): number =>
  batches.length + batches.reduce((sum, batch, i) => sum + strainsOf(batch, i, steps, means).length + (batch.care ? 1 : 0), 0);

/** Bottles so warm that a mixing strains, or is divided, which would not be out of bottles as warm as the room. */
export const bottlesTooWarm: Rule = ({ plan, write }) => {
  const { means } = plan;
  const { bottlesC, ...method } = means.method;
  if (bottlesC === undefined || bottlesC <= means.air(0)) return [];
  const cool = planPiece(plan.piece, { ...means, method });
  return plan.pours.flatMap((laid, pour): Finding[] => {
    const fullest = laid.batches.reduce<Batch | undefined>((most, b) => (!most || b.grams > most.grams ? b : most), undefined);
    if (!fullest || troubles(laid, means) <= troubles(cool.pours[pour]!, cool.means)) return [];
    return [
      {
        code: 'bottles-too-warm',
        severity: 'warn',
        where: { pour },
        says: `Bottles at ${write.temperature(bottlesC)} are too warm for ${write.measure(fullest.grams, fullest.ml, 0)} of ${fullest.resin.name}.`,
        why: 'Warm resin is thinner and has fewer bubbles, and sets much sooner: so much of it heats itself before it is laid.',
        fix: 'Let the bottles cool to the room, or mix less at once.',
      },
    ];
  });
};

/** Minutes a batch's film can be worked when so many passes of heat have gone over it. */
export const workableAfter = (batch: Batch, passes: number, means: Parameters<typeof workable>[1]): number => {
  const whole = workable(batch, means);
  const lost = (passes * heatAgeOf(batch, means)) / batch.resin.workingMin;
  return Math.max(0, whole * (1 - lost));
};

/** Passes of heat that age a film past working before the last of them. */
export const heatEatsTime: Rule = ({ plan, write }) =>
  plan.pours.flatMap(({ batches, steps }, pour): Finding[] =>
    batches.flatMap((batch, i): Finding[] => {
      const passes = steps.filter((s) => s.id.does === 'heat' && s.batch === i);
      const last = passes.at(-1);
      // boards are heated by turns: one film feels the passes of its own
      const own = passes.filter((s) => s.id.piece === last?.id.piece && s.id.coat === last?.id.coat).length;
      const likely = likelyOf(batch, plan.means).heatUntil;
      if (!last || !likely) return [];
      const at = last.at - last.mixedAt;
      const before = workableAfter(batch, own - 1, plan.means);
      const edge = before * (likely.from / likely.middle);
      const warn = at > before && at <= batch.windows.heatUntil;
      const note = !warn && at > edge && at <= batch.windows.heatUntil;
      if (!warn && !note) return [];
      const { seconds, celsius } = heatPass(plan.means.method);
      return [
        {
          code: 'heat-eats-time',
          severity: warn ? 'warn' : 'note',
          where: { pour, ...(last.id.coat !== undefined && { coatId: last.id.coat }) },
          says: `${own} passes of heat ${warn ? 'leave' : 'may leave'} the film workable for ${writeDuration(before)}; the last is planned at ${plain(at, 0)} min.`,
          why: `${plain(seconds, 0)} s at ${write.temperature(celsius, 0)} age a place by ${plain(heatAgeOf(batch, plan.means), 1)} min. Without heat it could be worked ${writeLikely(likely)}.`,
          fix: 'Lay the wave sooner, make fewer passes, or move on faster.',
        },
      ];
    }),
  );
