import { byTheHour, type AirAt, type Zone } from '#core/air';
import { limits } from '#core/document';
import { plain } from '#core/units';
import { readCsv, writeCsv } from './csv';

/** What a logger's file holds, and what of it was left out. */
export interface AirFile {
  /** By the hour where there were more, in order of time. */
  readings: AirAt[];
  /** Lines that held a reading. */
  lines: number;
  unit: '°C' | '°F';
  /** Why lines were left out, with the first of them; empty where none was. */
  skipped: string[];
  /** Stretches of more than six hours in which nothing was read, ms since 1970. */
  gaps: { from: number; until: number }[];
}
export type AirReadingFile = { ok: true; file: AirFile } | { ok: false; says: string };

const [HOUR, GAP] = [3_600_000, 6 * 3_600_000];
/** More than this is no logger's file, lines. */
const MOST = 1_000_000;
/** Hotter and a reading is far more likely in °F than an oven. */
const FAHRENHEIT = 45;

/** A number with a point or a comma before its decimals, and whatever unit behind it. */
function numberIn(cell: string): number | undefined {
  const [, sign = '', whole, part = ''] = /^([-−+]?)\s*(\d+)(?:[.,](\d+))?\s*(?:°\s*[cf]|[cf]|%|%\s*rh)?$/i.exec(cell.trim()) ?? [];
  return whole === undefined ? undefined : (sign === '-' || sign === '−' ? -1 : 1) * Number(`${whole}.${part || 0}`);
}

/** A day and a time as loggers write them, in their parts; undefined where a cell holds neither. */
interface Shown {
  numbers: [number, number, number];
  yearFirst: boolean;
  time: string;
  /** Minutes ahead of UTC, where it says. */
  offset?: number;
}

const STAMP =
  /^(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})(?:[T ,]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*([ap]\.?m\.?)?)?\s*(z|utc|[+-]\d{2}:?\d{2})?$/i;

function shownIn(cell: string): Shown | undefined {
  const found = STAMP.exec(cell.trim());
  if (!found) return undefined;
  const [, a, b, c, h = '0', m = '00', s = '00', half, zone] = found;
  let hour = Number(h);
  if (half) hour = (hour % 12) + (/^p/i.test(half) ? 12 : 0);
  if (hour > 23 || Number(m) > 59 || Number(s) > 59) return undefined;
  const offset = zone === undefined ? undefined : /^(z|utc)$/i.test(zone) ? 0 : offsetIn(zone);
  return {
    numbers: [Number(a), Number(b), Number(c)],
    yearFirst: a!.length === 4,
    time: `${String(hour).padStart(2, '0')}:${m}:${s}`,
    ...(offset !== undefined && { offset }),
  };
}
const offsetIn = (text: string): number => {
  const [, sign, h, m] = /^([+-])(\d{2}):?(\d{2})$/.exec(text)!;
  return (sign === '-' ? -1 : 1) * (60 * Number(h) + Number(m));
};

