import { sayMoment, type Zone } from '#core/air';
import { and, freeIn, sayDue, sayMinutes, sayPieces, saySession, withoutPlan, type Calendar, type Session } from '#core/calendar';
import type { Piece } from '#core/document';
import type { Finding } from './finding';

/** Rules over the plan of the days: what is missed, what is tight, and what cannot be begun. */

const [MINUTE, HOUR, DAY] = [60_000, 3_600_000, 86_400_000];
/** A film that is dry so shortly before guests come may as well not be, ms. */
const SHORTLY = 1.5 * HOUR;

/** What a pour of the next days wants and the shelf has not. */
export interface Short {
  pieceId: string;
  says: string;
}

/** What rules over the days are told. */
export interface Days {
  calendar: Calendar;
  pieces: readonly Pick<Piece, 'id' | 'name'>[];
  zone: Zone;
  short: readonly Short[];
  /** The room the studio works in, by its name. */
  room: string;
}

/** A finding, and the pieces it is about. */
export interface DayFinding extends Omit<Finding, 'where'> {
  pieceIds: string[];
}

export type DayRule = (days: Days) => DayFinding[];

const pours = ({ sessions }: Calendar): Session[] => sessions.filter((s) => s.kind === 'pour');

/** The window a scuffed pour missed: open from when until when. */
function missed({ lanes }: Calendar, { pieceIds, from }: Session): { from: number; until: number } | undefined {
  const lane = lanes.find((l) => l.pieceId === pieceIds[0]);
  return lane?.stretches.findLast((s) => s.doing === 'recoat' && s.until <= from);
}

/** Minutes that the artist is there within a stretch. */
const thereIn = (calendar: Calendar, from: number, until: number): number =>
  freeIn(calendar).reduce((sum, h) => sum + Math.max(0, Math.min(h.until, until) - Math.max(h.from, from)), 0) / MINUTE;

/** A coat whose window opens and closes while the artist is away. */
export const coatWhileAway: DayRule = ({ calendar, pieces, zone }) =>
  pours(calendar).flatMap((pour): DayFinding[] => {
    const open = pour.scuff ? missed(calendar, pour) : undefined;
    if (
      !open ||
      open.until <= calendar.now ||
      thereIn(calendar, Math.max(open.from, calendar.now), open.until) >= (pour.until - pour.begins) / MINUTE
    )
      return [];
    return [
      {
        code: 'coat-while-away',
        severity: 'warn',
        pieceIds: pour.pieceIds,
        says: `${sayPieces(pour.pieceIds, pieces)} is open for its next coat from ${sayMoment(open.from, zone)} to ${sayMoment(open.until, zone)}, and you are away.`,
        why: `A coat laid later does not bond by itself; a scuff of ${sayMinutes(pour.scuff)} is put in before it.`,
        fix: 'Give an hour in that time under Your hours, or begin the coat below it at another time of the day.',
      },
    ];
  });

/** A coat that comes after its window for another reason: other work, or a window that is past. */
export const bondMissed: DayRule = (days) => {
  const away = new Set(coatWhileAway(days).flatMap((f) => f.pieceIds));
  return pours(days.calendar).flatMap((pour): DayFinding[] =>
    pour.scuff && !pour.pieceIds.some((id) => away.has(id))
      ? [
          {
            code: 'bond-missed',
            severity: 'note',
            pieceIds: pour.pieceIds,
            says: `${sayPieces(pour.pieceIds, days.pieces)} is scuffed before “${saySession(pour)}”, ${sayMinutes(pour.scuff)} from ${sayMoment(pour.from, days.zone)}.`,
            why: 'It comes after the film below has ceased to bond by itself.',
            fix: 'Move it sooner on the calendar where you would rather not scuff.',
          },
        ]
      : [],
  );
};

