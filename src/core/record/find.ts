import { tintsOf, type Fault, type Pour, type Verdict } from '#core/document';
import { timesOf } from './times';

/** A pour as it is looked for: all its words in one text, and what is asked of it by itself. */
export interface Findable {
  id: string;
  /** ms since 1970 */
  at: number;
  words: string;
  materials: readonly string[];
  verdict?: Verdict;
  faults: readonly Fault[];
  roomC: number;
}

/** What is looked for; what is left out is not asked. */
export interface Sought {
  text?: string;
  /** Of a resin or a colourant. */
  material?: string;
  verdict?: Verdict | 'none';
  fault?: Fault | 'any';
  /** At the bench, °C. */
  fromC?: number;
  untilC?: number;
}

/** Letters without their marks, small: “Å” is found by “a”. */
const plainly = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();

/** A pour with all its words gathered once. */
export function findable(pour: Pour): Findable {
  const { planned, of, outcomes = [] } = pour;
  const laid = new Set(of.flatMap((o) => o.coatIds));
  const coats = planned.pieces.flatMap((p) => p.coats.filter((c) => laid.has(c.id)));
  const resins = planned.resins.filter((r) => coats.some((c) => c.resinId === r.id));
  const used = new Set(coats.flatMap(tintsOf).flatMap((t) => t.recipe.map((p) => p.colourantId)));
  const colourants = planned.colourants.filter((c) => used.has(c.id));
  const materials = [...resins, ...colourants].map((m) => m.name);
  const faults = outcomes.flatMap((o) => (o.faults ?? []).map((f) => f.seen));
  const { events, abandoned, done } = timesOf(pour);
  const words = [
    ...planned.pieces.filter((p) => of.some((o) => o.pieceId === p.id)).map((p) => p.name),
    ...coats.flatMap((c) => [c.kind, c.name ?? '', ...tintsOf(c).map((t) => t.name)]),
    ...materials,
    planned.room.name,
    pour.verdict ?? '',
    pour.note ?? '',
    abandoned ? `abandoned ${abandoned.why}` : done === undefined ? 'pouring now' : '',
    ...outcomes.flatMap((o) => [o.lesson ?? '', ...Object.entries(o.aspects ?? {}).map(([aspect, mark]) => `${aspect} ${mark}`)]),
    ...faults,
    ...events.flatMap((e) => (e.kind === 'note' ? [e.text] : [])),
  ];
  return {
    id: pour.id,
    at: Date.parse(pour.startedAt),
    words: plainly(words.join(' \n ')),
    materials,
    ...(pour.verdict && { verdict: pour.verdict }),
    faults,
    roomC: pour.roomC,
  };
}

/** Those that have every word, each as it is begun to be typed, and all else that is asked; the newest first. */
export function found(all: readonly Findable[], { text = '', material, verdict, fault, fromC, untilC }: Sought): Findable[] {
  const terms = plainly(text).split(/\s+/).filter(Boolean);
  return all
    .filter(
      (p) =>
        terms.every((term) => p.words.includes(term)) &&
        (material === undefined || p.materials.includes(material)) &&
        (verdict === undefined || (verdict === 'none' ? p.verdict === undefined : p.verdict === verdict)) &&
        (fault === undefined || (fault === 'any' ? p.faults.length > 0 : p.faults.includes(fault))) &&
        (fromC === undefined || p.roomC >= fromC) &&
        (untilC === undefined || p.roomC <= untilC),
    )
    .sort((a, b) => b.at - a.at);
}