/** The day a stamp names, "2026-11-25"; undefined where there is none. */
function dayOf({ numbers: [a, b, c], yearFirst }: Shown, monthFirst: boolean): string | undefined {
  const [year, month, day] = yearFirst ? [a, b, c] : monthFirst ? [c, a, b] : [c, b, a];
  const full = year < 100 ? 2000 + year : year;
  const text = `${full}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
  const date = new Date(`${text}T00:00Z`);
  return Number.isNaN(date.getTime()) || date.toISOString().slice(0, 10) !== text || full < 1970 || full > 2199 ? undefined : text;
}

/** Which column holds what. */
interface Columns {
  stamp: number;
  time?: number;
  celsius: number;
  humidity?: number;
}

function columnsOf(heads: string[], first: string[]): Columns | string {
  const find = (pattern: RegExp): number => heads.findIndex((head) => pattern.test(head));
  let stamp = find(/date|datum|time ?stamp|^time$|^zeit|^at$|moment/);
  if (stamp < 0 || !shownIn(first[stamp] ?? '')) stamp = first.findIndex((cell) => shownIn(cell) !== undefined);
  if (stamp < 0) return 'No column holds a day and a time. Write them as 2026-11-25 14:30 or 25.11.2026 14:30.';
  const time = first.findIndex((cell, i) => i !== stamp && /^\d{1,2}:\d{2}(:\d{2})?\s*([ap]\.?m\.?)?$/i.test(cell.trim()));
  let celsius = find(/temp|°\s*[cf]|celsius|fahrenheit|^t$|^[cf]$/);
  if (celsius < 0 || celsius === stamp) celsius = first.findIndex((cell, i) => i !== stamp && i !== time && numberIn(cell) !== undefined);
  if (celsius < 0) return 'No column holds a temperature. Name it “temperature”, with °C or °F.';
  const humidity = heads.findIndex((head, i) => i !== celsius && /humid|rh|feuchte|%/.test(head));
  return { stamp, celsius, ...(time >= 0 && { time }), ...(humidity >= 0 && { humidity }) };
}

/**
 * Reads a logger's CSV: any of commas, semicolons and tabs between, a point or a comma before decimals, °C or °F, times with
 * or without their distance from UTC. Times without are local: of an hour that clocks go through twice the readings come
 * first before and then after the change, in the order of the file.
 * @param monthFirst how a day as 04/05/2026 is meant where no line shows it
 */
export function readAirCsv(text: string, zone: Zone, monthFirst = false): AirReadingFile {
  const { heads, rows } = readCsv(text);
  const headed = !heads.some((head) => shownIn(head) !== undefined);
  const lines = headed ? rows : [{ line: 1, cells: heads }, ...rows];
  if (!lines.length) return { ok: false, says: 'The file holds no readings.' };
  if (lines.length > MOST) return { ok: false, says: `The file has ${lines.length} lines; up to ${MOST} can be read. Cut it in two.` };
  const columns = columnsOf(headed ? heads : [], lines[0]!.cells);
  if (typeof columns === 'string') return { ok: false, says: columns };
  const stamps = lines.map(({ cells }) => {
    const own = cells[columns.stamp] ?? '';
    return shownIn(columns.time === undefined ? own : `${own} ${cells[columns.time] ?? ''}`);
  });
  const seen = stamps.filter((s) => s !== undefined && !s.yearFirst);
  const swapped = seen.some((s) => s!.numbers[0] > 12) ? false : seen.some((s) => s!.numbers[1] > 12) ? true : monthFirst;

  const values = lines.map(({ cells }) => numberIn(cells[columns.celsius] ?? ''));
  const head = headed ? (heads[columns.celsius] ?? '') : '';
  const cell = lines[0]!.cells[columns.celsius] ?? '';
  const known = values.filter((v) => v !== undefined).sort((a, b) => a - b);
  const inF =
    /°?\s*f\b|fahrenheit/i.test(`${head} ${cell}`) ||
    (!/°?\s*c\b|celsius/i.test(`${head} ${cell}`) && known[Math.floor(known.length / 2)]! > FAHRENHEIT);

  const left = new Map<string, { line: number; count: number }>();
  const leave = (why: string, line: number): void => {
    const own = left.get(why);
    if (own) own.count++;
    else left.set(why, { line, count: 1 });
  };
  const read: AirAt[] = [];
  let last = -Infinity;
  lines.forEach(({ line, cells }, i) => {
    const stamp = stamps[i];
    const day = stamp && dayOf(stamp, swapped);
    if (!stamp || !day) return leave('no day and time', line);
    const value = values[i];
    if (value === undefined) return leave('no temperature', line);
    const celsius = inF ? (value - 32) / 1.8 : value;
    if (celsius < limits.reading.min || celsius > limits.reading.max)
      return leave(`a temperature outside ${limits.reading.min} to ${limits.reading.max} °C`, line);
    let ms =
      stamp.offset === undefined ? zone.momentOf(`${day}T${stamp.time}`) : Date.parse(`${day}T${stamp.time}Z`) - stamp.offset * 60_000;
    // an hour that clocks go through twice: what comes again is after the change
    if (stamp.offset === undefined && ms <= last && zone.civil(ms + HOUR) === zone.civil(ms) && ms + HOUR > last) ms += HOUR;
    last = Math.max(last, ms);
    const humidity = columns.humidity === undefined ? undefined : numberIn(cells[columns.humidity] ?? '');
    const share = humidity === undefined ? undefined : humidity > 1.5 ? humidity / 100 : humidity;
    const damp = share !== undefined && share >= limits.humidity.min && share <= limits.humidity.max ? share : undefined;
    read.push({ ms, celsius, ...(damp !== undefined && { humidity: damp }) });
  });
  const says = [...left].map(([why, { line, count }]) =>
    count === 1 ? `Line ${line} holds ${why}.` : `${count} lines hold ${why}, the first is line ${line}.`,
  );
  if (!read.length) return { ok: false, says: `No line holds a reading. ${says.join(' ')}` };
  const readings = byTheHour(read);
  const gaps = readings.flatMap(({ ms }, i) => {
    const before = readings[i - 1]?.ms;
    return before !== undefined && ms - before > GAP ? [{ from: before, until: ms }] : [];
  });
  return { ok: true, file: { readings, lines: read.length, unit: inF ? '°F' : '°C', skipped: says, gaps } };
}

/** Readings as CSV, in UTC. */
export const writeAirCsv = (readings: readonly AirAt[]): string =>
  writeCsv(
    [
      { head: 'time', cell: ({ ms }) => new Date(ms).toISOString().slice(0, 19) + 'Z' },
      { head: 'temperature °C', cell: ({ celsius }) => plain(celsius, 2).replace('−', '-') },
      { head: 'humidity %', cell: ({ humidity }) => (humidity === undefined ? undefined : plain(100 * humidity, 1)) },
    ],
    [...readings],
  );
