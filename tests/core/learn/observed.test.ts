import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Photo, PhotoReading, Piece, Pour, WaveCoat } from '#core/document';
import { lessonsOf, observationsOf, photosOf } from '#core/learn';
import { chartColours } from '#core/plan';
import { readSession } from '#core/record';
import { lightnessOf } from '#core/tint';
import { near } from '../help';
import { airs, empty, means, method, piece, plan, planner, pourOf, type Said } from '../../factories';

const panel = piece();
const mixed: [number, Said] = [0, { kind: 'mixed', batch: 0 }];
const done: [number, Said] = [60, { kind: 'done' }];
const pour = (said: [number, Said][] = [], own: Piece = panel): Pour => pourOf(own, '2026-11-01T10:00:00Z', [mixed, ...said, done]);
const told = pour().told!;
const seen = (of: Pour, photos: Photo[] = [], later: Photo[] = []) =>
  observationsOf({ session: readSession(of), photos, later, planner, airs });
const value = (of: Pour, figure: string, photos: Photo[] = [], later: Photo[] = []): number | undefined =>
  seen(of, photos, later).find((o) => o.figure === figure)?.value;

const reading = (change: Partial<PhotoReading> = {}): PhotoReading => ({
  at: '2026-11-02T10:00:00Z',
  white: 0.1,
  toSea: { middle: 20, most: 30 },
  up: { middle: 5, most: 8 },
  bands: [],
  pxPerMm: 5,
  blur: 0.1,
  glare: 0,
  light: 1,
  noise: 0,
  ...change,
});
const photo = (change: Partial<Photo> = {}): Photo => ({
  id: 'photo',
  name: 'photo.jpg',
  takenAt: '2026-11-02T10:00:00Z',
  width: 4000,
  height: 3000,
  bytes: 1,
  sum: '0'.repeat(64),
  pieceId: panel.id,
  pourId: 'pour',
  stage: 'hard',
  reading: reading(),
  ...change,
});

test('twice the drips are twice the rate; on four boards they are shared out; a taped edge has none', () => {
  const drips = (g: number, own: Piece = panel) =>
    value(pour([[70, { kind: 'found', what: 'drips', value: g, piece: own.id }]], own), 'drip rate');
  near(drips(40)! / drips(20)!, 2, 1e-9);
  near(drips(40, { ...panel, count: 4 })!, drips(40)! / 4, 1e-9);
  assert.equal(drips(40, { ...panel, edge: 'taped' }), undefined);
});

test('what was left over says how much was poured for each ml drawn; what nothing was left of says nothing', () => {
  const all = told.cups.reduce((sum, c) => sum + c.ml, 0);
  const left = (ml: number) => value(pour([[65, { kind: 'found', what: 'left over', value: ml }]]), 'spare')!;
  // what is held back and what is over because no cup is filled with less was to be left: then the spare was just used
  const extra = told.cups.reduce((sum, c) => sum + (c.sandG > 0 ? 0 : c.ml * (1 - method.cupShare) - method.cupStays - c.needed), 0);
  near(left(extra), 1 + method.spare, 1e-9);
  assert.ok(left(extra + 0.05 * all) < 1 + method.spare && left(0) > 1 + method.spare);
  assert.equal(value(pour(), 'spare'), undefined);
});

test('white that stayed in its cup, or was spilled, is white that was mixed and not laid', () => {
  const white = told.cups.find((c) => c.id.role === 'white')!;
  const half = pour([[65, { kind: 'found', what: 'left over', value: white.ml / 2, cup: white.id }]]);
  near(value(half, 'white lost')!, 2, 1e-9);
  const spilled = pour([
    [20, { kind: 'cup lost', cup: white.id, how: 'spilled', ml: white.ml / 4 }],
    [65, { kind: 'found', what: 'left over', value: white.ml / 4, cup: white.id }],
  ]);
  near(value(spilled, 'white lost')!, 2, 1e-9);
  // of all cups together it is no word about the white
  assert.equal(value(pour([[65, { kind: 'found', what: 'left over', value: 3 }]]), 'white lost'), undefined);
});

