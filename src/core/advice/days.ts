import { sayDay, sayMoment } from '#core/air';
import { dryingOf } from '#core/craft';
import { plain, writeHours } from '#core/units';
import type { Around, Facts, Finding, Rule } from './finding';

/** Rules about days: what is promised, what must be dry before. */

const HOUR = 3_600_000;

/** When a piece can be fully hard at the soonest: what is still to be poured, one after the other as each film opens, then the last to full cure. */
function soonestHard({ plan }: Facts, { airs, room, at, next, fullCure }: Around): number | undefined {
  if (next === undefined) return fullCure;
  const { activationEa } = plan.means.method;
  let begins = at;
  const left = plan.pours.slice(next).filter((p) => p.batches.length);
  for (const [i, { batches }] of left.entries()) {
    const slowest = batches.map((b) => b.resin).sort((a, b) => b.recoatFromH - a.recoatFromH)[0]!;
    const last = i === left.length - 1;
    const line = airs.line(room, slowest.refC, activationEa, last ? slowest.lowestC : -Infinity);
    begins = line.momentOf(60 * (last ? slowest.fullCureH : slowest.recoatFromH), begins);
  }
  return left.length ? begins : undefined;
}

/** A piece promised for a day on which it is not hard yet. */
export const dueBeforeHard: Rule = (facts) => {
  const { plan, around } = facts;
  const { dueOn, use } = plan.piece;
  const hard = around && soonestHard(facts, around);
  if (!dueOn || !around || hard === undefined) return [];
  const { zone } = around.airs;
  const due = zone.dayStart(zone.momentOf(`${dueOn}T12:00`), 1);
  if (hard <= due) return [];
  const mugs = use === 'hot mugs';
  return [
    {
      code: 'due-before-hard',
      severity: mugs || hard === Infinity ? 'stop' : 'warn',
      where: {},
      says:
        hard === Infinity
          ? `It is promised for ${sayDay(due - HOUR, zone)}, and never gets fully hard in ${around.room.name}.`
          : `It is promised for ${sayDay(due - HOUR, zone)}, and fully hard by ${sayMoment(hard, zone)} at the soonest.`,
      why: mugs
        ? 'A hot mug on a film that is not fully hard sinks in and stays.'
        : 'Wrapped or stood on before it is fully hard, a film takes the print of whatever touches it.',
      fix: 'Promise a later day, warm the room, take a quicker resin, or do with fewer pours.',
    },
  ];
};

/** How much of a relief of paste dries in a day, mm. */
const DRIES = 1.5;

/** A relief that is not dry when its first coat comes. */
export const reliefNotDry: Rule = ({ plan, around, write }) => {
  const { relief } = plan.piece.surface;
  if (!relief || !plan.coats.length || plan.piece.coats.some((c) => c.lies)) return [];
  const hours = dryingOf(plan.means.method).relief;
  const wants = (24 * relief.height) / DRIES;
  const found: Finding[] = [];
  const why = 'Resin over paste that is still damp inside clouds, and draws bubbles for hours.';
  if (hours < wants)
    found.push({
      code: 'relief-not-dry',
      severity: 'warn',
      where: {},
      says: `A relief of ${write.fine(relief.height)} wants about ${writeHours(Math.ceil(wants))} to dry; your preparation gives it ${writeHours(hours)}.`,
      why,
      fix: 'Build it up in thin layers, or give it more time under Settings, Preparation.',
    });
  const left = around?.next === 0 ? (around.at - around.now) / HOUR : undefined;
  if (plan.piece.pourAt && left !== undefined && left > 0 && left < Math.max(hours, wants))
    found.push({
      code: 'relief-not-dry',
      severity: 'note',
      where: { pour: 0 },
      says: `The first pour is in ${plain(left, 0)} h, and the relief wants ${writeHours(Math.ceil(Math.max(hours, wants)))}.`,
      why,
      fix: 'If it is not on yet, put the pour off; press a nail into it before you pour.',
    });
  return found;
};

/** A board no place of the room takes. */
export const noPlace: Rule = ({ plan, around, write }) => {
  const places = around?.room.places ?? [];
  if (!places.length || around?.next === undefined) return [];
  const [long, short] = [Math.max(plan.bounds.width, plan.bounds.height), Math.min(plan.bounds.width, plan.bounds.height)];
  const fits = places.filter((p) => Math.max(p.length, p.width) >= long && Math.min(p.length, p.width) >= short);
  if (!fits.length)
    return [
      {
        code: 'no-place',
        severity: 'note',
        where: {},
        says: `No place in ${around.room.name} takes a board of ${write.length(long)} × ${write.length(short)}.`,
        why: 'It lies level and untouched for a day or more.',
        fix: 'Clear a larger one, and say so under Room.',
      },
    ];
  if (fits.some((p) => p.covered)) return [];
  return [
    {
      code: 'place-uncovered',
      severity: 'note',
      where: {},
      says: `${fits[0]!.name} takes this board and has no cover.`,
      why: 'Dust and hairs settle in a film for hours.',
      fix: 'Have a box or a sheet on a frame ready before you mix.',
    },
  ];
};
