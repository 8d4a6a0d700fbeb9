import type { Zone } from '#core/air';
import { Alone, lastMoments, type Costs, type Slack, type Stop } from '#core/schedule';
import type { Planned } from './calendar';
import { and, sayMinutes, sayPieces, saySession, sayWhen } from './said';

/** Why something is where it is and how long it can wait, in sentences; the moments for who draws them. */
export interface Because {
  id: string;
  notSooner: string;
  canWait: string;
  /** Last moment it may begin without costing more, ms since 1970. */
  until: number;
}

/** What waiting, or hurrying, would cost. */
function sayCosts({ lateness, scuff, set, damp }: Costs): string {
  return and([
    ...(scuff ? [`it must be scuffed, ${sayMinutes(scuff)} more`] : []),
    ...(set ? [`drips or tape have set before you can see to them, ${sayMinutes(set)} more`] : []),
    ...(lateness ? [`the promise is ${sayMinutes(lateness)} later`] : []),
    ...(damp ? [`a film lies ${sayMinutes(damp)} in damp air`] : []),
  ]);
}

/** Names what has the hands: the piece it is of. */
function owner(planned: Planned, id: string): string {
  const { asked, made } = planned;
  const about = made.made.flatMap((m) => [...m.about, ...m.along.values()]).find((a) => a.id === id);
  return about ? sayPieces(about.pieceIds, asked.pieces) : 'another piece';
}

function sayStop(stop: Stop, planned: Planned, at: number, zone: Zone): string {
  const when = (minute: number): string => sayWhen(planned.moment(minute), at, zone);
  switch (stop.kind) {
    case 'now':
      return 'it begins as soon as it can, now';
    case 'pinned':
      return 'you hold it there';
    case 'film':
      return `the film below opens at ${when(stop.minute)}`;
    case 'dry':
      return `what was done before dries until ${when(stop.minute)}`;
    case 'not before':
      return `what lies on it is ready at ${when(stop.minute)}`;
    case 'hands':
      return `${owner(planned, stop.of)} has your hands until ${when(stop.minute)}`;
    case 'away':
      return `you are away until ${when(stop.minute)}`;
    case 'place':
      return 'no place is free for it until then';
    case 'out':
      return 'it would be tacky when no resin may be out';
    case 'dew':
      return 'it would lie wet in air that spoils it';
    case 'costs':
      return `it could begin sooner, and then ${sayCosts(stop.what)}`;
    case 'same':
      return 'it could begin sooner, and nothing would be gained';
  }
}

function sayWait(slack: Slack, from: number, planned: Planned, zone: Zone): string {
  const until = planned.moment(slack.until);
  const waits = (until - from) / 60_000;
  const then = slack.then ? sayCosts(slack.then) : 'it finds no slot any more';
  if (waits < 15) return `Not at all: later ${then}.`;
  // a piece without a date can wait for as long as the plan reaches
  if (!slack.then && waits > 60 * 1440) return 'As long as you like: nothing waits for it.';
  return `${sayMinutes(waits)}, until ${sayWhen(until, from, zone)}. After that ${then}.`;
}

/** Why an operation is where it is; undefined for what follows another by itself. @param id of the operation */
export function becauseOf(planned: Planned, id: string): Because | undefined {
  const { made, plan, zone } = planned;
  for (const [n, { about, job }] of made.made.entries()) {
    const k = about.findIndex((a) => a.id === id);
    const step = plan.jobs[n]?.[k];
    if (k < 0 || !step) continue;
    const alone = new Alone(made.problem, plan, n);
    const extra = step.late ? (job.operations[k]!.late ?? 0) : 0;
    const from = planned.moment(step.start * made.problem.slot + extra);
    const stops = alone.stops(k).reverse();
    const slack = alone.slack(k);
    return {
      id,
      notSooner: `${and(stops.map((stop) => sayStop(stop, planned, from, zone)))}.`,
      canWait: sayWait(slack, from, planned, zone),
      until: planned.moment(slack.until),
    };
  }
  return undefined;
}

/** The last moment by which each operation of a piece must begin for it to end by another, ms since 1970. */
export function beginBy(planned: Planned, pieceId: string, due: number): { id: string; says: string; at?: number }[] {
  const { made, plan } = planned;
  const n = made.made.findIndex((m) => m.standings.some((s) => s.piece.id === pieceId));
  if (n < 0 || !plan.jobs[n]!.length) return [];
  const last = lastMoments(made.problem, plan, n, (due - made.start) / 60_000);
  return made.made[n]!.about.map((about, k) => ({
    id: about.id,
    says: saySession(about),
    ...(last[k]! >= 0 && { at: planned.moment(last[k]!) }),
  }));
}
