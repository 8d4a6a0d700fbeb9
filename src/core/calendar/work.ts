import { awaitedBy } from '#core/coat';
import { edgeOf, handsOnSeveral } from '#core/craft';
import type { Coat, DiaryEntry, Edge, Method, Piece } from '#core/document';
import type { PiecePlan } from '#core/plan';
import { hoursOf, timeOf, workAfter, workBefore, workBetween, type Work } from '#core/prepare';

/** How far a lower coat must be. */
type Until = NonNullable<Coat['waits']>['until'];

/** What is done in an operation. */
export type WorkKind = 'prepare' | 'brush' | 'repair' | 'degrease' | 'pour' | 'check' | 'pull tape' | 'finish' | 'deliver';

/** What an operation is of, for words and for what it is done with. */
export interface About {
  /** "kelp-cove-1/pour-sea" */
  id: string;
  kind: WorkKind;
  pieceIds: string[];
  /** Each thing that is done in it, by the name the diary keeps it under. */
  works: string[];
  /** Of a pour: which of the piece, from 0, and the names of its coats. */
  pour?: number;
  coats?: string[];
  resinId?: string;
  /** Keys of preparation and finishing, to be said in words. */
  keys?: Work['key'][];
  /** What is put right, in words. */
  does?: string[];
}

/** A wait no longer than this is dust settling, and is part of the work, h. */
const SETTLES = 10 / 60;

/** One thing done to a board before or after its resin: its hands and its wait, min. */
export interface Part {
  work: string;
  key: Work['key'];
  minutes: number;
  wait: number;
}

/** Primers are laid in coats, each with its own wait. */
function inCoats(work: Work, { surface: { primer, primerCoats } }: Piece): Work[] {
  const primes = { gesso: 'gesso', paint: 'paint', 'clear sealer': 'seal' }[primer as string];
  const times = work.key === primes ? Math.max(1, primerCoats) : 1;
  return Array.from({ length: times }, () => ({ ...work, hands: work.hands / times, wait: work.wait / times }));
}

const slug = (key: string): string => key.replaceAll(' ', '-');

/** How much longer hands are on all boards of a piece than on one. */
export const several = ({ piece, area }: Pick<PiecePlan, 'piece' | 'area'>): number => handsOnSeveral(piece.count, area);

/** Minutes of hands, as a calendar tells them: by fives. */
const byFives = (hours: number): number => Math.max(5, 5 * Math.ceil((60 * hours) / 5 - 1e-9));

/** What is done before a piece's first pour, one after the other. */
export function partsBefore(plan: Pick<PiecePlan, 'piece' | 'area'>, method: Method): Part[] {
  const { piece } = plan;
  return workBefore(piece, method)
    .flatMap((work) => inCoats(work, piece).map((w, i, all) => ({ ...w, name: all.length > 1 ? `${slug(w.key)}-${i + 1}` : slug(w.key) })))
    .map(({ name, key, hands, wait }) => ({
      work: `${piece.id}/before-${name}`,
      key,
      minutes: byFives(hands * several(plan)),
      wait: wait > SETTLES ? Math.round(60 * wait) : 0,
    }));
}

/** What is done after the last film is hard: drips and tape that come off while it is soft are not of it. */
export function finishing(plan: Pick<PiecePlan, 'piece' | 'area'>, method: Method): { minutes: number; keys: Work['key'][] } {
  const works = workAfter(plan.piece, method).filter((w) => !['wipe drips', 'wipe the wall', 'pull the tape'].includes(w.key));
  return {
    minutes: works.length ? byFives(hoursOf(...works.map((w) => ({ ...w, wait: 0 }))) * several(plan)) : 0,
    keys: works.map((w) => w.key),
  };
}

