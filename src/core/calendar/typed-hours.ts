import type { DaySpan } from '#core/document';

/** Hours of a day as they were typed, or what would be right. */
export type SpansRead = { ok: true; spans: DaySpan[] } | { ok: false; says: string };

const AS = 'Write them as 9–12, 17:30–22, or “away”.';
const two = (n: number): string => String(n).padStart(2, '0');

/** "17", "17:30", "5 pm" or "5:30pm" as a minute of the day; undefined where it is none. */
function minuteOf(text: string): number | undefined {
  const read = /^(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?$/i.exec(text.trim());
  if (!read) return undefined;
  const [, h = '', min = '0', half] = read;
  let hour = Number(h);
  if (half) {
    if (hour < 1 || hour > 12) return undefined;
    hour = (hour % 12) + (half.toLowerCase() === 'pm' ? 12 : 0);
  }
  const minute = 60 * hour + Number(min);
  return Number(min) < 60 && minute <= 1440 ? minute : undefined;
}

/** Reads hours of a day: "9–12, 14:30–18", "5pm to 10pm", or "away". */
export function readSpans(text: string): SpansRead {
  const typed = text.trim().toLowerCase();
  if (typed === '') return { ok: false, says: AS };
  if (['away', 'none', 'no', '-', '–'].includes(typed)) return { ok: true, spans: [] };
  const spans: DaySpan[] = [];
  for (const part of typed.split(/[,;]|\band\b/)) {
    const ends = part.split(/–|—|-|\bto\b|\buntil\b/).map(minuteOf);
    const [from, until] = ends;
    if (ends.length !== 2 || from === undefined || until === undefined) return { ok: false, says: AS };
    if (until <= from)
      return { ok: false, says: `They end after they begin: ${two(Math.floor(from / 60))}:${two(from % 60)} until later that day. ${AS}` };
    spans.push({ from, until });
  }
  spans.sort((a, b) => a.from - b.from);
  if (spans.some((s, i) => i > 0 && s.from < spans[i - 1]!.until)) return { ok: false, says: 'Two of them overlap. Write one for both.' };
  return spans.length > 6 ? { ok: false, says: 'Up to six in one day.' } : { ok: true, spans };
}

/** Reads one stretch of hours that may run on over midnight: "22–7", "13 to 15". */
export function readNight(text: string): { ok: true; span: DaySpan } | { ok: false; says: string } {
  const ends = text
    .trim()
    .toLowerCase()
    .split(/–|—|-|\bto\b|\buntil\b/)
    .map(minuteOf);
  const [from, until] = ends;
  return ends.length === 2 && from !== undefined && until !== undefined && from !== until
    ? { ok: true, span: { from, until } }
    : { ok: false, says: 'Write one stretch, as 22–7.' };
}

const writeMinute = (minute: number): string => (minute % 60 ? `${Math.floor(minute / 60)}:${two(minute % 60)}` : String(minute / 60));

/** Hours of a day as they are typed: "9–12, 17:30–22", or "away". */
export const writeSpans = (spans: readonly DaySpan[]): string =>
  spans.length ? spans.map(({ from, until }) => `${writeMinute(from)}–${writeMinute(until)}`).join(', ') : 'away';