test('foam that went half as far with the same white is twice as thick; one photo of a later coat will do', () => {
  const at = (sea: number, up: number) =>
    value(pour(), 'white of the foam', [photo({ reading: reading({ toSea: { middle: sea, most: 40 }, up: { middle: up, most: 9 } }) })])!;
  near(at(10, 2.5) / at(20, 5), 2, 1e-9);
  near(value(pour(), 'white of the foam', [], [photo()])!, at(20, 5), 1e-9);
  assert.equal(value(pour(), 'white of the foam', [photo({ stage: 'white laid' })]), undefined, 'it has not been moved yet');
});

test('a tint that came out as dark as a third more of its colourant would make it says that this is a third stronger', () => {
  const of = plan(panel);
  const stronger = of.means.colourants.map((c) => ({
    ...c,
    absorb: c.absorb.map((v) => v * 1.33) as typeof c.absorb,
    scatter: c.scatter.map((v) => v * 1.33) as typeof c.scatter,
  }));
  const { patches } = chartColours(of.site, of.cut, stronger, { coats: 3, wet: false });
  const deepest = of.cut.sea.length;
  const bands = [{ part: deepest, lightness: lightnessOf(patches.find((p) => p.part === deepest)!.colour!) }];
  const found = seen(pour(), [photo({ reading: reading({ bands }) })]).find((o) => o.figure === 'strength')!;
  near(found.value, 1.33, 0.06);
  assert.ok(empty.colourants.some((c) => c.id === found.of));
});

test('a board that hung and a wave that moved say how far waves go here beside the model', () => {
  const hung: Piece = { ...panel, stands: { feet: 4, inset: 30, along: 0.1, across: 0 } };
  const moved = (mm: number, own: Piece = hung) =>
    value(pour([[700, { kind: 'found', what: 'moved', value: mm, piece: own.id }]], own), 'drift');
  near(moved(20)! / moved(10)!, 2, 1e-9);
  assert.equal(moved(10, panel), undefined, 'how it stood was not written down');
});

test('photos count for their own pour and later ones until another wave lies on the piece; a made-up one teaches nothing', () => {
  const wave = panel.coats.find((c): c is WaveCoat => c.kind === 'wave')!;
  const first = { ...pour(), id: 'first' };
  const topped: Pour = {
    ...first,
    id: 'topped',
    startedAt: '2026-11-03T10:00:00Z',
    of: [{ pieceId: panel.id, coatIds: [panel.coats.at(-1)!.id] }],
  };
  const again: Pour = { ...first, id: 'again', startedAt: '2026-11-05T10:00:00Z', of: [{ pieceId: panel.id, coatIds: [wave.id] }] };
  const all = [first, topped, again];
  const photos = ['first', 'topped', 'again'].map((pourId) => photo({ id: pourId, pourId }));
  const of = (p: Pour) => photosOf(p, photos, all);
  assert.deepEqual(
    of(first).photos.map((p) => p.id),
    ['first'],
  );
  assert.deepEqual(
    of(first).later.map((p) => p.id),
    ['topped'],
  );
  assert.deepEqual(of(again).later, []);
  assert.deepEqual(
    photosOf(
      first,
      photos.map((p) => ({ ...p, drawn: true })),
      all,
    ),
    { photos: [], later: [] },
  );
});

test('what is seen several times in one pour counts once', () => {
  const cup = told.cups.find((c) => c.id.role === 'tint')!;
  const [other] = told.cups.filter((c) => c.id.role === 'tint' && c !== cup);
  const of = pour([
    [62, { kind: 'found', what: 'stuck', value: 2, cup: cup.id }],
    [63, { kind: 'found', what: 'stuck', value: 4, cup: other!.id }],
  ]);
  const observations = seen(of).filter((o) => o.figure === 'cup loss');
  assert.equal(observations.length, 2);
  const [lesson] = lessonsOf(observations, { method, resins: means.resins, colourants: means.colourants });
  assert.equal(lesson!.pours, 1);
});
