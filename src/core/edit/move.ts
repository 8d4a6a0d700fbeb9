import { daysWith, readingsOf } from '#core/air';
import type { AirDay, DiaryEntry, Photo, Pour, Stock, Studio } from '#core/document';

const [HOUR, DAY] = [3_600_000, 86_400_000];

/** An ISO moment or date moved by ms. */
const moved = (iso: string, by: number): string => new Date(Date.parse(iso) + by).toISOString().slice(0, iso.length === 10 ? 10 : 24);

const movedPour = (pour: Pour, by: number): Pour => ({
  ...pour,
  startedAt: moved(pour.startedAt, by),
  events: pour.events.map((event) => ({ ...event, at: moved(event.at, by) })),
});

/** Dates on a container are past or far off, so that they move by whole days. */
const movedStock = ({ since, opened, expires, corrections, ...rest }: Stock, by: number): Stock => ({
  ...rest,
  since: moved(since, by),
  ...(opened && { opened: moved(opened, by) }),
  ...(expires && { expires: moved(expires, by) }),
  ...(corrections && { corrections: corrections.map((c) => ({ ...c, at: moved(c.at, by) })) }),
});

/** Readings of the air move with what cured in it. */
const movedAir = (air: AirDay[], by: number): AirDay[] =>
  [...new Set(air.map((day) => day.roomId))].flatMap((room) =>
    daysWith(
      [],
      room,
      readingsOf(air, room).map((read) => ({ ...read, ms: read.ms + by })),
    ),
  );

/** What was done moves with what happened, all that is to come by whole days; the artist's week stays. */
function movedEntry(entry: DiaryEntry, past: number, planned: number): DiaryEntry {
  switch (entry.kind) {
    case 'did':
      return { ...entry, at: moved(entry.at, past) };
    case 'pin':
    case 'announced':
      return { ...entry, at: moved(entry.at, planned) };
    case 'busy':
    case 'no resin':
      return { ...entry, from: moved(entry.from, planned), until: moved(entry.until, planned) };
    case 'day':
      return { ...entry, on: moved(entry.on, planned) };
    default:
      return entry;
  }
}

const movedPhoto = ({ reading, ...photo }: Photo, by: number): Photo => ({
  ...photo,
  takenAt: moved(photo.takenAt, by),
  ...(reading && { reading: { ...reading, at: moved(reading.at, by) } }),
});

/**
 * A studio recorded at one moment as it would stand at another. What happened moves by whole hours, so that a film
 * that was tacky still is; what is planned moves by whole days, so that it keeps its hour.
 * @param recorded, now ms since 1970
 */
export function movedTo(studio: Studio, recorded: number, now: number): Studio {
  const past = Math.floor((now - recorded) / HOUR) * HOUR;
  const planned = Math.floor((now - recorded) / DAY) * DAY;
  return {
    ...studio,
    pieces: studio.pieces.map((piece) => ({
      ...piece,
      ...(piece.pourAt && { pourAt: moved(piece.pourAt, planned) }),
      ...(piece.dueOn && { dueOn: moved(piece.dueOn, planned) }),
      ...(piece.sold?.on && { sold: { ...piece.sold, on: moved(piece.sold.on, planned) } }),
    })),
    pours: studio.pours.map((pour) => movedPour(pour, past)),
    ...(studio.stock && { stock: studio.stock.map((stock) => movedStock(stock, planned)) }),
    ...(studio.air && { air: movedAir(studio.air, past) }),
    ...(studio.photos && { photos: studio.photos.map((photo) => movedPhoto(photo, past)) }),
    ...(studio.learned && { learned: studio.learned.map((l) => ({ ...l, at: moved(l.at, past) })) }),
    ...(studio.diary && { diary: studio.diary.map((entry) => movedEntry(entry, past, planned)) }),
  };
}