/** A film that is tacky, or only just not, when no resin may be out. */
export const tackOutlasts: DayRule = ({ calendar, pieces, zone }) =>
  calendar.lanes.flatMap(({ pieceId, stretches }) =>
    stretches
      .filter((s) => s.doing === 'tacky' && s.until > calendar.now)
      .flatMap((s): DayFinding[] => {
        const out = calendar.noResin.find((n) => n.from < s.until && n.until > s.from);
        const soon = calendar.noResin.find((n) => n.from >= s.until && n.from - s.until < SHORTLY);
        const name = sayPieces([pieceId], pieces);
        if (out)
          return [
            {
              code: 'tack-outlasts',
              severity: 'warn',
              pieceIds: [pieceId],
              says: `${name} is tacky until ${sayMoment(s.until, zone)}, and “${out.what}” begins ${sayMoment(out.from, zone)}.`,
              why: 'What is not set gives off most, and dust, hands and paws find it.',
              fix: 'Carry it level into another room before, warm it so that it sets sooner, or let them know. Its safety sheet says who must not be near.',
            },
          ];
        return soon
          ? [
              {
                code: 'tack-tight',
                severity: 'note',
                pieceIds: [pieceId],
                says: `${name} is dry to the touch at ${sayMoment(s.until, zone)}, shortly before “${soon.what}”.`,
                why: 'On a night that is a degree colder it is later than that.',
                fix: 'Begin it earlier, or have another room ready.',
              },
            ]
          : [];
      }),
  );

/** Pieces that find no slot at all, by what stands in their way. */
export const notPlanned: DayRule = ({ calendar, room }) =>
  withoutPlan(calendar.lanes, room).map(({ pieceIds, names, says }) => ({
    code: 'not-planned',
    severity: 'stop',
    pieceIds,
    says: `${and(names)} cannot be planned.`,
    why: 'Nothing of what is left to do has a day.',
    fix: says,
  }));

/** A promise that is kept by less than a day, or not at all. */
export const promiseTight: DayRule = ({ calendar, pieces, zone }) =>
  calendar.lanes.flatMap(({ promise }): DayFinding[] => {
    if (promise?.ready === undefined) return [];
    const name = sayPieces([promise.pieceId], pieces);
    const day = sayDue(promise, calendar.now, zone);
    if (!promise.kept)
      return [
        {
          code: 'promise-broken',
          severity: 'stop',
          pieceIds: [promise.pieceId],
          says: `${name} is promised for ${day} and is ready on ${sayMoment(promise.ready, zone)}.`,
          why: 'Its coats, and the hardening after the last, do not fit before.',
          fix: 'The calendar says what would have to give; or tell whoever waits for it today.',
        },
      ];
    return promise.due - promise.ready < DAY
      ? [
          {
            code: 'promise-tight',
            severity: 'warn',
            pieceIds: [promise.pieceId],
            says: `${name} is promised for ${day} with ${sayMinutes((promise.due - promise.ready) / MINUTE)} to spare.`,
            why: 'A cold night or an evening that falls through is more than that.',
            fix: 'Begin it first, or keep the room warm until it is hard.',
          },
        ]
      : [];
  });

/** A piece that cannot be begun for want of something on the shelf. */
export const waitsOnShelf: DayRule = ({ calendar, pieces, short, zone }) =>
  short.flatMap(({ pieceId, says }): DayFinding[] => {
    const pour = pours(calendar).find((s) => s.pieceIds.includes(pieceId));
    if (!pour) return [];
    return [
      {
        code: 'waits-on-shelf',
        severity: 'warn',
        pieceIds: [pieceId],
        says: `${sayPieces([pieceId], pieces)} is poured ${sayMoment(pour.begins, zone)}, and the shelf is short of ${says}.`,
        why: 'A tint that runs out in mid-pour cannot be matched wet.',
        fix: 'Buy it before that day, or move the pour.',
      },
    ];
  });

const rules: DayRule[] = [notPlanned, promiseTight, coatWhileAway, tackOutlasts, waitsOnShelf, bondMissed];
const order = ['stop', 'warn', 'note'];

/** What every rule over the days finds, the most severe first. */
export const adviseDays = (days: Days): DayFinding[] =>
  rules.flatMap((rule) => rule(days)).sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity));
