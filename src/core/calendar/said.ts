import { sayDay, sayMoment, type Zone } from '#core/air';
import type { Piece } from '#core/document';
import type { WorkKey } from '#core/prepare';
import type { Calendar, Obstacle, Promise, Session } from './calendar';
import { pieceOf } from './making';
import type { Odd } from './problem';

/** What the calendar says, in words. */

const MINUTE = 60_000;

/** Minutes as a hand reads them: "25 min", "3 h 35 min", "2 days". */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  if (whole >= 2 * 1440) return `${Math.floor(whole / 1440)} days`;
  const [h, min] = [Math.floor(whole / 60), whole % 60];
  return min ? `${h} h ${min} min` : `${h} h`;
}

/** A moment as it is told today: "17:00", or with its day. @param from what it is told from, ms since 1970 */
export const sayWhen = (ms: number, from: number, zone: Zone): string =>
  zone.dayOf(ms) === zone.dayOf(from) ? zone.civil(ms).slice(11) : sayMoment(ms, zone).replace(/ [A-Z][a-z]{2} (?=\d\d:)/, ' ');

const short: Partial<Record<WorkKey, string>> = {
  'take up': 'scuff what lies',
  double: 'double the board',
  brace: 'brace it',
  paint: 'paint it',
  seal: 'seal it',
  texture: 'lay the texture',
  foil: 'lay the foil',
  'feel the wall': 'feel the wall',
  'glue dressings': 'glue on what is set',
  clean: 'clean it',
  'guard the back': 'mask the back',
  gesso: 'gesso',
  'set up': 'set it up level',
  hang: 'fit the hanger',
  'set out the dial': 'set out the dial',
};
const says = (key: WorkKey): string => short[key] ?? key;
export const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** One thing of a preparation; a primer that is laid in coats says which. */
function sayWork(work: string, key: WorkKey | undefined): string {
  const coat = /-(\d+)$/.exec(work)?.[1];
  return key ? `${says(key)}${coat ? ` coat ${coat}` : ''}` : work;
}

/** The first sentence of several, without its full stop. */
const firstOf = (text: string): string => lower(text.split('. ')[0]!.replace(/\.$/, ''));
const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** What a session is, in a few words: "Sand, sea and wave", "Sand, gesso", "Look at it, wipe drips". */
export function saySession({
  kind,
  works,
  coats = [],
  keys = [],
  does = [],
}: Pick<Session, 'kind' | 'works' | 'coats' | 'keys' | 'does'>): string {
  switch (kind) {
    case 'pour':
      return `Pour ${coats.map((name) => name.charAt(0).toLowerCase() + name.slice(1)).join(', ')}`;
    case 'prepare':
      return upper([...new Set(works.map((work, i) => sayWork(work, keys[i] ?? keys[0])))].join(', '));
    case 'brush':
      return 'Brush on what comes between';
    case 'repair':
      return does.length ? `Put right: ${does.map(firstOf).join(' ')}` : 'Put right what went wrong';
    case 'degrease':
      return 'Degrease, scuff and seal over the silicone';
    case 'check':
      return 'Look at its level, wipe drips';
    case 'pull tape':
      return 'Pull the tape while it is soft';
    case 'finish':
      return `Finish: ${keys.map(says).join(', ')}`;
    case 'deliver':
      return 'Hand it over';
  }
}

/** Parts of a sentence: "a, b and c". */
export const and = (parts: readonly string[]): string =>
  parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** Names of pieces as they stand in a sentence. */
export const sayPieces = (pieceIds: readonly string[], pieces: readonly Pick<Piece, 'id' | 'name'>[]): string =>
  and(pieceIds.flatMap((id) => pieces.find((p) => p.id === id)?.name ?? []));

/** How a promise stands: "4 days to spare", "3 h to spare", "1 day late". */
export function sayPromise({ due, ready, kept }: Pick<Promise, 'due' | 'ready' | 'kept'>): string {
  if (ready === undefined) return 'cannot be planned';
  const minutes = Math.abs(due - ready) / MINUTE;
  const days = Math.round(minutes / 1440);
  const long = minutes >= 1440 ? `${days} ${days === 1 ? 'day' : 'days'}` : sayMinutes(Math.max(60, 60 * Math.floor(minutes / 60)));
  return kept ? `${long} to spare` : `${minutes < 1440 ? (minutes < 60 ? 'less than 1 h' : long) : long} late`;
}

