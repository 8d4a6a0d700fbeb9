import { DAMP, dewPoint, humidityAt, sayMoment } from '#core/air';
import { ordinaryDoubts } from '#core/craft';
import { FOUR_OF_FIVE, rate, type Likely } from '#core/cure';
import type { Resin } from '#core/document';
import { plain, writeDuration, writeSpan } from '#core/units';
import type { Facts, Finding, Rule, Severity } from './finding';

/** Rules about the air a piece is poured in and cures in. What the middle of a guess says is warned of; what only its edge says is noted. */

const HOUR = 3_600_000;

/** How far off the air at the bench may be, K. */
const doubtOf = ({ plan }: Facts): number => FOUR_OF_FIVE * (plan.means.doubts ?? ordinaryDoubts).temperature;

/** Resins of the pours that are still to come, each once. */
const resinsOf = ({ plan, around }: Facts): Resin[] => {
  const left = plan.pours.slice(around?.next ?? 0).flatMap(({ batches }) => batches.map((b) => b.resin));
  return left.filter((resin, i) => left.findIndex((r) => r.id === resin.id) === i);
};

/** Whether something is so in the middle, only at the edge, or not at all. */
const severityOf = (middle: boolean, edge: boolean): Severity | undefined => (middle ? 'warn' : edge ? 'note' : undefined);

/** What a range of a figure says: "35 min, 28–42 min". */
export const writeLikely = ({ middle, from, until }: Likely): string => `${writeDuration(middle)}, ${writeSpan(from, until)}`;

/** A bench colder than a resin hardens at. */
export const coldRoom: Rule = (facts) => {
  const { plan, write } = facts;
  const celsius = plan.means.air(0);
  return resinsOf(facts).flatMap((resin): Finding[] => {
    const severity = severityOf(celsius < resin.lowestC, celsius - doubtOf(facts) < resin.lowestC);
    if (!severity) return [];
    return [
      {
        code: 'cold-room',
        severity,
        where: {},
        says: `${write.temperature(celsius)} at the bench is ${celsius < resin.lowestC ? 'colder than' : 'near'} the ${write.temperature(resin.lowestC)} that ${resin.name} hardens from.`,
        why: 'Colder, it gets tacky and takes the next coat, and never quite hard.',
        fix: 'Heat the room before you mix, and keep it warm for two days after.',
      },
    ];
  });
};

/** A room that stays too cold for full hardness, and nights in which hardening rests. */
export const neverFinishes: Rule = (facts) => {
  const { plan, around, write } = facts;
  if (!around || around.next === undefined) return [];
  const { airs, room, at } = around;
  const { activationEa } = plan.means.method;
  return resinsOf(facts).flatMap((resin): Finding[] => {
    const age = resin.fullCureH * 60;
    const hard = airs.line(room, resin.refC, activationEa, resin.lowestC).momentOf(age, at);
    const plainly = airs.line(room, resin.refC, activationEa).momentOf(age, at);
    const where = {};
    if (hard === Infinity)
      return [
        {
          code: 'never-finishes',
          severity: 'stop',
          where,
          says: `In ${room.name} ${resin.name} never gets fully hard.`,
          why: `It hardens from ${write.temperature(resin.lowestC)} up, and this room stays colder.`,
          fix: 'Give it two warm days before it is used: bring it into a warm room, or turn the heating up and say so under Room.',
        },
      ];
    if (hard - plainly < HOUR) return [];
    return [
      {
        code: 'cold-nights',
        severity: 'note',
        where,
        says: `${resin.name} gets its full hardness by ${sayMoment(hard, airs.zone)}, not by ${sayMoment(plainly, airs.zone)}.`,
        why: `It hardens from ${write.temperature(resin.lowestC)} up, and the nights in ${room.name} are colder.`,
        fix: 'Keep the room warm at night, or give the piece two warm days before it is used.',
      },
    ];
  });
};

/** Air so warm that it takes a third off the working time of the data sheet. */
const HOT = 1.5;

export const hotRoom: Rule = (facts) => {
  const { plan, write } = facts;
  const celsius = plan.means.air(0);
  const { activationEa } = plan.means.method;
  return resinsOf(facts).flatMap((resin): Finding[] => {
    const fast = (c: number): number => rate(c, resin.refC, activationEa);
    const severity = severityOf(fast(celsius) > HOT, fast(celsius + doubtOf(facts)) > HOT);
    if (!severity) return [];
    return [
      {
        code: 'hot-room',
        severity,
        where: {},
        says: `${write.temperature(celsius)} at the bench is warm: ${resin.name} can be worked ${plain(100 / fast(celsius), 0)} % as long as its data sheet says.`,
        why: 'White is past its window sooner, and full cups heat themselves.',
        fix: 'Pour in the cool of the morning, cool the bottles, mix less at once, or take the slower resin.',
      },
    ];
  });
};

/** The dampest hour that a film meets while it may still haze, with what its air is then. */
function dampest({ plan, around }: Facts, off: number): { at: number; celsius: number; humidity: number } | undefined {
  if (!around || around.next === undefined) return undefined;
  const { airs, room, at } = around;
  const climate = airs.of(room);
  const slowest = resinsOf({ plan, around } as Facts).sort((a, b) => b.handleH - a.handleH)[0];
  if (!slowest) return undefined;
  const dry = airs.line(room, slowest.refC, plan.means.method.activationEa).momentOf(slowest.handleH * 60, at);
  let worst: { at: number; celsius: number; humidity: number } | undefined;
  for (let ms = at; ms <= Math.min(dry, at + 7 * 24 * HOUR); ms += HOUR) {
    const [humidity, celsius] = [climate.humidity(ms), climate.at(ms)];
    if (humidity === undefined) return undefined;
    const there = humidityAt(humidity, celsius, celsius - off);
    if (!worst || there > worst.humidity) worst = { at: ms, celsius: celsius - off, humidity: there };
  }
  return worst;
}

const isDamp = ({ celsius, humidity }: { celsius: number; humidity: number }): boolean =>
  humidity > DAMP.warn || celsius - dewPoint(celsius, humidity) < DAMP.near;

/** A night damp enough to haze a film that is not dry. */
export const dampNight: Rule = (facts) => {
  const [middle, edge] = [dampest(facts, 0), dampest(facts, doubtOf(facts))];
  if (!middle || !edge || !facts.around) return [];
  const severity = middle.humidity > DAMP.stop ? 'stop' : severityOf(isDamp(middle), isDamp(edge));
  if (!severity) return [];
  const { at, celsius, humidity } = severity === 'note' ? edge : middle;
  const { write } = facts;
  return [
    {
      code: 'damp-night',
      severity,
      where: {},
      says: `By ${sayMoment(at, facts.around.airs.zone)} the air ${severity === 'note' ? 'may be' : 'is'} at ${plain(100 * humidity, 0)} % and ${write.temperature(celsius)}; dew forms at ${write.temperature(dewPoint(celsius, humidity))}.`,
      why: 'On a film that is still tacky, damp makes a haze and a sticky skin.',
      fix: 'Heat the room through the night or dry its air, keep the cover on, or pour when it is drier.',
    },
  ];
};
