import { SAND_DENSITY } from '#core/craft';
import { cupKey, stepKey, type CupLost, type Method, type ToldCup, type ToldStep } from '#core/document';
import { stepsLeft, type Session } from '#core/record';

/** A cup as it stands at the bench; all ml. */
export interface CupNow {
  cup: ToldCup;
  key: string;
  /** In it by what was laid and lost, with what stays on its walls; nothing before it is filled. */
  left: number;
  /** Of that what can still leave it. */
  free: number;
  /** What steps to come want of it, and how much of that is spare. */
  wanted: number;
  spare: number;
  /** Under zero what is missing even when all its spare is given up. */
  over: number;
  state: 'to be mixed' | 'ready' | 'used' | 'gone thick';
  /** When it was last laid from, ms since 1970. */
  used?: number;
  /** What became of some of it. */
  lost: { how: CupLost; ml: number }[];
}

/** Less than this fills no mould, ml. */
const MOULD = 3;

const usesOf = (steps: ToldStep[], key: string): number =>
  steps.reduce((sum, s) => sum + s.uses.reduce((own, u) => own + (cupKey(u.cup) === key ? u.ml : 0), 0), 0);

/** What of a told amount is there in case: no more than the studio's spare. */
const spareOf = (ml: number, { spare }: Pick<Method, 'spare'>): number => (ml * spare) / (1 + spare);

/** What is in a cup when it is filled and coloured, ml: sand that is stirred in takes room. */
const filledTo = ({ ml, sandG, pressed, needed }: ToldCup): number =>
  sandG > 0 ? Math.max(needed, ml + (pressed ? 0 : sandG / SAND_DENSITY)) : ml;

/** What a cup keeps on its walls, ml: all that is neither told to leave it nor kept for corrections. */
const staysIn = (cup: ToldCup, method: Pick<Method, 'spare'>): number =>
  Math.max(0, filledTo(cup) - cup.needed - Math.max(0, cup.over - spareOf(cup.needed, method)));

function cupNow(session: Session, cup: ToldCup, left: ToldStep[]): CupNow {
  const key = cupKey(cup.id);
  const done = session.told.steps.filter((s) => session.doneAt.has(stepKey(s.id)));
  const from = done.filter((s) => s.uses.some((u) => u.ml > 0 && cupKey(u.cup) === key));
  const lost = session.events.flatMap((e) => (e.kind === 'cup lost' && cupKey(e.cup) === key ? [{ how: e.how, ml: e.ml }] : []));
  const thick = lost.some((l) => l.how === 'gone thick');
  const gone = lost.reduce((sum, l) => sum + (l.how === 'gone thick' ? 0 : l.ml), 0);
  const filled = session.mixedAt.has(cup.batch);
  const full = filledTo(cup);
  const inside = filled ? Math.max(0, full - usesOf(done, key) - gone) : 0;
  const { method } = session.pour.planned;
  const free = thick ? 0 : Math.max(0, (filled ? inside : full - gone) - staysIn(cup, method));
  const wanted = usesOf(left, key);
  const spare = spareOf(wanted, method);
  const used = from.map((s) => session.doneAt.get(stepKey(s.id))!);
  return {
    cup,
    key,
    left: inside,
    free,
    wanted,
    spare,
    over: free - (wanted - spare),
    state: thick ? 'gone thick' : !filled ? 'to be mixed' : wanted <= 0 && used.length ? 'used' : 'ready',
    ...(used.length && { used: Math.max(...used) }),
    lost,
  };
}

/** Every cup of a pour as it stands: those of mixings that are made or still to be made. */
export function cupsNow(session: Session): CupNow[] {
  const left = stepsLeft(session);
  const coming = new Set(left.flatMap((s) => (s.id.does === 'mix' ? [s.id.batch ?? s.batch] : [])));
  return session.told.cups.filter((c) => session.mixedAt.has(c.batch) || coming.has(c.batch)).map((cup) => cupNow(session, cup, left));
}

/** What is over once every step is done, cup by cup: for moulds. Nothing of what has gone thick. */
export const leftOver = (cups: CupNow[]): CupNow[] => cups.filter((c) => c.cup.sandG === 0 && c.free - c.wanted >= MOULD);