/** Why a piece has no plan, in a sentence with what would help. */
export function sayObstacle({ kind, of, needs = 0, most = 0 }: Obstacle, room: string): string {
  const what = of ? saySession(of) : 'It';
  switch (kind) {
    case 'place':
      return `No place in ${room} takes its boards side by side. Clear a larger one, and say so under Room.`;
    case 'hands':
      return most
        ? `“${what}” takes ${sayMinutes(needs)} in one go, and your longest stretch in 90 days is ${sayMinutes(most)}. Give it a longer one under Your hours.`
        : 'You have no hours in the next 90 days. Give some under Your hours.';
    case 'cold':
      return `${room} is too cold: its film does not get that far within 90 days. Warm the room, or take a resin for the cold.`;
    case 'guests':
      return `“${what}” finds no stretch in which it is tacky and resin may be out. Shorten one of those times under Your hours.`;
    case 'dew':
      return `“${what}” finds no stretch dry enough until it can be handled. Heat ${room} or dry its air.`;
    case 'full':
      return `“${what}” finds no slot in 90 days beside all else. Give it more hours, or leave another piece out for now.`;
    case 'drawing':
      return 'Its drawing or one of its resins does not let it be planned. Open the piece to see which.';
  }
}

/** What is not as the diary would have it, in a sentence. */
export function sayOdd(odd: Odd, pieces: readonly Pick<Piece, 'id' | 'name'>[], zone: Zone): string {
  switch (odd.kind) {
    case 'apart':
      return `${sayPieces(odd.pieceIds, pieces)} cannot be poured together as they stand: not all have as many pours left. Each is planned by itself.`;
    case 'pin past':
      return `${sayPieces([pieceOf(odd.operation)], pieces)} was held at ${sayMoment(odd.at, zone)}, and that is past. It is planned anew; hold it somewhere else, or let it go.`;
    case 'no plan':
      return `${sayPieces([odd.pieceId], pieces)} cannot be planned as it is drawn, or names a resin that is gone.`;
  }
}

/** Pieces that have no plan, by what stands in their way. @param room that the studio works in, by its name */
export function withoutPlan(lanes: Calendar['lanes'], room: string): { pieceIds: string[]; names: string[]; says: string }[] {
  const by = new Map<string, { pieceIds: string[]; names: string[] }>();
  for (const { pieceId, name, obstacle } of lanes) {
    if (!obstacle) continue;
    const says = sayObstacle(obstacle, room);
    const same = by.get(says);
    if (same) {
      same.pieceIds.push(pieceId);
      same.names.push(name);
    } else by.set(says, { pieceIds: [pieceId], names: [name] });
  }
  return [...by].map(([says, of]) => ({ ...of, says }));
}

/** All that stands in the way of a plan, each in a sentence with what would help. @param room that the studio works in, by its name */
export const inTheWay = (
  { lanes, odd, unpinned }: Calendar,
  pieces: readonly Pick<Piece, 'id' | 'name'>[],
  room: string,
  zone: Zone,
): string[] => [
  ...withoutPlan(lanes, room).map(({ names, says }) => `${and(names)}: ${says}`),
  ...odd.map((o) => sayOdd(o, pieces, zone)),
  ...unpinned.map(
    (id) =>
      `${sayPieces([pieceOf(id)], pieces)} cannot be held where you pinned it: what is before it is not done by then, or something else you hold wants your hands. It is planned anew.`,
  ),
];

/** A day, as "12 Dec". */
export const sayShortDay = (ms: number, zone: Zone): string => sayDay(ms, zone).replace(/^\w+ /, '');

/** The day something is promised for, as "12 Dec"; with its year where that is not this one. @param now ms since 1970 */
export function sayDue({ on, due }: Pick<Promise, 'on' | 'due'>, now: number, zone: Zone): string {
  const year = on.slice(0, 4);
  const day = sayShortDay(due - 3_600_000, zone);
  return year === zone.dayOf(now).slice(0, 4) ? day : `${day} ${year}`;
}