/** Parts joined where one need not wait for the other: what is done in one go, and what it then waits, min. */
export function inOneGo(parts: Part[]): { parts: Part[]; minutes: number; wait: number }[] {
  const goes: { parts: Part[]; minutes: number; wait: number }[] = [];
  for (const part of parts) {
    const last = goes.at(-1);
    if (last && last.wait === 0) {
      last.parts.push(part);
      last.minutes += part.minutes;
      last.wait = part.wait;
    } else goes.push({ parts: [part], minutes: part.minutes, wait: part.wait });
  }
  return goes;
}

/** How coats of a pour end at the rim. */
const edgesOf = (plan: PiecePlan, pour: number): Edge[] => (plan.pours[pour]?.coats ?? []).map(({ coat }) => edgeOf(plan.piece, coat));

/** Whether a pour drips, and its drips are wiped while they are wet. */
export const drips = (plan: PiecePlan, pour: number): boolean => edgesOf(plan, pour).includes('run over');

/** Minutes of a scuff before a coat. */
export const scuffMinutes = (plan: PiecePlan, method: Method): number => byFives(timeOf(method, 'scuff').hands * several(plan));

/** What is done on a hard film before a pour: its hands and its wait, min. */
export interface Between {
  minutes: number;
  wait: number;
  coatId: string;
  /** Silicone was in the wave below: it is degreased, scuffed and sealed first; something went wrong there, and is put right; or no more than brushing. */
  kind: 'degrease' | 'repair' | 'brush';
  /** What is put right, in words. */
  does: string[];
}

/** Whether a pour comes over a wave with silicone, with nothing that seals it between. */
function overSilicone(plan: PiecePlan, pour: number): boolean {
  const [first] = plan.pours[pour]?.coats ?? [];
  const below = plan.pours[pour - 1]?.coats ?? [];
  const sealed = first?.coat.kind === 'seal' || first?.coat.brushed?.kind === 'sealer';
  return !sealed && below.some(({ coat }) => coat.kind === 'wave' && coat.additive === 'silicone');
}

/** What is brushed on before a pour, or is to be taken off what lies; undefined where nothing is. */
export function betweenPours(plan: PiecePlan, pour: number, method: Method): Between | undefined {
  const coats = plan.pours[pour]?.coats ?? [];
  const ids = new Set(coats.map((c) => c.coat.id));
  const works = workBetween(plan.piece, method).filter((b) => ids.has(b.coat.id));
  const degrease = overSilicone(plan, pour);
  const own = degrease ? [timeOf(method, 'scuff', 2), timeOf(method, 'sealer')] : [];
  const [first] = coats;
  if (!first || (!works.length && !degrease)) return undefined;
  const all = [...own, ...works];
  return {
    minutes: byFives(all.reduce((sum, w) => sum + w.hands, 0) * several(plan)),
    wait: Math.round(60 * all.reduce((sum, w) => sum + w.wait, 0)),
    coatId: works[0]?.coat.id ?? first.coat.id,
    kind: degrease ? 'degrease' : works.some((w) => 'repair' in w) ? 'repair' : 'brush',
    does: works.flatMap((w) => ('repair' in w ? [w.repair.does] : [])),
  };
}

/** How far the film below must be before a pour: what its coats wait for, the longest of it; open for the next coat where they say nothing. */
export function waitsFor(plan: PiecePlan, pour: number): Until {
  const { coats } = plan.piece;
  const waits = (plan.pours[pour]?.coats ?? []).flatMap(({ coat }) => awaitedBy(coats, coat) ?? []);
  const below = new Set((plan.pours[pour - 1]?.coats ?? []).map((c) => c.coat.id));
  if (waits.some((w) => w.until === 'hard')) return 'hard';
  // what lies deeper than the film below no longer runs by then
  return waits.length > 0 && waits.every((w) => w.until === 'tacky' && below.has(w.coatId)) ? 'tacky' : 'recoat';
}

/** When something was done, by the name the diary keeps it under; ms since 1970. */
export const didIn = (diary: readonly DiaryEntry[]): Map<string, number> =>
  new Map(diary.flatMap((e): [string, number][] => (e.kind === 'did' ? [[e.operation, Date.parse(e.at)]] : [])));
