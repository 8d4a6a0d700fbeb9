import { steady, Zone } from '#core/air';
import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { emptyStudio, startingMethod, startingResin } from '#core/craft';
import { startingBoard, startingPiece, type BoardAnswers } from '#core/edit';
import { openStudio, type Piece, type Pour, type PourEvent, type Studio } from '#core/document';
import { Planner, type Means, type PiecePlan } from '#core/plan';
import { tell } from '#core/pour';

/** Equal to within a tolerance, by default the last digit of the reference value as it is written. */
export function near(actual: number, expected: number, within?: number): void {
  const digits = String(expected).split('.')[1]?.length ?? 0;
  const tolerance = within ?? 0.5000001 * 10 ** -digits;
  assert.ok(Math.abs(actual - expected) <= tolerance, `${actual} is not ${expected} to within ${tolerance}`);
}

/** The planner of the tests: what one has worked out the next need not. */
export const planner = new Planner();
export const utc = new Zone('UTC');

export const resin = startingResin;
export const method = startingMethod;
export const empty: Studio = emptyStudio();
export const means: Means = { resins: empty.resins, colourants: empty.colourants, method, air: steady(23) };

/** A 400 × 300 mm panel as the interface would make it, with some answers or fields changed. */
export const piece = (change: Partial<Piece> = {}, answers: Partial<BoardAnswers> = {}): Piece => ({
  ...startingPiece('test', { ...startingBoard(resin.id), name: 'Test panel', ...answers }, empty),
  ...change,
});

export const plan = (p: Piece = piece(), change: Partial<Means> = {}): PiecePlan => planner.plan(p, { ...means, ...change });

export const sampleText = readFileSync(new URL('../../src/demo/studio.json', import.meta.url), 'utf8');

export function sample(): Studio {
  const opened = openStudio(sampleText);
  if (!opened.ok) throw new Error(JSON.stringify(opened.problems[0]));
  return opened.studio;
}

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
    told: tell(planner.together([{ plan: planner.plan(p, means), pour }], means), 23),
    startedAt,
    roomC: 23,
    events: said.map(([min, s], i) => ({ ...s, seq: i + 1, at: new Date(started + min * 60_000).toISOString() }) as PourEvent),
  };
}

export const sum = (values: number[]): number => values.reduce((a, b) => a + b, 0);
