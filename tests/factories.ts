/** What the tests are made of: the starting resin, method and panel, the sample studio, and changes of them. */
import { steady, Zone } from '#core/air';
import { Airs } from '#core/cure';
import { readFileSync } from 'node:fs';
import { emptyStudio, startingMethod, startingResin } from '#core/craft';
import { startingBoard, startingCoat, startingPiece, type BoardAnswers } from '#core/edit';
import { openStudio, type Coat, type Piece, type Pour, type PourEvent, type Stock, type Studio, type Told } from '#core/document';
import { Planner, type Means, type PiecePlan } from '#core/plan';
import { tell } from '#core/pour';
import { writesIn } from '#core/units';

/** The planner of the tests: what one has worked out the next need not. */
export const planner = new Planner();
export const utc = new Zone('UTC');
/** Rooms in which nothing was ever read. */
export const airs = new Airs(utc);

/** Studios that read metric units and US ones, and one of each that has no scale. */
export const metric = writesIn({ length: 'mm', volume: 'ml', temperature: '°C', weight: 'g' });
const inUs = { length: 'in', volume: 'fl oz', temperature: '°F', weight: 'oz wt' } as const;
export const us = writesIn(inUs);
export const usMarked = writesIn({ ...inUs, measure: 'marked cups' });
export const marked = writesIn({ length: 'mm', volume: 'ml', temperature: '°C', measure: 'marked cups' });

export const resin = startingResin;
export const method = startingMethod;
export const empty: Studio = emptyStudio();
export const means: Means = { resins: empty.resins, colourants: empty.colourants, method, air: steady(23) };

/** A 400 × 300 mm panel as the interface would make it, with some answers or fields changed. */
export const piece = (change: Partial<Piece> = {}, answers: Partial<BoardAnswers> = {}): Piece => ({
  ...startingPiece('test', { ...startingBoard(resin.id), name: 'Test panel', ...answers }, empty),
  ...change,
});

/** The first coat of a kind on a piece. */
export const the = <K extends Coat['kind']>(p: Piece, kind: K): Extract<Coat, { kind: K }> =>
  p.coats.find((c): c is Extract<Coat, { kind: K }> => c.kind === kind)!;

/** A coat as it is when it is added, with some fields changed. */
export const coat = <K extends Coat['kind']>(kind: K, change: Partial<Extract<Coat, { kind: K }>> = {}): Coat =>
  ({ ...startingCoat(kind, `${kind}-x`, resin.id, 5, empty), ...change }) as Coat;

/** A piece with fields of its coats changed, by their kinds. */
export const coated = (p: Piece, change: { [K in Coat['kind']]?: Partial<Extract<Coat, { kind: K }>> }): Piece => ({
  ...p,
  coats: p.coats.map((c) => ({ ...c, ...change[c.kind] }) as Coat),
});

export const plan = (p: Piece = piece(), change: Partial<Means> = {}): PiecePlan => planner.plan(p, { ...means, ...change });

export const sampleText = readFileSync(new URL('../src/demo/studio.json', import.meta.url), 'utf8');

export function sample(): Studio {
  const opened = openStudio(sampleText);
  if (!opened.ok) throw new Error(JSON.stringify(opened.problems[0]));
  return opened.studio;
}

/** A piece's pour as the bench is told it. */
export const toldOf = (p: Piece, pour = 0): Told => tell(planner.together([{ plan: planner.plan(p, means), pour }], means), means.air(0));

/** A can of the resin's A, a kilogram bought in September, with some fields changed. */
export const can = (id: string, change: Partial<Stock> = {}): Stock => ({
  id,
  name: 'can',
  of: { kind: 'resin', resinId: resin.id, part: 'A' },
  size: 1000,
  unit: 'g',
  price: 30,
  since: '2026-09-01',
  ...change,
});

/** An event as it is recorded, without its number and its moment. */
export type Said = PourEvent extends infer E ? (E extends PourEvent ? Omit<E, 'seq' | 'at'> : never) : never;

/** A pour of the first coats of a piece, told as it is planned, whose events fall some minutes after it began. */
export function pourOf(p: Piece, startedAt: string, said: [number, Said][], coats = 3): Pour {
  const started = Date.parse(startedAt);
  const planned = { pieces: [p], resins: empty.resins, colourants: empty.colourants, room: empty.rooms[0]!, method };
  const pour = planner.plan(p, means).pours.findIndex((x) => x.coats.some((c) => c.coat.id === p.coats[0]!.id));
  return {
    id: 'pour',
    of: [{ pieceId: p.id, coatIds: p.coats.slice(0, coats).map((c) => c.id) }],
    planned,
    told: toldOf(p, pour),
    startedAt,
    roomC: 23,
    events: said.map(([min, s], i) => ({ ...s, seq: i + 1, at: new Date(started + min * 60_000).toISOString() }) as PourEvent),
  };
}
