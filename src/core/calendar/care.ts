import type { Zone } from '#core/air';
import { edgeOf } from '#core/craft';
import { aged, type Airs } from '#core/cure';
import type { DiaryEntry, Piece } from '#core/document';
import { tapeOff } from '#core/prepare';
import type { PourSummary, Standing } from '#core/record';
import { agesOf } from './after-pour';
import { hoursOn, momentOn } from './hours';
import { didIn } from './work';

const HOUR = 3_600_000;

/** What is seen to once a board is poured. */
export type CareKind = 'drips' | 'evening' | 'tape' | 'morning' | 'next coat' | 'hard';

/** One thing to see to after a pour, of one or several boards; moments in ms since 1970. */
export interface Care {
  kind: CareKind;
  pieceIds: string[];
  pourId: string;
  /** Names the diary keeps it under; none of what is only waited for. */
  works: string[];
  from: number;
  /** Infinity where it may wait as long as it likes. */
  until: number;
}

/** A look that was not taken is asked for so long after its time, ms. */
const STILL = 4 * HOUR;
/** Before bed a board is looked at within the last hour of the day, and no sooner than an hour after its pour; in the morning within the first three. */
const [LAST, SOONEST, FIRST] = [HOUR, HOUR, 3 * HOUR];

/** The look before bed on the day a pour ended, and the one in the morning after. */
function looksAt(done: number, diary: readonly DiaryEntry[], zone: Zone): Record<'evening' | 'morning', { from: number; until: number }> {
  const day = zone.dayOf(done);
  const ends = Math.max(...hoursOn(diary, day).map((s) => momentOn(zone, day, s.until)), 0);
  const from = Math.max(done + SOONEST, ends - LAST);
  const next = zone.dayOf(zone.dayStart(done, 1));
  const begins = Math.min(...hoursOn(diary, next).map((s) => momentOn(zone, next, s.from)), momentOn(zone, next, 9 * 60));
  return { evening: { from, until: Math.max(ends, from + LAST) }, morning: { from: begins, until: begins + FIRST } };
}

const coatsIn = (piece: Piece, { of }: PourSummary) =>
  piece.coats.filter((c) => of.some((o) => o.pieceId === piece.id && o.coatIds.includes(c.id)));

/**
 * All there is to see to after a pour that has ended, in order of time: drips while they are wet, a look before bed and in
 * the morning, tape in its window, and when the next coat may come.
 * @param standings of its pieces
 */
export function afterPour(pour: PourSummary, standings: readonly Standing[], airs: Airs, diary: readonly DiaryEntry[], zone: Zone): Care[] {
  const own = standings.filter((s) => pour.of.some((o) => o.pieceId === s.piece.id));
  const { cures, done, mixed } = pour;
  if (!cures || done === undefined || !own.length) return [];
  const line = airs.line(cures.room, cures.resin.refC, cures.method.activationEa);
  const { gelMin } = aged(cures.resin, cures.method.activationEa);
  const ages = agesOf({ ...cures.resin, gelMin });
  const at = (age: number): number => line.momentOf(age, mixed);
  const of = (pieces: Standing[], work?: string): Pick<Care, 'pieceIds' | 'pourId' | 'works'> => ({
    pieceIds: pieces.map((s) => s.piece.id),
    pourId: pour.id,
    works: work ? pieces.map((s) => `${s.piece.id}/${work}-${pour.id}`) : [],
  });
  const { evening, morning } = looksAt(done, diary, zone);
  const dripping = own.filter((s) => coatsIn(s.piece, pour).some((c) => edgeOf(s.piece, c) === 'run over'));
  const taped = own.filter((s) => !s.next && coatsIn(s.piece, pour).some((c) => edgeOf(s.piece, c) === 'taped'));
  const soft = taped.filter((s) => tapeOff(s.piece) === 'while soft');
  const later = taped.filter((s) => tapeOff(s.piece) !== 'while soft');
  const open = own.filter((s) => s.next);
  const last = own.filter((s) => !s.next);
  const all: (Care | undefined)[] = [
    dripping.length
      ? { kind: 'drips', ...of(dripping, 'check'), from: Math.max(done, at(ages.check.from)), until: at(ages.check.until) }
      : undefined,
    { kind: 'evening', ...of(own, 'care-evening'), ...evening },
    { kind: 'morning', ...of(own, 'care-morning'), ...morning },
    soft.length ? { kind: 'tape', ...of(soft, 'tape'), from: at(ages.tape.from), until: at(ages.tape.until) } : undefined,
    later.length ? { kind: 'tape', ...of(later), from: at(60 * cures.resin.handleH), until: Infinity } : undefined,
    open.length
      ? { kind: 'next coat', ...of(open), from: at(60 * cures.resin.recoatFromH), until: at(60 * cures.resin.bondUntilH) }
      : undefined,
    last.length ? { kind: 'hard', ...of(last), from: at(60 * cures.resin.fullCureH), until: Infinity } : undefined,
  ];
  return all.filter((c): c is Care => c !== undefined).sort((a, b) => a.from - b.from);
}

/**
 * What is still to be seen to, of every pour that ended: looks, which the plan of the days does not carry since they take a
 * minute and no place, and drips and tape in their time. What was seen to, or is long past, is left out.
 */
export function careDue(standings: readonly Standing[], airs: Airs, diary: readonly DiaryEntry[], zone: Zone, now: number): Care[] {
  const did = didIn(diary);
  const pours = new Map(
    standings.flatMap((s) => {
      const last = s.pours.findLast((p) => p.done !== undefined);
      return last && !s.open && last.done! > now - 2 * 24 * HOUR ? [[last.id, last] as const] : [];
    }),
  );
  return [...pours.values()]
    .flatMap((pour) => afterPour(pour, standings, airs, diary, zone))
    .filter((c) => c.works.length > 0 && c.until + STILL > now && !c.works.every((w) => did.has(w)))
    .sort((a, b) => a.from - b.from);
}

/** What a thing to see to asks of the hands, and why. */
export const sayCare: Record<CareKind, { does: string; why: string }> = {
  drips: { does: 'Wipe drips from below while they are wet', why: 'Set, they rock the board, and are scraped or sanded off.' },
  evening: {
    does: 'Look before bed: level, dust, hairs',
    why: 'What sits on a loose film comes off with tweezers; a board that hangs is shimmed while it still runs.',
  },
  morning: {
    does: 'Look in the morning: level, gloss, edges',
    why: 'What the night moved, the next coat can hide; note it while it is seen.',
  },
  tape: { does: 'Take the tape off', why: 'In its window it leaves a clean edge.' },
  'next coat': { does: 'The next coat bonds by itself', why: 'Sooner it is tacky; later scuff and wipe first.' },
  hard: { does: 'Fully hard', why: 'Nothing hot, wet or heavy on it before.' },
};
