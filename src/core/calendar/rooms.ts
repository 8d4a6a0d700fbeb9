import { DAMP, dewPoint, type Climate, type Zone } from '#core/air';
import type { DiaryEntry, Room } from '#core/document';
import type { PlaceToLie, RoomOverTime } from '#core/schedule';
import { noResinIn, type Stretch } from './hours';

const MINUTE = 60_000;

/** Slots that a stretch of time touches are set. */
export function fillTouched(slots: Uint8Array, { from, until }: Stretch, start: number, slot: number, value: number): void {
  const at = (ms: number): number => (ms - start) / (slot * MINUTE);
  slots.fill(value, Math.max(0, Math.floor(at(from) + 1e-9)), Math.max(0, Math.ceil(at(until) - 1e-9)));
}

/** Slots that lie whole in a stretch of time are set. */
export function fillWhole(slots: Uint8Array, { from, until }: Stretch, start: number, slot: number, value: number): void {
  const at = (ms: number): number => (ms - start) / (slot * MINUTE);
  slots.fill(value, Math.max(0, Math.ceil(at(from) - 1e-9)), Math.max(0, Math.floor(at(until) + 1e-9)));
}

/** 0 where a film takes no harm of the air, 1 where it may haze, 2 where it does. Nothing is known where no humidity is. */
function dampAt(climate: Climate, ms: number): number {
  const humidity = climate.humidity(ms);
  if (humidity === undefined) return 0;
  const celsius = climate.at(ms);
  if (humidity > DAMP.stop) return 2;
  return humidity > DAMP.warn || celsius - dewPoint(celsius, humidity) < DAMP.near ? 1 : 0;
}

/** What a room allows over the days. */
export function roomOverTime(
  room: Room,
  climate: Climate,
  diary: readonly DiaryEntry[],
  zone: Zone,
  start: number,
  slot: number,
  slots: number,
): RoomOverTime {
  const out = new Uint8Array(slots);
  for (const span of noResinIn(diary, zone, room.id, start, start + slots * slot * MINUTE)) fillTouched(out, span, start, slot, 1);
  const damp = new Uint8Array(slots);
  // humidity moves slowly: it is looked at by the hour
  const hour = Math.round(60 / slot);
  for (let t = 0; t < slots; t += hour) damp.fill(dampAt(climate, start + (t + hour / 2) * slot * MINUTE), t, t + hour);
  return { out, damp };
}

/** Where boards lie: the places of the room, or anywhere in it where it names none. */
export const placesOf = ({ places = [] }: Room, room: number): PlaceToLie[] =>
  places.length ? places.map(({ length, width }) => ({ length, width, room })) : [{ length: Infinity, width: Infinity, room }];
